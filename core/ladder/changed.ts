import { SD_IN_95_PERCENT } from '../statistics';
import type { Threshold } from './threshold';

/** How far a ladder's change moved between two times, with its 95% interval, the ladder's unit. */
export interface Moved {
  by: number;
  low: number;
  high: number;
  /** The interval has no zero in it. */
  sure: boolean;
}

type Found = Pick<Threshold, 'middle' | 'low' | 'high'>;

const deviationOf = ({ low, high }: Found): number => (high - low) / (2 * SD_IN_95_PERCENT);

/**
 * What changed between two times that the same ladder was gone up: both are unsure, each by itself.
 * @param before what was found then
 * @param now what is found today
 * @returns the difference; positive is more today
 */
export function changedSince(before: Found, now: Found): Moved {
  const by = now.middle - before.middle;
  const half = SD_IN_95_PERCENT * Math.hypot(deviationOf(before), deviationOf(now));
  return { by, low: by - half, high: by + half, sure: Math.abs(by) > half };
}
