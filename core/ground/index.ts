export * from './types';
export * from './angles';
export * from './foot';
export * from './measures';
export * from './moves';
