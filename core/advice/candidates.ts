import type { Remedy } from '../body';
import { hasRemedy } from '../body/facts';
import { MOST_FLARE } from '../fit/model';
import { questionOf } from '../method';
import { MORE_TURN, neverAsked } from '../reading';
import { FIGURES, isByMat, measureAddress, turnStance, type FigureName, type Item } from '../setup';
import { MOST_LIFT_MM } from '../turn';
import { radians } from '../units';
import { slotOf, slotOfThing, TOE_LINE, toesApart, type State } from './state';
import { toldPath } from './pathTold';
import { endsOf, loadFeltOff } from './bandGoals';
import { SERVED_BY } from './order';
import { stepsShort, type GoalMeasure } from './measure';
import { askedByTellTales } from './shortfalls';
import { ADVISED_FIGURES, type AdvisedFigure, type Case, type GoalName, type Thing } from './types';

/** One way of doing a thing: the slots it sets, and how large a change that is in what can just be noticed. */
export interface Candidate {
  thing: Thing;
  slots: readonly number[];
  values: readonly number[];
  size: number;
}

/** So fine flares and lengths are looked for, degrees and mm. */
export interface Fineness {
  flare: number;
  length: number;
  setback: number;
}
export const COARSE: Fineness = { flare: 5, length: 20, setback: 20 };
export const FINE: Fineness = { flare: 2.5, length: 10, setback: 10 };
const LIFTS = [5, 10, 15, 20, MOST_LIFT_MM] as const;

/**
 * A playable line: the trail toe back to the middle of the lead shoe, or a touch ahead of it (common practice, no
 * source), shoe lengths; and no line turned or brought further from square than this (starting value), degrees.
 */
const MOST_BACK = 0.5;
const MOST_AHEAD = 0.15;
const MOST_LINE = 10;
/** Turning the whole stance by less is not worth a student's trouble (starting value), degrees. */
const LEAST_LINE = 5;
/** A stance is made narrower than its band by so much at most, for a body that cannot post on it (starting value), mm. */
const BELOW_BAND = 120;

const noticeable = (figure: FigureName, by: number): number => Math.abs(by) / FIGURES[figure].justNoticeable;

/** Whether a figure may be moved by so much: never what is barred, by one step where it is limited. */
export type Allowed = (item: Item, by: number) => boolean;

/**
 * What facts, hurt legs, posture and earlier advice allow of each figure.
 * @param given the case
 * @returns whether an item may be moved by so much, in its own unit
 */
export function allowedOf(given: Case): Allowed {
  const { cautions, setup, agreed } = given;
  const losesIt = setup.posture?.tellTales?.includes('loses the club at the top') ?? false;
  const barred = cautions.flatMap(({ withholds }) => withholds);
  const never = [...neverAsked(given, barred), ...(losesIt ? MORE_TURN : [])];
  const limited = cautions.flatMap(({ limits }) => limits);
  return (item, by) => {
    if (by === 0) return true;
    // What was agreed on is tried before it is moved again, and never taken back in the same lesson.
    if (agreed.some((each) => each.item === item)) return false;
    const asked: Remedy = { item, by: by > 0 ? 'more' : 'less' };
    if (hasRemedy(never, asked)) return false;
    return !hasRemedy(limited, asked) || noticeable(item, by) <= 1;
  };
}

/** Whole steps from today within two ends, today itself among them. */
function stepsWithin(today: number, step: number, low: number, high: number): number[] {
  const values: number[] = [];
  for (let at = Math.ceil((low - today) / step); at <= Math.floor((high - today) / step); at += 1) {
    values.push(today + at * step);
  }
  return values;
}

/** What making candidates takes along. */
interface Making {
  given: Case;
  today: State;
  allowed: Allowed;
  fineness: Fineness;
  /** Whether any of these goals is short today. */
  isShort: (...goals: readonly GoalName[]) => boolean;
}

const todayOf = ({ today }: Making, figure: AdvisedFigure): number => today[slotOf(figure)]!;

/** A figure that may be moved: it was measured, and the coach did not pin it. */
const movable = ({ given, today }: Making, figure: AdvisedFigure): boolean =>
  !given.pinned.includes(figure) && !Number.isNaN(today[slotOf(figure)]!);

