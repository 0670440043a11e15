export * from './compare';
export * from './bag';
export * from './disputes';
