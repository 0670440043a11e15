import { TELL_TALE_MEANS } from './order';
import { slotOfThing, type State } from './state';
import type { Case, GoalName, Thing } from './types';

/** How a goal is judged. */
export interface GoalMeasure {
  goal: GoalName;
  /** What is missing of a state, in steps that can just be noticed; 0 where nothing is. */
  missing: (state: State) => number;
  /** Once it is a step short it is worked at until nothing is missing. */
  untilReached: boolean;
  /** No plan pays for another goal with this one. */
  kept: boolean;
  /** How much further than needed a state is, in steps; null where further means nothing. */
  beyond: ((state: State) => number) | null;
}

/** Rounding of figures that are computed, in steps. */
const ROUNDING = 1e-6;

/**
 * Whole steps short, rounded down: under one step is none.
 * @param missing in steps
 * @returns a whole number
 */
export const stepsShort = (missing: number): number => Math.max(0, Math.floor(missing + ROUNDING));

/**
 * What is left to do of a goal that is short, in half steps: none once it is reached.
 * @param missing in steps
 * @returns a whole number of half steps
 */
export const halfStepsLeft = (missing: number): number => Math.max(0, Math.ceil(2 * missing - ROUNDING));

type Missing = GoalMeasure['missing'];

export const NOTHING_MISSING: Missing = () => 0;

/**
 * The greatest of what several measures miss.
 * @param each a measure, or null where it does not apply
 * @returns one measure
 */
export const mostMissing =
  (...each: (Missing | null)[]): Missing =>
  (state) => {
    let greatest = 0;
    for (const one of each) if (one) greatest = Math.max(greatest, one(state));
    return greatest;
  };

/**
 * What tell-tales say of a goal: short by a step until one of their things is done.
 * @param given the case
 * @param goal which goal
 * @returns a measure; null where no tell-tale speaks of it
 */
export function toldMissing({ setup }: Pick<Case, 'setup'>, goal: GoalName): Missing | null {
  const tales = (setup.posture?.tellTales ?? []).flatMap((tale) => {
    const means = TELL_TALE_MEANS[tale];
    return means?.goal === goal ? [means.by.map(slotOfThing)] : [];
  });
  if (tales.length === 0) return null;
  return (state) => (tales.every((slots) => slots.some((slot) => state[slot]! > 0)) ? 0 : 1);
}

/**
 * Short by a step until a thing is done.
 * @param thing which
 * @returns a measure
 */
export const untilDone = (thing: Thing): Missing => {
  const done = slotOfThing(thing);
  return (state) => (state[done]! > 0 ? 0 : 1);
};
