export * from './screen';
export * from './gauge';
