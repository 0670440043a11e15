import type { Shot } from './types';
import { clopperPearson } from '../statistics';

/** A ball this far off its line is a miss (starting values), degrees and metres. */
const MISSES = { degrees: 2, metres: 7 } as const;

export interface MissPattern {
  /** Misses toward the golfer's own side, and away from it. */
  near: number;
  far: number;
  shots: number;
  pattern: 'one way' | 'both ways' | 'not clear yet' | 'no misses';
  /** The commoner side, and what share of the misses goes there, with 95%. */
  side: 'near' | 'far';
  share: number;
  interval: [number, number];
}

/**
 * Which way a ball missed; null where it did not, or was not seen.
 * @param shot the shot; its side in metres, its start line in degrees, away from the golfer positive
 * @returns near is the golfer’s own side
 * @example missOf({ mishit: false, side: 9 }) // 'far'
 */
export function missOf({ side, startLine, curveSide, startSide }: Shot): 'near' | 'far' | null {
  if (side !== undefined) return Math.abs(side) < MISSES.metres ? null : side > 0 ? 'far' : 'near';
  if (startLine !== undefined) {
    return Math.abs(startLine) < MISSES.degrees ? null : startLine > 0 ? 'far' : 'near';
  }
  const seen = curveSide && curveSide !== 'none' ? curveSide : startSide;
  return seen && seen !== 'none' ? seen : null;
}

/** One way when at least so much of the misses go there for sure; both ways when at most so much can (starting values). */
const ONE_WAY = 0.6;
const BOTH_WAYS = 0.9;

/**
 * Whether a student misses one way or both, and how sure that is.
 * @param shots the shots
 * @returns counts, and the share of the commoner side with its exact 95% interval (Clopper & Pearson 1934)
 */
export function missPattern(shots: readonly Shot[]): MissPattern {
  const misses = shots.map(missOf);
  const near = misses.filter((miss) => miss === 'near').length;
  const far = misses.filter((miss) => miss === 'far').length;
  const all = near + far;
  const side = far >= near ? 'far' : 'near';
  const most = Math.max(near, far);
  const interval: [number, number] = all === 0 ? [0, 1] : clopperPearson(most, all);
  const pattern =
    all === 0
      ? 'no misses'
      : interval[0] >= ONE_WAY
        ? 'one way'
        : interval[1] <= BOTH_WAYS
          ? 'both ways'
          : 'not clear yet';
  return { near, far, shots: shots.length, pattern, side, share: all === 0 ? 0 : most / all, interval };
}
