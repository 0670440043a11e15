import type { Angle } from '../units';
import type { TurningFeet } from './types';

/**
 * Degrees of turn for a degree of closing that the feet did not turn with (starting value). That closing
 * frees the backswing is common practice with no source; a leg test alone does not predict it.
 */
export const STARTING_CLOSING: Angle = { value: 0.4, uncertainty: 0.3 };

/** Closing is the student's own once its spread is below this, degrees per degree (starting value). */
export const OWN_CLOSING_BELOW = 0.2;

/** How far the feet have turned with the line: half of what the trail foot points out further than the method has it. */
const turnedWith = ({ flare, ownDifference }: Pick<TurningFeet, 'flare' | 'ownDifference'>): number =>
  (flare.trail - flare.lead - ownDifference) / 2;

/**
 * The part of the closing that the feet did not turn with: none of it where the whole stance was turned, all
 * of it where the trail foot was dropped with its flare kept.
 * @param feet the flares, the toe line and the method's own difference of the flares, degrees
 * @returns degrees, closed positive; negative on an open line
 * @example unturnedClosing({ flare: { lead: 15, trail: 15 }, toeLine: { value: 8, uncertainty: 1 }, ownDifference: 0 }) // 8
 */
export const unturnedClosing = (feet: Pick<TurningFeet, 'flare' | 'toeLine' | 'ownDifference'>): number =>
  unturnedPart(feet.toeLine.value, turnedWith(feet));

/**
 * The same in bare figures, for a search that asks for it very often.
 * @param line the toe line, closed positive, degrees
 * @param turned how far the feet have turned with it, degrees
 * @returns the part of the line that they did not turn with, degrees
 * @example unturnedPart(8, 3) // 5
 */
export const unturnedPart = (line: number, turned: number): number =>
  line > 0 ? line - Math.min(line, Math.max(0, turned)) : line - Math.max(line, Math.min(0, turned));

/**
 * The lines on which the part of the closing that feet of these flares did not turn with is within two ends.
 * @param feet the flares and the method's own difference of them, degrees
 * @param least at least so much of it, degrees
 * @param most at most so much of it, degrees
 * @returns the ends of the toe line, closed positive, degrees
 * @example linesFor({ flare: { lead: 15, trail: 25 }, ownDifference: 0 }, 2, 4) // { low: 7, high: 9 }
 */
export function linesFor(
  feet: Pick<TurningFeet, 'flare' | 'ownDifference'>,
  least: number,
  most: number,
): { low: number; high: number } {
  const turned = turnedWith(feet);
  return {
    low: least + (least > 0 ? Math.max(0, turned) : Math.min(0, turned)),
    high: most + (most < 0 ? Math.min(0, turned) : Math.max(0, turned)),
  };
}
