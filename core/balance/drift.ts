import { linearRegression, linearRegressionLine, mean } from 'simple-statistics';
import { studentQuantile } from '../statistics';
import type { SwingRoute } from './route';

/** Fewer swings with a path than this tell nothing of how the two go together (starting value). */
export const LEAST_PAIRS = 5;
const IN_ONE_TAIL = 0.025;

/** How far the load drifted toward the toes from the top to early down, percent of both soles. */
export const downDrift = ({ top, 'early down': down }: SwingRoute): number => down.along - top.along;

/** One swing: its drift coming down, percent, and its path, degrees, in-to-out positive. */
export interface DriftAndPath {
  drift: number;
  path: number;
}

/** How drift and path go together: degrees of path for a percent of drift, with the 95% interval. */
export interface DriftTold {
  slope: number;
  low: number;
  high: number;
  swings: number;
  /** The interval has no zero in it. */
  sure: boolean;
}

/**
 * How a student's drift and path really go together: a straight line by least squares, its slope with Student's t. Which of
 * the two drags the other it does not say.
 * @param swings that have both
 * @returns null of fewer than five, or where the drift never differs
 */
export function driftAndPath(swings: readonly DriftAndPath[]): DriftTold | null {
  const count = swings.length;
  if (count < LEAST_PAIRS) return null;
  const middle = mean(swings.map(({ drift }) => drift));
  const sum = (of: (each: DriftAndPath) => number): number =>
    swings.reduce((total, each) => total + of(each), 0);
  const spread = sum(({ drift }) => (drift - middle) ** 2);
  if (spread < 1e-9) return null;
  const line = linearRegression(swings.map(({ drift, path }) => [drift, path]));
  const fitted = linearRegressionLine(line);
  const slope = line.m;
  const left = sum(({ drift, path }) => (path - fitted(drift)) ** 2);
  const half = studentQuantile(IN_ONE_TAIL, count - 2) * Math.sqrt(left / (count - 2) / spread);
  return { slope, low: slope - half, high: slope + half, swings: count, sure: Math.abs(slope) > half };
}
