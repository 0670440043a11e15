import type { NextTurn, LadderSwing } from '@pedastance/core/ladder';
import type { Said } from '../../../domain/said';

type Why = Extract<NextTurn, { kind: 'stop' }>['why'];

/** Why a ladder is over for now, and what to do about it. */
const stops: Record<Why, string> = {
  pain: 'It hurts: stop here. Where it goes on hurting, a doctor or physiotherapist comes first.',
  'two worse in a row': 'Two in a row were worse: stop here, and go on another day.',
  'enough for today': 'Fifteen are enough for today.',
  'changes nowhere': 'It changes nowhere on this ladder. Nothing is offered.',
  found: 'Found. More turns would tell little more.',
};

const swings: Record<LadderSwing, string> = {
  turn: 'A turn without a ball.',
  'half swing': 'A half swing.',
  'full swing': 'A full swing.',
};
const swung: Record<LadderSwing, string> = { turn: 'Turned', 'half swing': 'Swung', 'full swing': 'Swung' };
const stoppedBy = { trail: 'Trail leg', lead: 'Lead leg', nothing: 'No leg' };

/** Where the turns are done and tell no rung to stand on. */
const doneWithout = 'That is enough turns. What they tell stands below.';

/** What this screen says. */
export const messages = {
  stops,
  doneWithout,
  swings,
  swung,
  stoppedBy,
  title: 'Field tests',
  allTests: 'All tests',
  unsteady:
    'Not after a fall, or when dizzy: width, the finish and set back. A doctor or physiotherapist first.',
  counts: (words: Said) => `It counts when ${words}`,
  warmUp: (number: number) => `Warm up, ${number} of 3`,
  tryNumber: (number: number, most: number) => `Try ${number}, at most ${most}`,
  rest: 'Rest a little first.',
  spared: 'This student’s ladder stops short of its end. Stop at once where it hurts.',
  lessRung: 'A step less',
  moreRung: 'A step more',
  passed: 'Did it',
  failed: 'Not yet',
  worse: 'Worse',
  hurts: 'It hurts',
  takeBack: 'Take the last one back',
  beyond: {
    'before the first': 'It was done on every rung: less may do too.',
    'after the last': 'It was done on no rung: more is needed than was tried.',
  },
  beyondUpTo: {
    'before the first': 'It was done on no rung: less is needed than was tried.',
    'after the last': 'It was done on every rung: more may do too.',
  },
  doubts: {
    'more is not better': 'More is not better here: further on it fails again. Nothing is offered.',
    'no change fits': 'These scores fit no one change. Score it again, another day or with another eye.',
  },
  contradiction: (passed: Said, failed: Said) =>
    `${passed} did it, ${failed} did not. Try one of them again.`,
  take: (band: Said) => `Take it: ${band}`,
  taken: 'Taken: from now on this student is judged by it.',
  keepForLater: 'Keep it for another day',
  keptForLater: 'Kept. It goes on from here within two weeks.',
  earlier: (when: Said, found: Said) => `On ${when}: ${found}`,
  goesOn: 'Today goes on from there.',
  clockMoved: (when: Said) => `It was kept on ${when}, which is yet to come. Look at this device’s clock.`,
  anew: 'Begin anew',
  curve: 'Each try on its rung: done above, not done below',
  oneMore: (after: Said, now: Said) => `One more round of three would tell it to ${after}. Now it is ${now}.`,
  oneMoreLittle: 'One more round would tell little more.',
  inPlaceOf: (own: Said, method: Said) => `${own} then stands in place of the method’s ${method}.`,
  widestNow: (own: Said) => `From then on a wider stance than ${own} is told as too wide.`,
  legStops: (leg: Said, after: Said, before: Said) =>
    `The ${leg} leg stops the hips at ${after}, not ${before}.`,
  legStopsAsTold: (leg: Said, after: Said) => `The ${leg} leg stops the hips at ${after}, as was thought.`,
  changedMore: (by: Said, when: Said) => `That is ${by} more than on ${when}.`,
  changedLess: (by: Said, when: Said) => `That is ${by} less than on ${when}.`,
  notSureChanged: (when: Said) => `No more has changed since ${when} than a test can miss.`,
  measureIt: 'Measure the hips',
  measureHow: 'Measure the hips by',
  measureAgain: 'Measure anew',
  gauge: 'Gauge',
  type: 'Typed',
  width: 'By width',
  dial: 'By eye',
  hips: 'The hips',
  hipsTurned: 'The hips turned',
  hipsAt: (angle: Said) => `The hips turned ${angle}.`,
  expectedDegrees: (least: number, most: number, found: Said) =>
    `Expected ${least} to ${most} degrees, found ${found}.`,
  whatStopped: 'What stopped them?',
};
