export * from './types';
export * from './weigh';
export * from './causes';
export * from './read';
export { MORE_TURN, neverAsked, postureRestraints, type Restraint } from './withhold';
export * from './putRight';
