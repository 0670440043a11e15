export * from './names';
export * from './frames';
export * from './settle';
export * from './phases';
export * from './route';
export * from './trace';
export * from './remedies';
export * from './pressureFile';
