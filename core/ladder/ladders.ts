import type { FeetFigure } from '../setup';

/** What is moved a step at a time until something changes. Rungs in mm or degrees. */
export interface Ladder {
  figure: FeetFigure;
  /** What it is for, in one sentence. */
  purpose: string;
  /** When a try passes, as it is asked of the eye: the end of a sentence. */
  passes: string;
  /** From some rung on every try passes, or up to some rung. */
  passing: 'from' | 'up to';
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

/** One turn on a rung. */
export interface Try {
  /** mm or degrees */
  rung: number;
  /** Null for a turn that only warms up. */
  result: TryResult | null;
  /** Which sitting it was in, and which turn of that, each from 0. */
  sitting: number;
  turn: number;
}

/** A try that says something of where the change is: pain says that it hurts, and no more. */
export const isScored = ({ result }: Try): boolean => result !== null && result !== 'pain';

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
  return spared ? { ...whole, most: whole.most - ladder.coarse } : whole;
};
