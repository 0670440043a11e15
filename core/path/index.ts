export * from './arc';
