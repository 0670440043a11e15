import { normalProbability } from '../statistics';
import { isScored, type Ladder, type Try } from './ladders';

/** Where a ladder changes, mm or degrees. */
export interface Threshold {
  /** The middle of what is believed, and the ends of its 95% interval. */
  middle: number;
  low: number;
  high: number;
  /** The change lies beyond a rung that was tried, more likely than not: before the first, or after the last. */
  beyond: 'before the first' | 'after the last' | null;
  /** The rung that passes at three tries of five by all that is believed, and asks for no more than that. */
  standOn: number;
  /** Rungs that contradict each other: the one passed although the other, which asks for less, failed. */
  contradictions: readonly { passed: number; failed: number }[];
}

/** The tries of one rung. Which of them was which changes nothing: only how many passed, and how warm they found the body. */
interface Tried {
  rung: number;
  passed: number;
  count: number;
  /** How cold the body was, from 1 at a sitting's first turn toward 0. */
  cold: number;
}

/** Turns after which a body is two thirds of the way to being warm (starting value). */
const WARMING = 3;
/** A score that says nothing of the body (starting value). */
const LAPSE = 0.03;
/** What a student's own spread and warming may be, as shares of the usual ones, with how likely each is. */
const SPREADS = [
  [0.6, 0.25],
  [1, 0.5],
  [1.5, 0.25],
] as const;
const WARM_UPS = [
  [0, 0.35],
  [0.5, 0.2],
  [1, 0.3],
  [1.8, 0.15],
] as const;
const ALWAYS_WARM = [[0, 1]] as const;
/** Three tries of five are the least that counts as doing it, and a little more (starting value). */
const COMFORTABLE = 0.6;
const STEPS_A_RUNG = 5;
/** Beyond the ends of a ladder a change is looked for as far as this, in spreads. */
const REACH = 4;

function byRung(tries: readonly Try[]): Tried[] {
  const rungs = new Map<number, Tried>();
  for (const each of tries.filter(isScored)) {
    const { rung, result, turn } = each;
    const known = rungs.get(rung) ?? { rung, passed: 0, count: 0, cold: 0 };
    const cold = (known.cold * known.count + Math.exp(-turn / WARMING)) / (known.count + 1);
    rungs.set(rung, {
      rung,
      passed: known.passed + (result === 'passed' ? 1 : 0),
      count: known.count + 1,
      cold,
    });
  }
  return [...rungs.values()].sort((a, b) => a.rung - b.rung);
}

/** Values that a change may have, with how likely each is. */
export interface Belief {
  /** mm or degrees, evenly apart. */
  at: readonly number[];
  /** They sum to 1. */
  weights: readonly number[];
}

/** A belief from weights that sum to anything. */
export function beliefOf(at: readonly number[], raw: readonly number[]): Belief {
  const total = raw.reduce((sum, weight) => sum + weight, 0);
  return { at, weights: raw.map((weight) => weight / total) };
}

/** The middle of a belief, and the ends of its 95% interval. */
export const intervalOf = (belief: Belief): Pick<Threshold, 'middle' | 'low' | 'high'> => ({
  middle: quantileOf(belief, 0.5),
  low: quantileOf(belief, 0.025),
  high: quantileOf(belief, 0.975),
});

/** Logarithms of the chance that a try passes, by how many spreads it is over the change: as fine as matters to a curve. */
const FURTHEST = 8;
const A_SPREAD = 50;
const passes = (over: number): number => LAPSE + (1 - 2 * LAPSE) * normalProbability(over);
const LOG_PASSES = Array.from({ length: 2 * FURTHEST * A_SPREAD + 1 }, (_, at) =>
  Math.log(passes(at / A_SPREAD - FURTHEST)),
);

function logPasses(over: number): number {
  const within = Math.min(FURTHEST, Math.max(-FURTHEST, over));
  return LOG_PASSES[Math.round((within + FURTHEST) * A_SPREAD)]!;
}

const logOf = (over: number, { passed, count }: Tried): number =>
  passed * logPasses(over) + (count - passed) * logPasses(-over);

/**
 * What is believed of where a ladder changes: a psychometric function with lapses, its spread and its drift unknown, by
 * Bayes' rule over a grid (Kuss, Jäkel and Wichmann 2005, Bayesian inference for psychometric functions, from memory).
 * @param ladder what is known of it beforehand: nothing of where it changes
 * @param tries in any order
 * @returns the belief; even where nothing was tried
 */
