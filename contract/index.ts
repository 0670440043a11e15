export * from './common';
export * from './faults';
export * from './account';
export * from './students';
export * from './lessons';
export * from './method';
export * from './owner';
export * from './limits';
