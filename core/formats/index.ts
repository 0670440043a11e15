export * from './columns';
export * from './shotFile';
