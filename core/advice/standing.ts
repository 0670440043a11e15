import { noNarrower, ownFlareDifference, questionOf, taughtFigure, type BandVerdict } from '../method';
import { causeOf } from '../reading';
import {
  FIGURES,
  measuredFigure,
  measureSetup,
  MOST_FLARE,
  type Item,
  type Measured,
  type MeasuredSetup,
  type SetupFigure,
} from '../setup';
import { neededTurn, stopsOf, turningFeet, TURNS, type Stop } from '../turn';
import { nearestDose } from './doses';
import type { AdvisedFigure, Case } from './types';

/** A case as it stands: measured once, and what is asked of it again and again worked out once. */
export interface Standing {
  given: Case;
  measured: MeasuredSetup;
  found: Map<SetupFigure, Measured | null>;
  ends: Map<Item, Ends | null>;
  faults: Map<Item, Fault | null>;
  stops: Map<'all', readonly KnownStop[]>;
}

/** A stop that is known, and how much it leaves short of what is needed; negative where it is enough, degrees. */
export type KnownStop = Stop & { missing: number };

/**
 * A case with its ground measured.
 * @param given the case
 * @returns the case as it stands
 */
export const standingOf = (given: Case): Standing => ({
  given,
  measured: measureSetup(given.setup),
  found: new Map(),
  ends: new Map(),
  faults: new Map(),
  stops: new Map(),
});

/** What was worked out of a key before, else what is worked out now and kept. */
function once<Key, Value>(kept: Map<Key, Value>, key: Key, work: () => Value): Value {
  const known = kept.get(key);
  if (known !== undefined) return known;
  const value = work();
  kept.set(key, value);
  return value;
}

/** A stop that the judgement goes by: its leg was tested, or a measured turn told of it. */
const goesBy = ({ at, made, name }: Stop): boolean =>
  at !== null && name !== 'trail through' && (!made.usual || made.calibrated);

/**
 * The stops of tested legs on these feet; norms are left out.
 * @param standing the case
 * @returns the stops; none where the legs or the flares are not known
 */
export const knownStops = (standing: Standing): readonly KnownStop[] =>
  once(standing.stops, 'all', () => {
    const { body, bands, goal, setup, leadHeelLift } = standing.given;
    const feet = body && turningFeet(setup, leadHeelLift, ownFlareDifference(bands));
    if (!body || !feet) return [];
    return TURNS.flatMap((turn) => {
      const needed = neededTurn(turn, body, goal).value;
      return stopsOf(turn, body, feet)
        .filter(goesBy)
        .map((stop) => ({ ...stop, missing: needed - stop.at!.value }));
    });
  });

/** A figure with how sure it is; null where nobody looked. */
const foundOf = ({ found, measured }: Standing, name: SetupFigure): Measured | null =>
  once(found, name, () => measuredFigure(measured, name));

/** The item that a figure is read as: a trail foot set back as the line that it makes. */
export function itemOf(figure: Exclude<AdvisedFigure, 'leadHeelLift'>): Item;
export function itemOf(figure: AdvisedFigure): Item | 'leadHeelLift';
export function itemOf(figure: AdvisedFigure): Item | 'leadHeelLift' {
  return figure === 'setback' ? 'stanceLine' : figure;
}

/** The figure that is moved where an item is put right. */
export const figureOfItem = (item: Item): AdvisedFigure | null => {
  if (item === 'stanceLine') return 'setback';
  return item === 'hipGap' || item === 'hipTurn' || item === 'shoulderTurn' ? null : item;
};

/**
 * A figure of a case where it was measured or seen.
 * @param standing the case
 * @param name which figure
 * @returns mm, degrees or percent; undefined where nobody looked
 */
export const valueOf = (standing: Standing, name: SetupFigure | 'leadHeelLift'): number | undefined =>
  name === 'leadHeelLift' ? standing.given.leadHeelLift : foundOf(standing, name)?.value;

/** Where a figure has to lie, and the figure that is aimed at. */
export interface Ends {
  low: number;
  high: number;
  aim: number;
}

/** A foot is never asked to point further in than it does by itself. */
function naturalToeOut({ body, bands }: Case, item: Item): number {
  if (item !== 'leadFlare' && item !== 'trailFlare') return -Infinity;
  const natural = body?.naturalToeOut?.[item === 'leadFlare' ? 'lead' : 'trail'];
  const high = bands.figures[item]?.high ?? MOST_FLARE;
  return natural === undefined ? -Infinity : Math.min(nearestDose(natural, 'degrees'), high, MOST_FLARE);
}

/**
 * The ends a figure has to lie within, no narrower than it was measured, and what is aimed at: the figure that the method
 * teaches, or the middle of the student's own band.
 * @param standing the case
 * @param item which item
 * @returns the ends in its own unit; null where it was not measured or nothing is asked of it
 */
export const endsOf = (standing: Standing, item: Item): Ends | null =>
  once(standing.ends, item, () => workedEnds(standing, item));

function workedEnds(standing: Standing, item: Item): Ends | null {
  const { given } = standing;
  const found = foundOf(standing, item);
  const band = given.bands.figures[questionOf(item)];
  if (!found || !band) return null;
  const { low, high } = noNarrower(band, found.uncertainty);
  return { low, high, aim: Math.max(taughtFigure(band), naturalToeOut(given, item)) };
}

/** How far a value is outside two ends. */
const outsideBy = (value: number, { low, high }: { low: number; high: number }): number =>
  Math.max(0, low - value, value - high);

/**
 * How much further outside two ends a value goes on either side: one that leaves on the other side goes further too.
 * @param from the value before
 * @param to the value after
 * @param ends low and high
 * @returns in the value's unit; 0 where it goes no further out
 */
export const furtherOut = (from: number, to: number, { low, high }: { low: number; high: number }): number =>
  Math.max(
    0,
    Math.max(0, low - to) - Math.max(0, low - from),
    Math.max(0, to - high) - Math.max(0, from - high),
  );

/** A figure that is out of its band by so much that putting it right is noticed. */
export interface Fault {
  item: Item;
  figure: AdvisedFigure;
  off: 'more' | 'less';
  ends: Ends;
}

/** Rounding of figures that are computed. */
const ROUNDING = 1e-6;

/**
 * Whether an item is out of its band, so that what is aimed at is a noticeable way off.
 * @param standing the case
 * @param item which item
 * @returns the fault; null where it is in, was not measured, or nobody sets it
 */
export const faultOf = (standing: Standing, item: Item): Fault | null =>
  once(standing.faults, item, () => workedFault(standing, item));

function workedFault(standing: Standing, item: Item): Fault | null {
  const ends = endsOf(standing, item);
  const value = valueOf(standing, item);
  const figure = figureOfItem(item);
  if (!ends || value === undefined || !figure) return null;
  const far = Math.abs(ends.aim - value) >= FIGURES[item].justNoticeable - ROUNDING;
  if (outsideBy(value, ends) <= ROUNDING || !far) return null;
  return { item, figure, off: value > ends.high ? 'more' : 'less', ends };
}

const verdictOf = (standing: Standing, item: Item): BandVerdict | undefined => {
  const fault = faultOf(standing, item);
  return fault ? (fault.off === 'more' ? 'above' : 'below') : 'in';
};

/**
 * Whether a fault is there because of another one: that one is put right, and this comes along.
 * @param standing the case
 * @param fault which
 * @returns true for those
 */
export const comesAlong = (standing: Standing, { item, off }: Fault): boolean =>
  causeOf(item, off === 'more' ? 'above' : 'below', (other) => verdictOf(standing, other)) !== null;
