import type { Remedy } from '../body';
import { noNarrower, postingLimit, questionOf, travelToPost, verdictFor, type BandVerdict } from '../method';
import { causeOf } from '../reading';
import { figureOf, FIGURES, measureSetup, uncertaintyOf, type Item, type Part } from '../setup';
import {
  mostMissing,
  NOTHING_MISSING,
  stepsShort,
  toldMissing,
  untilDone,
  type GoalMeasure,
} from './measure';
import { slotOf, stateOf, TOE_LINE, type State } from './state';
import type { Measured } from './turnGoals';
import type { AdvisedFigure, Case, GoalName } from './types';

/** What can just be noticed of posting (starting value), hip breadths. */
const POSTING_STEP = 0.1;

type Missing = GoalMeasure['missing'];

const plain = (missing: Missing): Measured => ({
  missing,
  untilReached: false,
  kept: false,
  beyond: null,
});

/**
 * How getting onto the lead foot is judged: how far the lead hip has to go, or by how wide this student was found to be able
 * to stand.
 * @param given the case
 * @returns the measure, in steps of a tenth of a hip breadth
 */
export function posting(given: Case): Measured {
  const { build, club, widest } = given;
  const [width, bump] = [slotOf('stanceWidth'), slotOf('hipBump')];
  const limit = postingLimit(club);
  // Half of what a stance is narrowed by comes off the way of the lead hip.
  const stepOfWidth = 2 * POSTING_STEP * build.hipBreadth.value;
  const measured: Missing = (state) => {
    if (widest !== undefined && widest !== null)
      return Number.isNaN(state[width]!) ? 0 : (state[width]! - widest) / stepOfWidth;
    const pushed = state[bump]!;
    const travel = travelToPost(build, state[width]!, Number.isNaN(pushed) ? 0 : pushed);
    return Number.isNaN(travel) ? 0 : (travel - limit) / POSTING_STEP;
  };
  return { ...plain(mostMissing(measured, toldMissing(given, 'posting'))), untilReached: true };
}

/** What a tell-tale asks to be put right where the method leaves it free (common practice, no source), mm. */
const USUAL_BANDS: Partial<Record<Item, { low: number; high: number }>> = {
  trailKneeInside: { low: 0, high: 30 },
  hipBump: { low: 15, high: 35 },
};

/** Tell-tales that ask for those. */
const swaysIn = ({ setup }: Case): boolean => setup.posture?.tellTales?.includes('sways') ?? false;

/**
 * The ends a figure has to lie within, no narrower than it was measured.
 * @param given the case
 * @param item which item
 * @returns the ends in its own unit; null where it was not measured or nothing is asked of it
 */
export function endsOf(given: Case, item: Item): { low: number; high: number } | null {
  const { setup, bands } = given;
  const uncertainty = uncertaintyOf(measureSetup(setup), item);
  if (uncertainty === null) return null;
  const band = bands.figures[questionOf(item)];
  if (band) {
    const { low, high } = noNarrower(band, uncertainty);
    return { low, high };
  }
  return (swaysIn(given) && USUAL_BANDS[item]) || null;
}

/** Where an item is to its band today; undefined where nothing is asked of it or it was not measured. */
function verdictOf(given: Case, item: Item): BandVerdict | undefined {
  const ends = endsOf(given, item);
  const value = figureOf(given.setup, item);
  return ends && value !== undefined ? verdictFor(value, ends.low, ends.high) : undefined;
}

/** The same for what is out by a step at least. */
function plainVerdictOf(given: Case, item: Item): BandVerdict | undefined {
  const { low, high } = endsOf(given, item) ?? { low: -Infinity, high: Infinity };
  const value = figureOf(given.setup, item) ?? low;
  const out = Math.max(low - value, value - high) / FIGURES[item].justNoticeable;
  return stepsShort(out) > 0 ? verdictOf(given, item) : 'in';
}

/**
 * Whether an item is out because of another one that plainly is: that one is put right, and this comes along.
 * @param given the case
 * @param item which item
 * @returns true for those
 */
export function comesAlong(given: Case, item: Item): boolean {
  const verdict = verdictOf(given, item);
  if (verdict === undefined || verdict === 'in') return false;
  return causeOf(item, verdict, (other) => plainVerdictOf(given, other)) !== null;
}

/** The whole steps that all of these are outside their bands together. */
function outside(given: Case, all: readonly Item[]): Missing {
  const items = all.filter((item) => !comesAlong(given, item));
  const banded = items.flatMap((item) => {
    const ends = endsOf(given, item);
    const slot = item === 'stanceLine' ? TOE_LINE : slotOf(item as AdvisedFigure);
    return ends ? [{ slot, ...ends, step: FIGURES[item].justNoticeable }] : [];
  });
  if (banded.length === 0) return NOTHING_MISSING;
  return (state) => {
    let steps = 0;
    for (const { slot, low, high, step } of banded) {
      const value = state[slot]!;
      if (value < low) steps += stepsShort((low - value) / step);
      else if (value > high) steps += stepsShort((value - high) / step);
    }
    return steps;
  };
}

