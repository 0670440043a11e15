import type { AngleWay } from '../body';
import type { FeetFigure, FootName } from '../setup';
import type { Turn } from '../turn';

/** What is swung on a rung: a turn without a ball, or part of a swing. */
export const LADDER_SWINGS = ['turn', 'half swing', 'full swing'] as const;
export type LadderSwing = (typeof LADDER_SWINGS)[number];

/** What is moved a step at a time until something changes. Rungs in mm or degrees. */
export interface Ladder {
  figure: FeetFigure;
  /** What it is for, in one sentence. */
  purpose: string;
  /** When a try passes, as it is asked of the eye: the end of a sentence. */
  passes: string;
  /** From some rung on every try passes, or up to some rung. */
  passing: 'from' | 'up to';
  swing: LadderSwing;
  /** The turn of the hips that may be measured on its rungs, and tells of a leg; null where none does. */
  measures: Turn | null;
  /** The rungs there are; the first is where it begins. */
  first: number;
  last: number;
  /** The steps in which the change is looked for, and then found. */
  coarse: number;
  fine: number;
  /** One standard deviation of where a single try changes, and how far a body that is not warm is off at first. */
  spread: number;
  warmUp: number;
}

/** Ladders of one foot, a step at a time (common practice, no source; spreads are starting values). */
export const LADDERS = {
  'trail flare': {
    figure: 'trailFlare',
    purpose: 'Finds how far out the trail toe has to point for a full turn back.',
    passes: 'the shoulders turn fully and level, and the foot stays where it is.',
    passing: 'from',
    swing: 'turn',
    measures: 'back',
    first: 0,
    last: 40,
    coarse: 10,
    fine: 5,
    spread: 5,
    warmUp: 5,
  },
  'lead flare': {
    figure: 'leadFlare',
    purpose: 'Finds how far out the lead toe has to point to turn through.',
    passes: 'the hips face the target, and the foot is not dragged round.',
    passing: 'from',
    swing: 'turn',
    measures: 'through',
    first: 0,
    last: 50,
    coarse: 10,
    fine: 5,
    spread: 5,
    warmUp: 5,
  },
  'easy lead flare': {
    figure: 'leadFlare',
    purpose: 'Finds how far out the lead toe has to point where the trail hip is sore.',
    passes: 'the move onto the lead foot is smooth.',
    passing: 'from',
    swing: 'half swing',
    measures: null,
    first: 0,
    last: 50,
    coarse: 10,
    fine: 5,
    spread: 5,
    warmUp: 5,
  },
  width: {
    figure: 'stanceWidth',
    purpose: 'Finds how wide the student can stand and still finish on the lead foot.',
    passes: 'the trail foot lifts at the finish, and nothing falls back.',
    passing: 'up to',
    swing: 'full swing',
    measures: null,
    first: 240,
    last: 660,
    coarse: 60,
    fine: 30,
    spread: 30,
    warmUp: 0,
  },
} as const satisfies Record<string, Ladder>;
export type LadderName = keyof typeof LADDERS;
export const LADDER_NAMES = Object.keys(LADDERS) as [LadderName, ...LadderName[]];

export const TRY_RESULTS = ['passed', 'failed', 'worse', 'pain'] as const;
/** How a try went: worse is a failure that was worse than the one before. */
export type TryResult = (typeof TRY_RESULTS)[number];

/** A turn of the hips that was measured on a rung. */
export interface MeasuredOnRung {
  /** degrees from square */
  hips: number;
  /** One standard deviation, degrees. */
  uncertainty: number;
  by: AngleWay;
  /** The leg that was felt to stop it; null where none was, and then it tells of no leg. */
  stoppedBy: FootName | null;
  /** When it was taken, which tells it from every other. */
  at: string;
}

/** One turn on a rung. */
export interface Try {
  /** mm or degrees */
  rung: number;
  /** Null for a turn that only warms up. */
  result: TryResult | null;
  /** Which sitting it was in, and which turn of that, each from 0. */
  sitting: number;
  turn: number;
  measured?: MeasuredOnRung | null;
}

/** A turn on a ladder as the log keeps it, in its place in time. */
export type LadderTurn = Pick<Try, 'rung' | 'result'> & { measured: MeasuredOnRung | null };

/**
 * Turns of one sitting as tries.
 * @param turns in time
 * @param sitting from 0
 * @returns a try for each
 */
export const triesOf = (turns: readonly LadderTurn[], sitting: number): Try[] =>
  turns.map((each, turn) => ({ ...each, sitting, turn }));

/** A try that says something of where the change is: pain says that it hurts, and no more. */
export const isScored = ({ result }: Pick<Try, 'result'>): boolean => result !== null && result !== 'pain';

/** As far as a student may go on a ladder: within it, and short of the end of the range where something bars it. */
export interface Limits {
  least: number;
  most: number;
}
export const wholeLadder = ({ first, last }: Ladder): Limits => ({ least: first, most: last });

/**
 * As far as a student may go: a growing body, or one that something hurts or was operated on, does not go to the end of the range.
 * @param ladder the ladder
 * @param spared whether it is one of those
 * @returns its limits, the ladder's unit
 */
export const limitsFor = (ladder: Ladder, spared: boolean): Limits => {
  const whole = wholeLadder(ladder);
  return spared ? { ...whole, most: Math.max(whole.least, whole.most - ladder.coarse) } : whole;
};
