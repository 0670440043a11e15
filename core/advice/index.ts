export * from './types';
export { caseOf, NOTHING_MORE, restsOf, type Judged, type KeptRests, type Rests } from './case';
export { judge } from './judge';
export { measuredAgain } from './again';
export { setupWith } from './plan';
export { otherWays, type TurnGained, type Way } from './otherWays';
export { asksTurn } from './turns';
