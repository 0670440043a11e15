export * from './ladders';
export * from './threshold';
export * from './plan';
export * from './lowPoint';