const BAND_ITEMS: Record<Part, readonly Item[]> = {
  feet: ['stanceWidth', 'leadFlare', 'trailFlare', 'stanceLine'],
  knees: ['trailKneeInside', 'trailKneeFlex'],
  hips: ['hipBump', 'hipLine'],
  shoulders: ['shoulderLine', 'shoulderTilt'],
  hands: ['clubFace', 'shaftLean'],
  swing: ['trailKneeBack'],
};

/**
 * How the method's bands of one part of the body are judged.
 * @param given the case
 * @param part which part
 * @returns the measure, in steps that can just be noticed
 */
export function bandsOfPart(given: Case, part: Part): Measured {
  const told = part === 'knees' ? toldMissing(given, 'knees') : null;
  return plain(mostMissing(outside(given, BAND_ITEMS[part]), told));
}

const LOAD_ITEMS = ['leadShare', 'leadHeelToe', 'trailHeelToe'] as const;

/**
 * Whether the weight was felt at one end of the shoes and no figure says where it is.
 * @param given the case
 * @returns true for those
 */
export const loadFeltOff = (given: Case): boolean =>
  given.feltUnder !== undefined && !given.setup.measured.leadHeelToe && !given.setup.measured.trailHeelToe;

/**
 * How the load is judged. A load that was measured in its bands does not explain a tell-tale; one that was only felt is short
 * by a step.
 * @param given the case
 * @returns the measure, in steps of 5%
 */
export function load(given: Case): Measured {
  const measured = outside(given, LOAD_ITEMS);
  const known = LOAD_ITEMS.every((item) => endsOf(given, item));
  const explained = known && measured(stateOf(given)) === 0;
  const felt = loadFeltOff(given) ? untilDone('load') : null;
  return plain(mostMissing(measured, felt, explained ? null : toldMissing(given, 'load')));
}

/**
 * How the way of the weight in the swing is judged: short by a step where a pattern was seen, until it is worked at.
 * @param given the case
 * @returns the measure
 */
export const pressure = ({ pressure: seen }: Case): Measured =>
  plain(seen ? untilDone('pressure') : NOTHING_MISSING);

/**
 * How the ball is judged.
 * @param given the case
 * @returns the measure, in steps that can just be noticed
 */
export const ball = (given: Case): Measured => plain(outside(given, ['ballAlong', 'ballOut']));

/** Clubs of which one with less loft is the plainer choice for a pitch. */
const LOFTED: readonly Case['club'][] = ['gap-wedge', 'sand-wedge', 'lob-wedge'];

/**
 * Fat and thin pitches with a lofted club: less loft is the plainer choice.
 * @param given the case
 * @returns the measure
 */
export function loft({ cameFor, shot, club }: Case): Measured {
  const struck = cameFor.includes('fat') || cameFor.includes('thin');
  if (shot !== 'pitch' || !struck || !LOFTED.includes(club)) return plain(NOTHING_MISSING);
  return plain(untilDone('less loft'));
}

/** A joint that hurts has its preferred change made once, by a step at least, up to here (starting value), degrees. */
const SPARED_TO: Partial<Record<Item, number>> = { leadFlare: 35, trailFlare: 30 };

/** Changes that what hurts or was mended prefers, and that are still open: neither made before nor at their end. */
function preferredOf({ cautions, agreed }: Case, today: State): Remedy[] {
  return cautions
    .filter(({ withholds, prefers }) => withholds.length > 0 && prefers.length > 0)
    .flatMap(({ prefers }) => prefers)
    .filter(({ item, by }) => {
      const most = SPARED_TO[item];
      const made = agreed.some((each) => each.item === item && each.by === by);
      return most !== undefined && by === 'more' && !made && today[slotOf(item as AdvisedFigure)]! < most;
    });
}

/**
 * How sparing a joint that hurts is judged: short by a step until what it prefers is done by a step.
 * @param given the case
 * @returns the measure
 */
export function sparing(given: Case): Measured {
  const today = stateOf(given);
  const preferred = given.shot === 'pitch' ? [] : preferredOf(given, today);
  if (preferred.length === 0) return plain(NOTHING_MISSING);
  const wanted = preferred.map(({ item }) => ({
    slot: slotOf(item as AdvisedFigure),
    step: FIGURES[item].justNoticeable,
  }));
  return plain((state) => (wanted.some(({ slot, step }) => state[slot]! - today[slot]! >= step) ? 0 : 1));
}

/** Which goals the bands of each part of the body are. */
export const PART_GOALS = Object.keys(BAND_ITEMS) as (Part & GoalName)[];
