import { clopperPearson } from '../statistics';
import type { FootName, PressurePattern, PressureRoute } from '../setup';

/** Moments at which the stripe on the soles' edges is looked at in a video. */
export const STRIPE_MARKS = ['address', 'top', 'early down', 'impact'] as const;
export type StripeMark = (typeof STRIPE_MARKS)[number];

/** Whether a shoe's stripe is seen; it goes where the weight rolls to the toes. Null where it was not looked at. */
export type Stripes = Record<StripeMark, Record<FootName, boolean | null>>;

/** What a swing's stripes show, as far as they were looked at: true, false, or null where they do not tell. */
type Shows = (stripes: Stripes) => boolean | null;

const both = (
  a: boolean | null,
  b: boolean | null,
  of: (a: boolean, b: boolean) => boolean,
): boolean | null => (a === null || b === null ? null : of(a, b));

/** The patterns that stripes can show. */
export type StripePattern = Extract<PressurePattern, 'toe-ward going back' | 'toes early coming down'>;

const SHOWS: Record<StripePattern, { shows: Shows; notOn: readonly PressureRoute[] }> = {
  'toe-ward going back': {
    // Seen at address and gone at the top: the trail foot rolled to its toes meanwhile.
    shows: ({ address, top }) => both(address.trail, top.trail, (before, then) => before && !then),
    notOn: ['forward-posted'],
  },
  'toes early coming down': {
    shows: ({ top, 'early down': down }) => both(top.lead, down.lead, (before, then) => before && !then),
    notOn: ['long drive'],
  },
};

/** A pattern by its stripes: in how many of the swings that tell of it, with the 95% interval of its share, 0 to 1. */
export interface StripeTold {
  pattern: StripePattern;
  seen: number;
  of: number;
  low: number;
  high: number;
  /** More often than not, beyond what so few swings could show by chance. */
  sure: boolean;
}

const HALF = 0.5;

/**
 * What the stripes of several swings tell. An eye on a video is far less sure than a mat: a pattern is called sure only where
 * it is seen more often than not at the exact binomial interval's lower end (Clopper and Pearson 1934).
 * @param swings as they were looked at
 * @param route that is taught
 * @returns the patterns that were seen at all
 */
export function stripesTell(swings: readonly Stripes[], route: PressureRoute): StripeTold[] {
  return (Object.keys(SHOWS) as StripePattern[]).flatMap((pattern): StripeTold[] => {
    const { shows, notOn } = SHOWS[pattern];
    const told = swings.map(shows).filter((each) => each !== null);
    const seen = told.filter(Boolean).length;
    if (notOn.includes(route) || seen === 0) return [];
    const [low, high] = clopperPearson(seen, told.length);
    return [{ pattern, seen, of: told.length, low, high, sure: low > HALF }];
  });
}
