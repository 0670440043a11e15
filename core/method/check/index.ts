export * from './bodies';
export * from './check';
