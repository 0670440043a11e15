export * from './range';
export * from './angles';
export * from './length';
export * from './format';
