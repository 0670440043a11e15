export * from './types';
export * from './linearFit';
export * from './breadthFits';
export * from './estimate';
export * from './shoeSize';
export * from './legTest';
