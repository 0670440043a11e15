export * from './types';
export * from './uncertainty';
export * from './random';
export * from './stops';
export * from './budget';
export * from './calibrate';
export * from './knee';
