export * from './bayes';
export * from './personal';
