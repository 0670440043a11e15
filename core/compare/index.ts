export * from './compare';
export * from './bag';
export * from './explain';
export * from './disputes';
