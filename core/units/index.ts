export * from './locale';
export * from './range';
export * from './angles';
export * from './length';
export * from './format';
export * from './shots';
export * from './plural';
export * from './fileNumber';
