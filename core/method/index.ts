export * from './types';
export * from './coverage';
export * from './band';
export * from './shouldersAndNeutral';