const candidate = (thing: Thing, moved: readonly [AdvisedFigure, number, number][]): Candidate => ({
  thing,
  slots: [...moved.map(([figure]) => slotOf(figure)), slotOfThing(thing)],
  values: [...moved.map(([, , to]) => to), 1],
  size: moved.reduce((sum, [figure, from, to]) => sum + noticeable(figure, to - from), 0),
});

/** Values a single figure may take, with whether it may be moved there. */
function movesOf(making: Making, figure: AdvisedFigure & Item, values: readonly number[]): number[] {
  const today = todayOf(making, figure);
  return values.filter(
    (value) => noticeable(figure, value - today) >= 1 && making.allowed(figure, value - today),
  );
}

/** A foot is never asked to point in from where it does by itself, or further than its method has it on a pitch. */
function flares(making: Making, foot: 'lead' | 'trail'): number[] {
  const figure = `${foot}Flare` as const;
  const today = todayOf(making, figure);
  const natural = making.given.body?.naturalToeOut?.[foot] ?? 0;
  const band = endsOf(making.given, figure);
  const low = Math.min(band?.low ?? 0, Math.max(0, natural), MOST_FLARE);
  // A square lead foot is hard on the knee: it is turned in no further than the method has it.
  const knee = foot === 'lead' ? (band?.low ?? 0) : 0;
  const inward = making.given.shot === 'pitch' ? low : Math.max(knee, low);
  return stepsWithin(
    today,
    making.fineness.flare,
    Math.min(today, inward),
    Math.max(today, MOST_FLARE),
  ).filter((value) => making.allowed(figure, value - today));
}

function leadFoot(making: Making): Candidate[] {
  if (!movable(making, 'leadFlare')) return [];
  const today = todayOf(making, 'leadFlare');
  return flares(making, 'lead')
    .filter((value) => noticeable('leadFlare', value - today) >= 1)
    .map((value) => candidate('lead foot', [['leadFlare', today, value]]));
}

/** How far the trail toe may be ahead and back by the shoe and by the line, as far as it is today at least, mm. */
function playable(making: Making): { ahead: number; back: number } {
  const { length } = making.given.setup.address.shoe;
  const today = todayOf(making, 'setback');
  const apart = toesApart(making.today, length);
  const byLine = Number.isNaN(apart) ? Infinity : apart * Math.tan(radians(MOST_LINE));
  return {
    ahead: Math.min(today, -Math.min(MOST_AHEAD * length, byLine)),
    back: Math.max(today, Math.min(MOST_BACK * length, byLine)),
  };
}

/** Setbacks are looked for where the line has something to give. */
function setbacks(making: Making): number[] {
  const today = todayOf(making, 'setback');
  const { low, high } = endsOf(making.given, 'stanceLine') ?? { low: -Infinity, high: Infinity };
  const line = making.today[TOE_LINE]!;
  const useful =
    making.isShort('turn back', 'turn through', 'too much turn') ||
    (making.isShort('path') && toldPath(making.given) !== null) ||
    line < low ||
    line > high;
  if (!movable(making, 'setback') || !useful) return [today];
  const { ahead, back } = playable(making);
  const values = stepsWithin(today, making.fineness.setback, ahead, back);
  return values.filter((value) => making.allowed('stanceLine', value - today));
}

function trailFoot(making: Making): Candidate[] {
  if (Number.isNaN(todayOf(making, 'trailFlare'))) return [];
  const flare = todayOf(making, 'trailFlare');
  const back = todayOf(making, 'setback');
  const turned =
    making.given.pinned.includes('trailFlare') ||
    !making.isShort('turn back', 'too much turn', 'sparing', 'feet')
      ? [flare]
      : flares(making, 'trail').filter(
          (value) => value === flare || noticeable('trailFlare', value - flare) >= 1,
        );
  const placed = Number.isNaN(back) ? [back] : setbacks(making);
  return turned.flatMap((toFlare) =>
    placed.flatMap((toBack) => {
      const moved: [AdvisedFigure, number, number][] = [
        ...(toFlare === flare ? [] : [['trailFlare', flare, toFlare] as [AdvisedFigure, number, number]]),
        ...(Object.is(toBack, back) ? [] : [['setback', back, toBack] as [AdvisedFigure, number, number]]),
      ];
      return moved.length === 0 ? [] : [candidate('trail foot', moved)];
    }),
  );
}

