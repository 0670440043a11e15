export * from './types';
export * from './model';
export * from './fit';
