export * from './homography';
export * from './pose';
export * from './uncertainty';
export * from './feet';
