import type { Said } from '../../domain/said';

/** What this screen says. */
export const messages = {
  expectedToFound: (name: Said, least: Said, most: Said, found: Said) =>
    `${name}: expected ${least} to ${most}, found ${found}`,
  set: 'Set',
  setFigure: (figure: Said) => `Set ${figure}`,
  typed: '± Typed',
  figure: '± Figure',
  takeTheTypedFigureBack: (name: Said) => `Take the typed figure back: ${name}`,
  typeAFigure: (name: Said) => `Type a figure: ${name}`,
  swingsThroughTheBall: 'Swings through the ball',
  goingBack: 'Going back',
  atTheTop: 'At the top',
  comingDown: 'Coming down',
  atTheStrike: 'At the strike',
  atTheFinish: 'At the finish',
  seenInTheSwing: 'Seen in the swing',
  theBodyFromTheKnees: 'The body, from the knees up',
  takeTheLastOneBack: 'Take the last one back',
  onToTheRead: 'On to the read',
  theFeet:
    'The feet are on the plan. Tap what you see, tap it again to take it back; type a figure where you measured; leave the rest.',
};
