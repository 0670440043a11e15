import type { Said } from '../../domain/said';

/** What this screen says. */
export const messages = {
  fallsShort: (short: Said) => `▲ Falls short: ${short}.`,
  stillOutOfItsBand: (read: Said) => `Still out of its band: ${read}.`,
  nothingTheseFeetTurnFar: 'Nothing: these feet turn far enough, and everything else is in its band.',
  movesBeginWithOne: (moves: Said) =>
    `${moves} moves: begin with one or two of them, or nobody will know which one helped.`,
  turn: (gainWords: Said) => `Turn: ${gainWords}`,
  takeThis: 'Take this',
  take: (kind: Said) => `Take: ${kind}`,
  theTurnBack: 'The turn back',
  theTurnThrough: 'The turn through',
  theStanceLine: 'The stance line',
  theLeadFootsFlare: 'The lead foot’s flare',
  theTrailFootsFlare: 'The trail foot’s flare',
  nothingMeetsAll: 'Nothing meets all of it.',
  moreThanOneThingStands: 'More than one thing stands in the way; none would do by itself.',
  wouldHaveToGive: (asked: Said, given: Said) => `${asked} would have to give ${given}.`,
  unlockSomethingTryAnotherClub: 'Unlock something, try another club or method, or take a shorter turn.',
  theLeastChangeThatFrees: 'The least change that frees the turn',
  measureBothFlaresFirst: 'Measure both flares first: the turn goes by them.',
  looking: 'Looking …',
  lookingDone: (done: Said) => `Looking … ${done}%`,
  stopLooking: 'Stop looking',
  stoppedLockOrUnlockSomething: 'Stopped. Lock or unlock something to look again.',
  goingIsNotAsked: (turn: Said) =>
    `Going ${turn} is not asked for: that leg hurt in its test, and it is never turned further than today.`,
};
