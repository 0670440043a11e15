export * from './types';
export * from './stops';
export * from './budget';
export * from './calibrate';
export * from './body';
export * from './feet';
export * from './knee';
