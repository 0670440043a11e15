export * from './types';
export { judge } from './judge';
export { goalsInOrder } from './order';
