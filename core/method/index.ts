export * from './rules';
export * from './types';
export * from './questions';
export * from './coverage';
export * from './band';
export * from './bands';
export * from './verdict';
export * from './taught';
