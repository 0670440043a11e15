export * from './suggest';
export * from './difference';
export * from './start';
