import type { Said } from '../../domain/said';

/** What this screen says. */
export const messages = {
  eachDegreeClosed: 'each degree closed',
  eachOfLoadToward: 'each 10% of load toward the toes',
  eachOfDrift: 'each 10% of drift to the toes coming down',
  goesByTheDrift:
    'Mat and monitor saw the same swings: the path goes by the drift, not by the load at address.',
  eachMmOfBallForward: 'each 10 mm of ball forward',
  aGuessNotThisStudent: 'a guess, not this student: too few shots from setups that differ in it',
  almostAlways: (least: Said, most: Said) => `95%: ${least} to ${most}`,
  noLineWithinWouldStraighten:
    'No line within 20° would straighten it: look at the ball, the load or the shoulders.',
  noOtherLineIsLooked: (reason: Said) => `No other line is looked for. ${reason}`,
  aStanceLineWouldStraighten: (line: Said, own: Said, range: Said) =>
    `A stance line ${line} would straighten it${own}. ${range}`,
  between: (least: Said, most: Said) => `Almost surely between ${least} and ${most}.`,
  noLess: (least: Said) => `Almost surely no further open than ${least}.`,
  noMore: (most: Said) => `Almost surely no further closed than ${most}.`,
  noneRuledOut: 'Too few shots to rule any line out.',
  takeThisLine: 'Take this line',
  noShotsOfThisStudent: 'No shots of this student yet',
  tooFewFromFeetLike: (hit: Said) => `${hit}, too few from feet like these`,
  thePath: 'The path',
  closingOftenOnlyCancelsShoulders:
    'Closing often only cancels shoulders that opened: look at the shoulder line before you close the feet.',
  theGeneralGuessAndIts: (speechWords: Said) =>
    `The general guess and its spread are starting values${speechWords}. Shots of all clubs count, each with its club’s length; mishits do not.`,
};
