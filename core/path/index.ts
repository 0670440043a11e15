export * from './personal';