export function believed(ladder: Ladder, tries: readonly Try[]): Belief {
  const { first, last, fine, spread, warmUp, passing } = ladder;
  const step = fine / STEPS_A_RUNG;
  const [from, to] = [first - REACH * spread, last + REACH * spread];
  const at = Array.from({ length: Math.round((to - from) / step) + 1 }, (_, index) => from + index * step);
  const rungs = byRung(tries);
  const sign = passing === 'from' ? 1 : -1;
  const bodies = SPREADS.flatMap(([spreads, likely]) =>
    (warmUp === 0 ? ALWAYS_WARM : WARM_UPS).map(([warmUps, chance]) => ({
      ownSpread: spreads * spread,
      ownWarmUp: warmUps * warmUp,
      prior: Math.log(likely * chance),
    })),
  );
  const logs = at.map((change) =>
    bodies.map(({ ownSpread, ownWarmUp, prior }) =>
      rungs.reduce((sum, tried) => {
        const over = sign * (tried.rung - change) - ownWarmUp * tried.cold;
        return sum + logOf(over / ownSpread, tried);
      }, prior),
    ),
  );
  const most = Math.max(...logs.flat());
  const raw = logs.map((each) => each.reduce((sum, log) => sum + Math.exp(log - most), 0));
  return beliefOf(at, raw);
}

/** The value below which a share of a belief lies. */
export function quantileOf({ at, weights }: Belief, share: number): number {
  let sum = 0;
  for (const [index, weight] of weights.entries()) {
    sum += weight;
    if (sum >= share) return at[index]!;
  }
  return at[at.length - 1]!;
}

/**
 * The chance that a try of a warm body passes on a rung, by all that is believed of the change and the usual spread.
 * @param belief of where the change lies
 * @param ladder the ladder
 * @param rung mm or degrees
 * @returns 0 to 1
 */
export const chanceOn = ({ at, weights }: Belief, { passing, spread }: Ladder, rung: number): number =>
  at.reduce((sum, change, index) => {
    const over = passing === 'from' ? rung - change : change - rung;
    return sum + weights[index]! * normalProbability(over / spread);
  }, 0);

/** The rungs of a ladder, from its first to its last. */
export const rungsOf = ({ first, last, fine }: Ladder): number[] =>
  Array.from({ length: Math.round((last - first) / fine) + 1 }, (_, index) => first + index * fine);

function standOn(belief: Belief, ladder: Ladder): number {
  const rungs = rungsOf(ladder);
  // The least that does it where more passes; the most that still does where less passes.
  const order = ladder.passing === 'from' ? rungs : [...rungs].reverse();
  return order.find((rung) => chanceOn(belief, ladder, rung) >= COMFORTABLE) ?? order[order.length - 1]!;
}

/** Rungs two steps apart or more that say the opposite of each other, every try of them. */
function contradictionsOf(rungs: readonly Tried[], { passing, fine }: Ladder): Threshold['contradictions'] {
  const sign = passing === 'from' ? 1 : -1;
  const passed = rungs.filter((each) => each.passed === each.count);
  const failed = rungs.filter((each) => each.passed === 0);
  return passed.flatMap((yes) =>
    failed
      .filter((no) => sign * (no.rung - yes.rung) >= 2 * fine)
      .map((no) => ({ passed: yes.rung, failed: no.rung })),
  );
}

/**
 * Where a ladder changes for this student.
 * @param ladder the ladder
 * @param tries in any order, of any number of sittings
 * @returns the change with its 95% interval; null where nothing was scored
 */
export function thresholdOf(ladder: Ladder, tries: readonly Try[]): Threshold | null {
  const rungs = byRung(tries);
  if (rungs.length === 0) return null;
  const belief = believed(ladder, tries);
  const { middle, low, high } = intervalOf(belief);
  return {
    middle,
    low,
    high,
    beyond:
      middle < rungs[0]!.rung
        ? 'before the first'
        : middle > rungs[rungs.length - 1]!.rung
          ? 'after the last'
          : null,
    standOn: standOn(belief, ladder),
    contradictions: contradictionsOf(rungs, ladder),
  };
}

/**
 * The student's own band that a change makes.
 * @param threshold the change
 * @param ladder the ladder
 * @returns between the rung to stand on and as far as the change may be on the side that passes, a step at least; its unit
 */
export function ownBand(
  { standOn, low, high }: Pick<Threshold, 'standOn' | 'low' | 'high'>,
  { fine, passing }: Pick<Ladder, 'fine' | 'passing'>,
): { low: number; high: number } {
  return passing === 'from'
    ? { low: standOn, high: Math.max(standOn + fine, Math.round(high)) }
    : { low: Math.min(standOn - fine, Math.round(low)), high: standOn };
}
