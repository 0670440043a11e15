export * from './types';
export * from './items';
export * from './verdict';
export * from './weigh';
export * from './causes';
export * from './read';
