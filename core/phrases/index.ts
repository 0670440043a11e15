export * from './feet';
export * from './figures';
export * from './instruction';
export * from './compare';
export * from './turn';
export * from './trial';
export * from './advice';
export * from './held';
