export * from './random';
export * from './linearFit';
export * from './bayesianRegression';
