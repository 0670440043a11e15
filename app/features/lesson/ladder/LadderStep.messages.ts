import type { NextTurn } from '@pedastance/core/ladder';
import type { Said } from '../../../domain/said';

type Why = Extract<NextTurn, { kind: 'stop' }>['why'];

/** Why a ladder is over for now, and what to do about it. */
const stops: Record<Why, string> = {
  pain: 'It hurts: stop here. Where it goes on hurting, a doctor or physiotherapist comes first.',
  'two worse in a row': 'Two in a row were worse: stop here, and go on another day.',
  'enough for today': 'Fifteen are enough for today. What was found stands.',
  found: 'Found. More turns would tell little more.',
};

/** What this screen says. */
export const messages = {
  stops,
  title: 'Ladders',
  which: 'Which foot',
  counts: (words: Said) => `It counts when ${words}`,
  warmUp: (number: number) => `Warm up, ${number} of 3`,
  tryNumber: (number: number, most: number) => `Try ${number}, at most ${most}`,
  rest: 'Rest a little first.',
  spared: 'This student’s ladder stops short of its end. Stop at once where it hurts.',
  point: (foot: string, mark: Said) => `Point the ${foot} toe ${mark}.`,
  lessRung: 'A step less',
  moreRung: 'A step more',
  turned: 'Turned',
  passed: 'Did it',
  failed: 'Not yet',
  worse: 'Worse',
  hurts: 'It hurts',
  takeBack: 'Take the last one back',
  beyond: {
    'before the first': 'It was done on every rung: less may do too.',
    'after the last': 'It was done on no rung: more is needed than was tried.',
  },
  contradiction: (passed: Said, failed: Said) =>
    `${passed} did it, ${failed} did not. Try one of them again.`,
  take: (band: Said) => `Take it: ${band}`,
  taken: 'Taken: from now on this student is judged by it.',
  keepForLater: 'Keep it for another day',
  keptForLater: 'Kept. It goes on from here within two weeks.',
  earlier: (when: Said, found: Said) => `On ${when}: ${found}`,
  goesOn: 'Today goes on from there.',
  anew: 'Begin anew',
  curve: 'Each turn, by how far the toe pointed out: done above, not done below',
};
