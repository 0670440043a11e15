import { clopperPearson } from '../statistics';
import type { PatternSeen, PressureRoute } from '../setup';
import { STICK_PLACES, type StickPlace } from './names';
import { stripesTell, type Stripes } from './stripe';

/** What was looked at without a mat: stripes in videos, and whether the lead foot was stood on at the end. */
export interface LookedAt {
  stripes: readonly Stripes[];
  /** Finishes held until the ball is down, and trail feet that could be lifted. */
  finishes: readonly { held: boolean }[];
}

const HALF = 0.5;

/**
 * The pattern that was seen without a mat, where it was seen more often than not at the exact binomial interval's end
 * (Clopper and Pearson 1934): an eye tells less than a mat, and has to see it more often.
 * @param looked what was looked at
 * @param route that is taught
 * @returns null where nothing was seen often enough
 */
export function seenWithoutMat({ stripes, finishes }: LookedAt, route: PressureRoute): PatternSeen | null {
  const striped = stripesTell(stripes, route).find(({ sure }) => sure);
  if (striped) return { pattern: striped.pattern, way: 'stripe' };
  if (finishes.length === 0) return null;
  const [, most] = clopperPearson(finishes.filter(({ held }) => held).length, finishes.length);
  return most < HALF ? { pattern: 'falls back', way: 'finish' } : null;
}

/**
 * Where most of the weight was felt on a broomstick under the shoes.
 * @param tries one a settling
 * @returns null before the first, and where no place was felt more often than the others together
 */
export function feltUnder(tries: readonly { felt: StickPlace }[]): StickPlace | null {
  const often = (place: StickPlace) => 2 * tries.filter(({ felt }) => felt === place).length > tries.length;
  return STICK_PLACES.find(often) ?? null;
}