/** The whole stance turned about its middle: both flares and the line together. */
function wholeLine(making: Making): Candidate[] {
  const { given, allowed } = making;
  const figures = ['leadFlare', 'trailFlare', 'setback', 'stanceWidth'] as const;
  if (!figures.every((figure) => movable(making, figure))) return [];
  const { ahead, back } = playable(making);
  return stepsWithin(0, making.fineness.flare, -MOST_LINE, MOST_LINE).flatMap((angle) => {
    if (Math.abs(angle) < LEAST_LINE || !allowed('stanceLine', angle)) return [];
    const after = measureAddress(turnStance(given.setup.address, angle));
    const moved = figures.map((figure): [AdvisedFigure, number, number] => [
      figure,
      todayOf(making, figure),
      after[figure],
    ]);
    const within =
      after.setback >= ahead &&
      after.setback <= back &&
      allowed('stanceWidth', after.stanceWidth - todayOf(making, 'stanceWidth')) &&
      (['leadFlare', 'trailFlare'] as const).every(
        (figure) =>
          allowed(figure, after[figure] - todayOf(making, figure)) &&
          after[figure] >= Math.min(0, todayOf(making, figure)) &&
          after[figure] <= MOST_FLARE,
      );
    // It is one move to a coach: as large as the line's own.
    return within ? [{ ...candidate('line', moved), size: noticeable('stanceLine', angle) }] : [];
  });
}

function width(making: Making): Candidate[] {
  if (!movable(making, 'stanceWidth')) return [];
  const today = todayOf(making, 'stanceWidth');
  const band = endsOf(making.given, 'stanceWidth');
  if (!band) return [];
  const values = stepsWithin(
    today,
    making.fineness.length,
    Math.min(today, band.low - BELOW_BAND),
    Math.max(today, band.high),
  );
  return movesOf(making, 'stanceWidth', values).map((value) =>
    candidate('width', [['stanceWidth', today, value]]),
  );
}

/** Steps from today to the far end of the band, for figures that bear on little else. */
function toBand(
  making: Making,
  thing: Thing,
  figure: AdvisedFigure & Item,
  step: number = FIGURES[figure].justNoticeable,
): Candidate[] {
  const band = endsOf(making.given, figure);
  if (!band || !movable(making, figure)) return [];
  const today = todayOf(making, figure);
  const values = stepsWithin(today, step, Math.min(today, band.low), Math.max(today, band.high));
  const nearest = Math.min(band.high, Math.max(band.low, today));
  return movesOf(making, figure, [...new Set([...values, nearest])]).map((value) =>
    candidate(thing, [[figure, today, value]]),
  );
}

/** The loads put within their bands, each alone and all together. */
function load(making: Making): Candidate[] {
  const { given, allowed } = making;
  const figures = ['leadShare', 'leadHeelToe', 'trailHeelToe'] as const;
  const placed = (to: 'edge' | 'middle') =>
    figures.flatMap((figure): [AdvisedFigure, number, number][] => {
      const band = given.bands.figures[questionOf(figure)];
      if (!band || !movable(making, figure)) return [];
      const today = todayOf(making, figure);
      const edge = Math.min(band.high, Math.max(band.low, today));
      const value = edge === today || to === 'edge' ? edge : band.middle;
      return value === today || !allowed(figure, value - today) ? [] : [[figure, today, value]];
    });
  const made = [placed('edge'), placed('middle')].filter((moved) => moved.length > 0);
  return made.map((moved) => candidate('load', moved));
}

