export * from './types';
export * from './items';
export * from './read';
