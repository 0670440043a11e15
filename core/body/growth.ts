import { daysAfter } from '../units';
import type { CautionFact } from './facts';
import { isMinor, type Born } from './person';

/** A body that has grown by this share has other legs than were tested (starting value). */
const GROWN = 0.02;
/** Feet grow first: a shoe longer by all but a size of two thirds of a centimetre is the next one (starting value), mm. */
const NEXT_SHOE_MM = 6;
/** Figures of a growing body are taken again after so long (starting value), days. */
const HOLDS_DAYS = 120;

/** What of a body tells whether it grew, mm. */
export interface Grows {
  height: number;
  shoeLength: number;
}

/**
 * Whether a student has grown too much for what was measured earlier to hold.
 * @param heightThen when it was measured, any unit
 * @param heightNow in the same unit
 * @returns true from a fiftieth of difference
 * @example hasOutgrown(1500, 1540) // true
 */
export const hasOutgrown = (heightThen: number, heightNow: number): boolean =>
  Math.abs(heightNow - heightThen) / heightThen >= GROWN;

/**
 * Whether a body still grows: a minor's, or one that is noted to.
 * @param student when born, and the facts to mind
 * @param today YYYY-MM-DD
 * @returns true for those
 */
export const stillGrows = (
  { facts, ...born }: Born & { facts: readonly Pick<CautionFact, 'state' | 'status'>[] },
  today: string,
): boolean =>
  isMinor(born, today) || facts.some(({ state, status }) => state === 'growing' && status === 'stands');

/**
 * Whether a body has outgrown what was measured with an earlier one: by its height, or, while it grows, by its shoes,
 * which go first. A grown body's other shoes are only other shoes.
 * @param then mm
 * @param now mm
 * @param growing whether it still grows
 * @returns by what; null where it has not
 * @example outgrewBy({ height: 1500, shoeLength: 260 }, { height: 1510, shoeLength: 267 }, true) // 'shoes'
 */
export function outgrewBy(then: Grows, now: Grows, growing: boolean): 'height' | 'shoes' | null {
  if (hasOutgrown(then.height, now.height)) return 'height';
  return growing && now.shoeLength - then.shoeLength >= NEXT_SHOE_MM ? 'shoes' : null;
}

/**
 * The day from which a growing body is to be measured again.
 * @param measuredOn YYYY-MM-DD
 * @returns YYYY-MM-DD
 * @example measureAgainOn('2026-11-27') // '2027-03-27'
 */
export const measureAgainOn = (measuredOn: string): string => daysAfter(measuredOn, HOLDS_DAYS);
