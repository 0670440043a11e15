export * from './random';
export * from './distributions';
export * from './shift';
export * from './linearFit';
export * from './bayesianRegression';
export * from './normalInterval';
export * from './proportions';
export * from './spread';
