export * from './types';
export * from './weigh';
export * from './causes';
export * from './read';
export { postureRestraints, type Restraint } from './withhold';
