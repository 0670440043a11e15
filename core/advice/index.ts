export * from './types';
export { judge, setupWith } from './judge';
export { goalsInOrder } from './order';
