export * from './age';
export * from './cameFor';
