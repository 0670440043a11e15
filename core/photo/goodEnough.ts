import type { Hand } from '../body';
import { radians } from '../units';
import type { MeasuredFeet } from './feet';

/** What keeps a photo from being as good as a tape, and so what to do about it. */
export const PHOTO_FAULTS = [
  'mirrored',
  'too low',
  'behind a club',
  'wrong side',
  'too coarse',
  'not flat',
  'lead shoe',
  'trail shoe',
] as const;
export type PhotoFault = (typeof PHOTO_FAULTS)[number];

/** From in front or behind a camera may be as low as this, degrees; from any other side, as low as `FROM_ANY_SIDE`. */
const LOWEST = 35;
const FROM_ANY_SIDE = 60;
/** As far from straight in front or straight behind, degrees. */
const ASIDE = 20;
/** Beside is neither in front nor behind, degrees. */
const BEHIND = 90;
/** A tap may be as unsure on the ground, mm: 2 pixels at 1.2 pixels a mm. */
const COARSEST_MM = 2 / 1.2;
/** How far a sheet's printed edges may be from where a flat one has them, mm. */
const MOST_UNEVEN = 0.3;
/** A shoe tapped longer or shorter by as many standard deviations was tapped wrongly. */
const MOST_OFF = 3;

/** How a photo of feet was measured. */
export interface PhotoTaken {
  /** Of the student. */
  hand: Hand;
  /** How far the sheet's printed edges are from where a flat one has them, mm; null where none were seen. */
  unevenMm: number | null;
  /** One standard deviation of a tap, pixels. */
  tapPx: number;
  /** A club's length was all that is known of the ground: ball and club have to be nearer than the feet. */
  byClub: boolean;
}

/**
 * What keeps a photo of feet from being good enough.
 * @param measured the feet as they were measured
 * @param taken how
 * @returns what is wrong, the worst first; empty for a good one
 */
export function photoFaults(
  { view, lengthOff }: Pick<MeasuredFeet, 'view' | 'lengthOff'>,
  { hand, unevenMm, tapPx, byClub }: PhotoTaken,
): PhotoFault[] {
  // What is foreshortened most counts: from 60° up no side is worse than another.
  const aside = Math.abs(Math.sin(radians(view.around))) > Math.sin(radians(ASIDE));
  const off = (by: number | undefined) => by !== undefined && Math.abs(by) > MOST_OFF;
  const wrong: Record<PhotoFault, boolean> = {
    mirrored: view.hand !== hand,
    'too low': view.elevation < LOWEST,
    'behind a club': byClub && view.around > BEHIND,
    'wrong side': view.elevation >= LOWEST && view.elevation < FROM_ANY_SIDE && aside,
    'too coarse': tapPx / view.sharpness > COARSEST_MM,
    'not flat': unevenMm !== null && unevenMm > MOST_UNEVEN,
    'lead shoe': off(lengthOff.lead),
    'trail shoe': off(lengthOff.trail),
  };
  return PHOTO_FAULTS.filter((fault) => wrong[fault]);
}
