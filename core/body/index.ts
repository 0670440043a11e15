export * from './build';
export * from './breadthFits';
export * from './estimate';
export * from './shoeSize';
export * from './legTest';
export * from './legsAndTrunk';
export * from './gauge';
export * from './cautions';
