import { MOST_LIFT_MM, TURN_PER_LIFT_MM } from '../turn';
import { radians } from '../units';
import { closingAtMost, toeLineOf, turningLines, type FitModel, type Ends, type TurnedOn } from './model';
import type { MoveName } from './types';
import { FIGURES } from '../setup';

/** The moves that bear on one another: the line and the turn hang on all of them. */
const TOGETHER = ['stanceWidth', 'leadFlare', 'trailFlare', 'setback', 'leadHeelLift'] as const;
type Together = (typeof TOGETHER)[number];

/** The moves that bear on their own band alone. */
const ALONE = ['ballAlong', 'leadShare', 'hipBump'] as const;

/** Feet that meet every requirement. */
export interface Found {
  values: Record<MoveName, number>;
  count: number;
  size: number;
}

/** What is preferred above fewer and smaller moves; the least of it is taken. */
type Primary = (on: TurnedOn, toeLine: () => number) => number;

const ROUNDING = 1e-9;
const inside = (value: number, { low, high }: Ends): boolean =>
  value >= low - ROUNDING && value <= high + ROUNDING;

const sizeOf = (move: MoveName, by: number): number => Math.abs(by) / FIGURES[move].justNoticeable;

/** The nearest whole number of steps from today that is in a range; null where there is none. */
function nearestIn(today: number, step: number, range: { low: number; high: number }): number | null {
  if (inside(today, range)) return today;
  const steps =
    today < range.low
      ? Math.ceil((range.low - today) / step - ROUNDING)
      : Math.floor((range.high - today) / step + ROUNDING);
  const value = today + steps * step;
  return inside(value, range) ? value : null;
}

/** Values a move may take, today's own left out, nearest first. */
function valuesOf(model: FitModel, move: Together, range: { low: number; high: number }): number[] {
  const today = model.today[move];
  const step = FIGURES[move].step;
  const first = Math.ceil((range.low - today) / step - ROUNDING);
  const last = Math.floor((range.high - today) / step + ROUNDING);
  const values: number[] = [];
  for (let steps = first; steps <= last; steps += 1) if (steps !== 0) values.push(today + steps * step);
  return values.sort((a, b) => Math.abs(a - today) - Math.abs(b - today));
}

/** Far enough for any stance, where a method has no view on the width (starting value), mm. */
const WIDTH_SEARCHED = { low: 150, high: 900 };

/** The most a toe is taken back or forward in a search (starting value), mm. */
const SETBACK_SEARCHED = 400;

/** So much lift the lead leg needs for the turn back on this lead flare, mm. */
const liftNeeded = ({ back }: FitModel, leadFlare: number): number =>
  back ? Math.max(0, (back.needed - back.lead + leadFlare) / TURN_PER_LIFT_MM - ROUNDING) : 0;

/** Flares that the turn allows: enough lead flare to come through, not too much to go back. */
function leadFlares(model: FitModel, made: ReadonlySet<Together>): number[] {
  const { today, leadFlare: range, through } = model;
  const mostLift = made.has('leadHeelLift') ? MOST_LIFT_MM : 0;
  const given = closingAtMost(model).through;
  const turns = (flare: number) =>
    (!through || through.lead + flare + given >= through.needed - ROUNDING) &&
    liftNeeded(model, flare) <= mostLift;
  const values = made.has('leadFlare')
    ? valuesOf(model, 'leadFlare', range)
    : inside(today.leadFlare, range)
      ? [today.leadFlare]
      : [];
  return values.filter(turns);
}

function trailFlares(model: FitModel, made: ReadonlySet<Together>): number[] {
  const { today, trailFlare: range, back } = model;
  const low = back ? Math.max(range.low, back.needed - back.trail - closingAtMost(model).back) : range.low;
  const enough = { low, high: range.high };
  if (made.has('trailFlare')) return valuesOf(model, 'trailFlare', enough);
  return inside(today.trailFlare, enough) ? [today.trailFlare] : [];
}

const LIFTS = [5, 10, 15, 20, 25] as const;

/** Lifts that do on this lead flare: the least one, or all of them where more may be preferred. */
function liftsFor(
  model: FitModel,
  made: ReadonlySet<Together>,
  leadFlare: number,
  all: boolean,
): readonly number[] {
  if (!made.has('leadHeelLift')) return NO_LIFT;
  const needed = liftNeeded(model, leadFlare);
  const enough = LIFTS.filter((lift) => lift >= needed);
  return all ? enough : enough.slice(0, 1);
}

const NO_LIFT: readonly number[] = [0];

