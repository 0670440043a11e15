// What can be checked standing over it, with no protractor and no tape: shoes, hands and club heads.
import { radians, rounded, saidLength, type LengthUnit } from '../units';
import type { Shoe } from '../setup';

/** Across the palm at the knuckles, an adult's (from memory, anthropometric tables: 85 to 90 mm). */
export const HAND_BREADTH_MM = 90;
/** An iron's head from heel to toe; common practice, no source. */
export const CLUB_HEAD_MM = 80;

/** Shares of a step that a measure may be off before it is said to be over or under. */
const NEAR_ENOUGH = 0.25;

const WHOLE = ['no', 'one', 'two', 'three', 'four', 'five', 'six'] as const;
const PARTS = ['', 'a quarter', 'a half', 'three quarters'] as const;

/** A count in quarters of a thing, as it is spoken: 'a shoe’s length and a half'. */
function quarters(count: number, one: string, many: string): string {
  const [whole, part] = [Math.floor(count / 4), PARTS[count % 4]!];
  if (whole === 0) return part === 'a half' ? `half ${one}` : `${part} of ${one}`;
  if (part === '') return whole === 1 ? one : `${WHOLE[whole] ?? whole} ${many}`;
  return whole === 1 ? `${one} and ${part}` : `${WHOLE[whole] ?? whole} and ${part} ${many}`;
}

/** A share of a thing in the steps it can be judged in, with "a little over" where it lies between two. */
function amount(share: number, step: 1 | 2, one: string, many: string): string {
  const steps = share * (4 / step);
  const nearest = Math.max(1, Math.round(steps));
  const off = steps - nearest;
  const about = Math.abs(off) <= NEAR_ENOUGH ? '' : off > 0 ? 'a little over ' : 'a little under ';
  return about + quarters(nearest * step, one, many);
}

/** Narrower than this, in shoe lengths, club heads are the better measure. */
const NARROW = 0.6;

/**
 * The room between the shoes, in shoe lengths, or in club heads where it is narrow.
 * @param gap mm, between the inner edges
 * @param shoe mm
 * @param length what the coach reads lengths in
 * @returns words with the length beside them
 * @example gapMark(160, { length: 290, breadth: 105 }, 'cm') // 'two club heads between the shoes, 16 cm'
 */
export function gapMark(gap: number, shoe: Shoe, length: LengthUnit): string {
  if (gap < CLUB_HEAD_MM / 4) return 'shoes side by side, all but touching';
  const room =
    gap / shoe.length < NARROW
      ? amount(gap / CLUB_HEAD_MM, 2, 'a club head', 'club heads')
      : amount(gap / shoe.length, 1, 'a shoe’s length', 'shoe lengths');
  return `${room} between the shoes, ${saidLength(gap, length)}`;
}

/** Of a shoe’s breadth: less than that and the foot stands square for the eye. */
const SQUARE = 0.2;

/**
 * How far a toe is turned out, told by how far it has swung from square about its heel.
 * @param flare degrees, outward positive
 * @param shoe mm
 * @returns words with the angle beside them
 * @example flareMark(30, { length: 290, breadth: 105 }) // 'out by a shoe’s breadth and a half, 30°'
 */
export function flareMark(flare: number, shoe: Shoe): string {
  const swung = (shoe.length * Math.sin(radians(Math.abs(flare)))) / shoe.breadth;
  if (swung < SQUARE) return 'straight ahead';
  const side = flare > 0 ? 'out' : 'in';
  const share = amount(swung, 2, 'a shoe’s breadth', 'shoe breadths');
  return `${side} by ${share}, ${rounded(Math.abs(flare), 0)}°`;
}

/**
 * Where the ball lies from the lead heel, in hands laid on the ground.
 * @param inside mm inside the lead heel; negative is outside
 * @param length what the coach reads lengths in
 * @returns words in lead and trail, with the length beside them
 * @example ballMark(90, 'cm') // 'a hand inside the lead heel, 9 cm'
 */
export function ballMark(inside: number, length: LengthUnit): string {
  if (Math.abs(inside) < HAND_BREADTH_MM / 6) return 'level with the lead heel';
  const hands = amount(Math.abs(inside) / HAND_BREADTH_MM, 2, 'a hand', 'hands');
  return `${hands} ${inside > 0 ? 'inside' : 'outside'} the lead heel, ${saidLength(Math.abs(inside), length)}`;
}
