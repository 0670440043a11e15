import { degrees, radians } from '../ground';
import { backLimit, JUST_NOTICEABLE, MOST_LIFT_MM, STEPS, toesApart, type FitModel } from './model';
import type { MoveName } from './types';

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

/** Whether one of two answers is to be preferred: below zero for the first. */
export type Prefer = (a: Found, b: Found) => number;

const ROUNDING = 1e-9;
const inside = (value: number, { low, high }: { low: number; high: number }): boolean =>
  value >= low - ROUNDING && value <= high + ROUNDING;

const sizeOf = (move: MoveName, by: number): number => Math.abs(by) / JUST_NOTICEABLE[move];

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
  const step = STEPS[move];
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

interface Choices {
  stanceWidth: readonly number[];
  leadFlare: readonly number[];
  trailFlare: readonly number[];
  leadHeelLift: readonly number[];
}

/** What each move may be in a search in which only these moves are made. */
function choicesFor(model: FitModel, made: ReadonlySet<Together>): Choices | null {
  const { today, width, leadFlare, trailFlare } = model;
  const searched = {
    low: Math.max(width.low, WIDTH_SEARCHED.low),
    high: Math.min(width.high, WIDTH_SEARCHED.high),
  };
  const kept = (value: number, range: { low: number; high: number }) => (inside(value, range) ? [value] : []);
  const choices = {
    stanceWidth: made.has('stanceWidth')
      ? valuesOf(model, 'stanceWidth', searched)
      : kept(today.stanceWidth, width),
    leadFlare: made.has('leadFlare')
      ? valuesOf(model, 'leadFlare', leadFlare)
      : kept(today.leadFlare, leadFlare),
    trailFlare: made.has('trailFlare')
      ? valuesOf(model, 'trailFlare', trailFlare)
      : kept(today.trailFlare, trailFlare),
    leadHeelLift: made.has('leadHeelLift')
      ? valuesOf(model, 'leadHeelLift', { low: 0, high: MOST_LIFT_MM })
      : [today.leadHeelLift],
  };
  return Object.values(choices).some((values) => values.length === 0) ? null : choices;
}

/** Toes this far one behind the other make the line lie in its band; null where no step does. */
function setbackFor(model: FitModel, made: ReadonlySet<Together>, apart: number): number | null {
  const { today, line } = model;
  if (!made.has('setback')) {
    return inside(degrees(Math.atan2(today.setback, apart)), line) ? today.setback : null;
  }
  const at = (angle: number) =>
    Math.abs(angle) >= 89 ? Math.sign(angle) * Infinity : apart * Math.tan(radians(angle));
  const range = {
    low: Math.max(at(line.low), -SETBACK_SEARCHED),
    high: Math.min(at(line.high), SETBACK_SEARCHED),
  };
  const value = nearestIn(today.setback, STEPS.setback, range);
  // A move that is not needed is no move: the answer without it is found where it is not made.
  return value === null || value === today.setback ? null : value;
}

/** The moves that bear on their own band alone, each as small as it can be; null where one cannot be. */
function alone(model: FitModel): Partial<Record<MoveName, number>> | null {
  const { today, ball, share, bump, movable } = model;
  const ranges = { ballAlong: ball, leadShare: share, hipBump: bump };
  const values: Partial<Record<MoveName, number>> = {};
  for (const move of ALONE) {
    const value = movable.has(move)
      ? nearestIn(today[move], STEPS[move], ranges[move])
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
  prefer: Prefer;
  /** Whether a larger set of moves is looked at once a smaller one has an answer. */
  stopAtFewest: boolean;
  mostTogether: number;
  allows?: (values: Record<Together, number>) => boolean;
}

/** Everything but the setback is fixed: the answer these feet make, or null. */
function complete(
  model: FitModel,
  made: ReadonlySet<Together>,
  feet: Omit<Record<Together, number>, 'setback'>,
): Record<Together, number> | null {
  const { leadFlare, trailFlare, leadHeelLift, stanceWidth } = feet;
  const { back, through } = model;
  if (back && backLimit(back, leadFlare, trailFlare, leadHeelLift) < back.needed - ROUNDING) return null;
  if (through && through.lead + leadFlare < through.needed - ROUNDING) return null;
  const setback = setbackFor(model, made, toesApart(model, stanceWidth, leadFlare, trailFlare));
  return setback === null ? null : { ...feet, setback };
}

/**
 * Looks through every set of moves for the preferred feet that meet every requirement. Moves are in
 * whole steps from today; the setback is solved for, the others are gone through nearest first and
 * left off where they alone are larger than the best there is.
 */
export function search(
  model: FitModel,
  { prefer, stopAtFewest, mostTogether, allows }: SearchOptions,
): Found | null {
  const rest = alone(model);
  if (!rest) return null;
  const movedAlone = ALONE.filter((move) => rest[move] !== model.today[move]);
  const sizeAlone = movedAlone.reduce((sum, move) => sum + sizeOf(move, rest[move]! - model.today[move]), 0);
  let best: Found | null = null;
  const consider = (values: Record<Together, number>) => {
    if (allows && !allows(values)) return;
    const moved = TOGETHER.filter((move) => values[move] !== model.today[move]);
    const size = moved.reduce((sum, move) => sum + sizeOf(move, values[move] - model.today[move]), sizeAlone);
    const found: Found = {
      values: { ...model.today, ...rest, ...values },
      count: moved.length + movedAlone.length,
      size,
    };
    if (!best || prefer(found, best) < 0) best = found;
  };
  const movable = TOGETHER.filter((move) => model.movable.has(move));
  for (const set of subsets(movable)) {
    if (set.length > mostTogether) break;
    const count = set.length + movedAlone.length;
    if (stopAtFewest && best && (best as Found).count < count) break;
    const made = new Set(set);
    const choices = choicesFor(model, made);
    if (!choices) continue;
    const { today } = model;
    const tooLarge = (size: number) =>
      stopAtFewest &&
      best !== null &&
      (best as Found).count === count &&
      sizeAlone + size >= (best as Found).size;
    for (const leadFlare of choices.leadFlare) {
      const a = sizeOf('leadFlare', leadFlare - today.leadFlare);
      if (tooLarge(a)) break;
      for (const trailFlare of choices.trailFlare) {
        const b = a + sizeOf('trailFlare', trailFlare - today.trailFlare);
        if (tooLarge(b)) break;
        for (const leadHeelLift of choices.leadHeelLift) {
          const c = b + sizeOf('leadHeelLift', leadHeelLift);
          if (tooLarge(c)) break;
          for (const stanceWidth of choices.stanceWidth) {
            if (tooLarge(c + sizeOf('stanceWidth', stanceWidth - today.stanceWidth))) break;
            const values = complete(model, made, { leadFlare, trailFlare, leadHeelLift, stanceWidth });
            if (values) consider(values);
          }
        }
      }
    }
  }
  return best;
}