/** How far apart the toes have to be for the line to lie within its ends with the toes where they are. */
function apartFor({ today }: FitModel, line: Ends): Ends {
  const { setback } = today;
  if (Math.abs(setback) < ROUNDING) return inside(0, line) ? { low: 0, high: Infinity } : NOWHERE;
  // The line's angle has the setback's sign, and less of it the further apart the toes are.
  const { low, high } = setback > 0 ? line : { low: -line.high, high: -line.low };
  const size = Math.abs(setback);
  if (high <= 0) return NOWHERE;
  return {
    low: high >= 90 ? 0 : size / Math.tan(radians(high)),
    high: low <= 0 ? Infinity : size / Math.tan(radians(low)),
  };
}

const ANYWHERE = { low: -Infinity, high: Infinity };
const NOWHERE = { low: Infinity, high: -Infinity };

interface Placed {
  stanceWidth: number;
  setback: number;
}

/** Width and setback that put feet of these flares within their bands and on this line, moved as little as can be. */
function placed(
  model: FitModel,
  made: ReadonlySet<Together>,
  beyondHeels: number,
  line: Ends,
  apart: Ends,
): Placed | null {
  const { today, width } = model;
  const free = made.has('setback');
  const range = {
    low: Math.max(
      width.low,
      made.has('stanceWidth') ? WIDTH_SEARCHED.low : -Infinity,
      apart.low - beyondHeels,
    ),
    high: Math.min(
      width.high,
      made.has('stanceWidth') ? WIDTH_SEARCHED.high : Infinity,
      apart.high - beyondHeels,
    ),
  };
  const stanceWidth = made.has('stanceWidth')
    ? nearestIn(today.stanceWidth, FIGURES.stanceWidth.step, range)
    : inside(today.stanceWidth, range)
      ? today.stanceWidth
      : null;
  if (stanceWidth === null) return null;
  if (!free) return { stanceWidth, setback: today.setback };
  const setback = setbackFor(model, stanceWidth + beyondHeels, line);
  if (setback !== null || !made.has('stanceWidth')) return setback === null ? null : { stanceWidth, setback };
  return placedWider(model, beyondHeels, line, stanceWidth, range);
}

/** The setback that puts toes so far apart on the line; null where no whole step does. */
function setbackFor({ today }: FitModel, apart: number, line: Ends): number | null {
  const at = (angle: number) => apart * Math.tan(radians(Math.max(-89, Math.min(89, angle))));
  return nearestIn(today.setback, FIGURES.setback.step, {
    low: Math.max(at(line.low), -SETBACK_SEARCHED),
    high: Math.min(at(line.high), SETBACK_SEARCHED),
  });
}

/** A line may be so narrow that no whole step of setback is on it at one width: the nearest width at which one is. */
function placedWider(
  model: FitModel,
  beyondHeels: number,
  line: Ends,
  from: number,
  range: Ends,
): Placed | null {
  const { step } = FIGURES.stanceWidth;
  for (let steps = 1; steps <= MOST_STEPS_WIDER; steps += 1) {
    for (const stanceWidth of [from - steps * step, from + steps * step]) {
      const setback = inside(stanceWidth, range) ? setbackFor(model, stanceWidth + beyondHeels, line) : null;
      if (setback !== null) return { stanceWidth, setback };
    }
  }
  return null;
}

/** So many steps a narrow line is looked for further out (starting value). */
const MOST_STEPS_WIDER = 20;

/** The moves that bear on their own band alone, each as small as it can be; null where one cannot be. */
function alone(model: FitModel): Partial<Record<MoveName, number>> | null {
  const { today, ball, share, bump, movable } = model;
  const ranges = { ballAlong: ball, leadShare: share, hipBump: bump };
  const values: Partial<Record<MoveName, number>> = {};
  for (const move of ALONE) {
    const value = movable.has(move)
      ? nearestIn(today[move], FIGURES[move].step, ranges[move])
      : inside(today[move], ranges[move])
        ? today[move]
        : null;
    if (value === null) return null;
    values[move] = value;
  }
  return values;
}

/** All sets of these moves, the smallest first. */
function subsets(moves: readonly Together[]): Together[][] {
  const sets = Array.from({ length: 2 ** moves.length }, (_, bits) =>
    moves.filter((_move, at) => (bits >> at) & 1),
  );
  return sets.sort((a, b) => a.length - b.length);
}

