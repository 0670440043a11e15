import type { Said } from '../../domain/said';

/** What this screen says. */
export const messages = {
  otherWays: 'Other ways to free the turn',
  turn: (gainWords: Said) => `Turn: ${gainWords}`,
  takeThis: 'Take this',
  take: (name: Said) => `Take: ${name}`,
  measureBothFlaresFirst: 'Measure both flares first: the turn goes by them.',
  theseFeetTurnFarEnough: 'These feet turn far enough.',
  noOtherWay: 'No other way: what would help may not be moved, or was not measured.',
  goingIsNotAsked: (turn: Said) =>
    `Going ${turn} is not asked for: that leg hurt in its test, and it is never turned further than today.`,
};
