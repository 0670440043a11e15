export * from './types';
export * from './outcomes';
export * from './design';
export * from './permute';
export * from './estimate';
export * from './verdict';
export * from './plan';
export * from './misses';
