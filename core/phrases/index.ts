export * from './figures';
export * from './feet';
export * from './instruction';
