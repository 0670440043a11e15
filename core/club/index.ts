export * from './bag';
export * from './arc';
