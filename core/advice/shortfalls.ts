import type { Part } from '../setup';
import { ball, bandsOfPart, load, loft, PART_GOALS, posting, pressure, sparing } from './bandGoals';
import { NOTHING_MISSING, stepsShort, untilDone, type GoalMeasure } from './measure';
import { TELL_TALE_MEANS } from './order';
import { faceFirst, pathIn, toldPath, type ToldPath } from './pathTold';
import { tooMuchTurn, turnBack, turnThrough, type Measured } from './turnGoals';
import type { Case, GoalName, Thing } from './types';

const HALF_A_DEGREE = 0.5;

const PLAIN = { untilReached: false, kept: false, beyond: null };

/** Beyond straight is no fault of a path that the flight alone tells, as long as it is no further than it was off. */
const offStraight = ({ value, byEye }: ToldPath, path: number): number => {
  const beyond = Math.sign(path) !== Math.sign(value);
  return byEye && beyond ? Math.max(0, Math.abs(path) - Math.abs(value)) : Math.abs(path);
};

/** How the path is judged, in whole degrees; where nothing tells it, by whether the face has to be looked at. */
function path(given: Case): Measured {
  const told = toldPath(given);
  if (!told) return { ...PLAIN, missing: faceFirst(given, told) ? untilDone('face') : NOTHING_MISSING };
  const inState = pathIn(given, told);
  const today = offStraight(told, told.value);
  return {
    ...PLAIN,
    missing: (state) => {
      const off = offStraight(told, inState(state));
      // What is worked at is brought within half a degree, so that the next shots do not bring it back.
      return stepsShort(off < today ? off + HALF_A_DEGREE : off);
    },
  };
}

const MEASURES: Record<Exclude<GoalName, Part>, (given: Case) => Measured> = {
  'turn back': turnBack,
  'turn through': turnThrough,
  sparing,
  posting,
  'too much turn': tooMuchTurn,
  load,
  pressure,
  path,
  ball,
  loft,
};

const isPart = (goal: GoalName): goal is Part & GoalName =>
  (PART_GOALS as readonly GoalName[]).includes(goal);

/** On a pitch the goals reverse on purpose: no turn is asked for, and no lead foot is far away. */
const NOT_ON_PITCHES: readonly GoalName[] = [
  'turn back',
  'turn through',
  'posting',
  'too much turn',
  'pressure',
  'path',
];

const NOT_ASKED: Measured = { ...PLAIN, missing: NOTHING_MISSING };

/**
 * How each goal of a case is judged.
 * @param given the case
 * @param order its goals in order
 * @returns a measure for each, in that order
 */
export const measuresOf = (given: Case, order: readonly GoalName[]): GoalMeasure[] =>
  order.map((goal) => {
    const left = given.shot === 'pitch' && NOT_ON_PITCHES.includes(goal);
    const measured = isPart(goal) ? bandsOfPart(given, goal) : MEASURES[goal](given);
    return { goal, ...(left ? NOT_ASKED : measured) };
  });

/**
 * Things that the tell-tales of a case ask for.
 * @param given the case
 * @returns the things
 */
export const askedByTellTales = ({ setup }: Pick<Case, 'setup'>): Thing[] =>
  (setup.posture?.tellTales ?? []).flatMap((tale) => [...(TELL_TALE_MEANS[tale]?.by ?? [])]);
