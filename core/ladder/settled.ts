import { mean, sampleStandardDeviation } from 'simple-statistics';
import { clopperPearson, joinedHalfWidth } from '../statistics';

/** By eye the place under a foot is known no better than this, however often it is looked at (starting value), one standard deviation, percent. */
const EYE = 5;

/** Where weight came to rest, percent from the heel, with its 95% interval. */
export interface Settled {
  middle: number;
  low: number;
  high: number;
  of: number;
}

/**
 * A student's own middle: to the heels, to the toes, smaller each time, stop.
 * @param places where each settling ended, percent from the heel
 * @returns null before two; they tell nothing of how they scatter
 * @example settledMiddle([50]) // null
 */
export function settledMiddle(places: readonly number[]): Settled | null {
  const of = places.length;
  if (of < 2) return null;
  const middle = mean([...places]);
  const half = joinedHalfWidth(sampleStandardDeviation([...places]) / Math.sqrt(of), of - 1, EYE);
  return { middle, low: Math.max(0, middle - half), high: Math.min(100, middle + half), of };
}

/** How often a finish was held, with the 95% interval of its share, 0 to 1. */
export interface FinishHeld {
  held: number;
  of: number;
  low: number;
  high: number;
}

/**
 * How often a finish is held until the ball is down (Clopper and Pearson 1934).
 * @param tries one a swing
 * @returns null before the first
 * @example finishHeld([]) // null
 */
export function finishHeld(tries: readonly { held: boolean }[]): FinishHeld | null {
  if (tries.length === 0) return null;
  const held = tries.filter((each) => each.held).length;
  const [low, high] = clopperPearson(held, tries.length);
  return { held, of: tries.length, low, high };
}
