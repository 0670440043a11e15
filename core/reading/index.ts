export * from './types';
export * from './weigh';
export * from './causes';
export * from './read';