/** Things a coach says without a figure: asked for by a tell-tale, or never measured in figures. */
function withoutFigures(making: Making): Candidate[] {
  const { given, today } = making;
  const asked = askedByTellTales(given);
  const unmeasured = (figures: readonly AdvisedFigure[]) =>
    figures.every((figure) => Number.isNaN(today[slotOf(figure)]!));
  const said: Thing[] = [];
  if (asked.includes('trail foot release')) said.push('trail foot release');
  if (making.isShort('too much turn')) said.push('shorter swing');
  if (making.isShort('loft')) said.push('less loft');
  if (making.isShort('pressure')) said.push('pressure');
  if ((asked.includes('load') && unmeasured(['leadHeelToe', 'trailHeelToe'])) || loadFeltOff(given))
    said.push('load');
  if (asked.includes('trail knee') && unmeasured(['trailKneeInside'])) said.push('trail knee');
  if (making.isShort('path') && toldPath(given) === null) said.push('face');
  return said.filter((thing) => !given.done.includes(thing)).map((thing) => candidate(thing, []));
}

function leadHeelUp(making: Making): Candidate[] {
  const { pinned, done } = making.given;
  if (!making.isShort('turn back') || pinned.includes('leadHeelLift') || done.includes('lead heel up'))
    return [];
  const today = todayOf(making, 'leadHeelLift');
  return LIFTS.filter((lift) => lift > today).map((lift) =>
    candidate('lead heel up', [['leadHeelLift', today, lift]]),
  );
}

/** Path and pressure drag each other: where a mat told the one and shots the other, they are worked at one at a time. */
const pathWaits = (given: Case): boolean =>
  !!given.pressure && isByMat(given.pressure) && !given.done.includes('pressure') && toldPath(given) !== null;

/**
 * Every way of doing each thing that this case allows.
 * @param given the case
 * @param measures how each of its goals is judged
 * @param today its figures as they stand
 * @param fineness how fine flares and lengths are looked for
 * @returns the candidates, things of one kind together
 */
export function candidatesOf(
  given: Case,
  measures: readonly GoalMeasure[],
  today: State,
  fineness: Fineness,
): Candidate[] {
  const short = new Set(
    measures.flatMap(({ goal, missing }) => (stepsShort(missing(today)) > 0 ? [goal] : [])),
  );
  const making: Making = {
    given,
    today,
    allowed: allowedOf(given),
    fineness,
    isShort: (...goals) => goals.some((goal) => short.has(goal)),
  };
  const serving = new Set(
    [...short].filter((goal) => goal !== 'path' || !pathWaits(given)).flatMap((goal) => SERVED_BY[goal]),
  );
  return [
    ...leadFoot(making),
    ...trailFoot(making),
    ...wholeLine(making),
    ...width(making),
    ...load(making),
    ...toBand(making, 'ball', 'ballAlong', fineness.length),
    ...toBand(making, 'ball', 'ballOut'),
    ...toBand(making, 'hips', 'hipBump'),
    ...toBand(making, 'hips', 'hipLine'),
    ...toBand(making, 'trail knee', 'trailKneeInside'),
    ...toBand(making, 'trail knee', 'trailKneeFlex'),
    ...toBand(making, 'trail knee', 'trailKneeBack'),
    ...toBand(making, 'shoulders', 'shoulderLine', 2),
    ...toBand(making, 'tilt', 'shoulderTilt'),
    ...toBand(making, 'face', 'clubFace'),
    ...toBand(making, 'face', 'shaftLean'),
    ...leadHeelUp(making),
    ...withoutFigures(making),
  ].filter(({ thing }) => serving.has(thing));
}

/** Nearer than this a finer candidate is near a coarser one, mm and degrees. */
const NEAR_LENGTH = 100;
const NEAR_ANGLE = 10;
const LENGTHS = new Set(ADVISED_FIGURES.filter((figure) => FIGURES[figure].unit === 'mm').map(slotOf));

/**
 * Finer candidates near those of a plan.
 * @param fine all of them
 * @param plan the candidates found among coarser ones
 * @returns those of the same things whose figures are near
 */
export function near(fine: readonly Candidate[], plan: readonly Candidate[]): Candidate[] {
  const within = (a: Candidate, b: Candidate) =>
    a.thing === b.thing &&
    a.slots.every((slot, at) => {
      const found = b.slots.indexOf(slot);
      const most = LENGTHS.has(slot) ? NEAR_LENGTH : NEAR_ANGLE;
      return found < 0 || Math.abs(a.values[at]! - b.values[found]!) <= most;
    });
  return fine.filter((each) => plan.some((one) => within(each, one)));
}