interface SearchOptions {
  /** Preferred above fewer and smaller moves; none where fewest moves is all that matters. */
  primary?: Primary;
  mostTogether: number;
  /** Feet that are not turned in from where they are. */
  neverSquarer?: boolean;
  /** Any answer will do. */
  any?: boolean;
}

/** What a search carries along: the problem, what is moved alone, and the best there is. */
interface Searching {
  model: FitModel;
  options: SearchOptions;
  alone: { count: number; size: number };
  best: { primary: number; count: number; size: number; values: Record<Together, number> | null };
}

/** How many of the moves that bear on one another are made, and how large they are together. */
function weighed({ today }: FitModel, values: Record<Together, number>): { count: number; size: number } {
  let count = 0;
  let size = 0;
  for (const move of TOGETHER) {
    const by = values[move] - today[move];
    if (by !== 0) count += 1;
    size += sizeOf(move, by);
  }
  return { count, size };
}

/** Takes an answer where it is better than the best there is. */
function offer({ model, options, alone, best }: Searching, values: Record<Together, number>): void {
  const primary = options.primary ? options.primary(values, () => toeLineOf(model, values)) : 0;
  if (primary > best.primary) return;
  const { count: together, size: large } = weighed(model, values);
  const count = alone.count + together;
  const size = alone.size + large;
  const smaller = count < best.count || (count === best.count && size < best.size - ROUNDING);
  if (primary === best.primary && !smaller) return;
  Object.assign(best, { primary, count, size, values });
}

/** Whether a lead flare can be part of a better answer than the best, by its own size alone. */
function worthwhile({ model, options, alone, best }: Searching, moves: number, leadFlare: number): boolean {
  if (options.primary || alone.count + moves < best.count) return true;
  return alone.size + sizeOf('leadFlare', leadFlare - model.today.leadFlare) < best.size;
}

/** Goes through the feet that a set of moves can make. */
function searchSet(searching: Searching, made: ReadonlySet<Together>): void {
  const { model, options } = searching;
  const { today, shoeLength } = model;
  const free = made.has('setback');
  const onBand = free ? ANYWHERE : apartFor(model, model.line);
  const out = (value: number, from: number) => !options.neverSquarer || value >= from;
  const trails = trailFlares(model, made).filter((flare) => out(flare, today.trailFlare));
  const leads = leadFlares(model, made).filter((flare) => out(flare, today.leadFlare));
  const sines = new Map(trails.map((flare) => [flare, Math.sin(radians(flare))]));
  for (const leadFlare of leads) {
    // Nearest first: the next ones are larger still.
    if (!worthwhile(searching, made.size, leadFlare)) break;
    const lifts = liftsFor(model, made, leadFlare, options.primary !== undefined);
    const sineLead = Math.sin(radians(leadFlare));
    for (const trailFlare of trails) {
      const beyondHeels = shoeLength * (sineLead + sines.get(trailFlare)!);
      const line = turningLines(model, leadFlare, trailFlare);
      const apart = free || line === model.line ? onBand : line && apartFor(model, line);
      const feet = line && apart && placed(model, made, beyondHeels, line, apart);
      if (feet)
        lifts.forEach((leadHeelLift) => offer(searching, { leadFlare, trailFlare, leadHeelLift, ...feet }));
    }
  }
}

/**
 * Looks through every set of moves for the preferred feet that meet every requirement. Moves are in
 * whole steps from today. The flares are gone through one by one; the turn then says which lift
 * they need, and the bands where width and setback have to be, each moved as little as can be: one
 * more step of width never saves more than a step of setback.
 * @param model the problem in whole steps
 * @param options which moves may be used, and how many together
 * @returns the preferred moves, in steps; null where none meet all requirements
 */
export function search(model: FitModel, options: SearchOptions): Found | null {
  const rest = alone(model);
  if (!rest) return null;
  const { today } = model;
  const moved = ALONE.filter((move) => rest[move] !== today[move]);
  const searching: Searching = {
    model,
    options,
    alone: {
      count: moved.length,
      size: moved.reduce((sum, move) => sum + sizeOf(move, rest[move]! - today[move]), 0),
    },
    best: { primary: Infinity, count: Infinity, size: Infinity, values: null },
  };
  const { best } = searching;
  for (const set of subsets(TOGETHER.filter((move) => model.movable.has(move)))) {
    const fewer = !options.primary && set.length + moved.length > best.count;
    if (fewer || set.length > options.mostTogether || (options.any && best.values)) break;
    searchSet(searching, new Set(set));
  }
  return best.values && { values: { ...today, ...rest, ...best.values }, count: best.count, size: best.size };
}
