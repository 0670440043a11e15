import { normalProbability } from '../statistics';
import { isScored, type Ladder, type Try } from './ladders';

/** Why a change is not to be believed: rungs beyond it fail again, or the scores go with no change at all. */
export type LadderDoubt = 'more is not better' | 'no change fits';

/** Where a ladder changes, mm or degrees: where a warm body passes three tries of five. */
export interface Threshold {
  /** The middle of what is believed, and the ends of its 95% interval. */
  middle: number;
  low: number;
  high: number;
  /** It lies beyond a rung that was tried, more likely than not: before the first, or after the last. */
  beyond: 'before the first' | 'after the last' | null;
  /** The rung nearest to the middle; null where it lies beyond what was tried, or the scores are doubted: nothing is offered. */
  standOn: number | null;
  doubt: LadderDoubt | null;
  /** Rungs that contradict each other: the one passed although the other, which asks for less, failed. */
  contradictions: readonly { passed: number; failed: number }[];
}

/** The tries of one rung. Which of them was which changes nothing: only how many passed, and how warm they found the body. */
interface Tried {
  rung: number;
  passed: number;
  count: number;
  /** How cold the body was, from 1 at a sitting's first turn toward 0; how tired, from 0 up, 1 in ten turns too many. */
  cold: number;
  tired: number;
}

/** Turns after which a body is two thirds of the way to being warm (starting value). */
const WARMING = 3;
/** Turns of a sitting after which a body begins to tire, and in how many more it is a full step off (starting values). */
const TIRES = { after: 8, in: 10 };
/** How often a score says nothing of the body, with how likely each is (starting values): some mis-score one in ten. */
const LAPSES = [
  [0.01, 0.3],
  [0.04, 0.4],
  [0.1, 0.3],
] as const;
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
/** How far a tired body is off, in usual spreads (starting values). */
const TIRING = [
  [0, 0.5],
  [0.8, 0.5],
] as const;
/** Three tries of five are the least that counts as doing it (starting value): so many spreads beyond where half pass. */
const COMFORTABLE = 0.2533;
const STEPS_A_RUNG = 5;
/** Beyond the ends of a ladder a change is looked for as far as this, in spreads. */
const REACH = 4;

function byRung(tries: readonly Try[]): Tried[] {
  const rungs = new Map<number, Tried>();
  for (const each of tries.filter(isScored)) {
    const { rung, result, turn } = each;
    const known = rungs.get(rung) ?? { rung, passed: 0, count: 0, cold: 0, tired: 0 };
    const joined = (mean: number, now: number) => (mean * known.count + now) / (known.count + 1);
    rungs.set(rung, {
      rung,
      passed: known.passed + (result === 'passed' ? 1 : 0),
      count: known.count + 1,
      cold: joined(known.cold, Math.exp(-turn / WARMING)),
      tired: joined(known.tired, Math.max(0, turn - TIRES.after) / TIRES.in),
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
const LOG_PASSES = LAPSES.map(([lapse]) =>
  Array.from({ length: 2 * FURTHEST * A_SPREAD + 1 }, (_, at) =>
    Math.log(lapse + (1 - 2 * lapse) * normalProbability(at / A_SPREAD - FURTHEST)),
  ),
);

function logOf(over: number, { passed, count }: Tried, lapse: number): number {
  const within = Math.min(FURTHEST, Math.max(-FURTHEST, over));
  const at = Math.round((within + FURTHEST) * A_SPREAD);
  const logs = LOG_PASSES[lapse]!;
  return passed * logs[at]! + (count - passed) * logs[logs.length - 1 - at]!;
}

/** What a student may be like on a ladder: how much they scatter, warm up, tire and are mis-scored. */
interface LadderBody {
  ownSpread: number;
  ownWarmUp: number;
  ownTiring: number;
  /** Which of the lapses. */
  lapse: number;
  /** Logarithm of how likely it is beforehand. */
  prior: number;
}

function bodiesOn({ spread, warmUp }: Ladder): LadderBody[] {
  const warmUps = warmUp === 0 ? ALWAYS_WARM : WARM_UPS;
  return SPREADS.flatMap(([spreads, a]) =>
    warmUps.flatMap(([warms, b]) =>
      TIRING.flatMap(([tires, c]) =>
        LAPSES.map(([, d], lapse) => ({
          ownSpread: spreads * spread,
          ownWarmUp: warms * warmUp,
          ownTiring: tires * spread,
          lapse,
          prior: Math.log(a * b * c * d),
        })),
      ),
    ),
  );
}

/** How likely the tries are at each change for each body, by logarithms; and the changes, evenly apart. */
interface Joint {
  at: number[];
  bodies: LadderBody[];
  logs: number[][];
  rungs: Tried[];
}

/** Where more passes a rung above the change is over it, where less does one below. */
const signOf = (passing: Ladder['passing']): 1 | -1 => (passing === 'from' ? 1 : -1);

/** How far a try is over a change, for a body as cold and tired as it was. */
const overOf = (sign: number, change: number, { rung, cold, tired }: Tried, body: LadderBody): number =>
  (sign * (rung - change) - body.ownWarmUp * cold - body.ownTiring * tired) / body.ownSpread;

function jointOf(ladder: Ladder, tries: readonly Try[]): Joint {
  const { first, last, fine, spread, passing } = ladder;
  const step = fine / STEPS_A_RUNG;
  const [from, to] = [first - REACH * spread, last + REACH * spread];
  const at = Array.from({ length: Math.round((to - from) / step) + 1 }, (_, index) => from + index * step);
  const rungs = byRung(tries);
  const sign = signOf(passing);
  const bodies = bodiesOn(ladder);
  const logs = at.map((change) =>
    bodies.map((body) =>
      rungs.reduce(
        (sum, tried) => sum + logOf(overOf(sign, change, tried, body), tried, body.lapse),
        body.prior,
      ),
    ),
  );
  return { at, bodies, logs, rungs };
}

/** How likely the tries are at each change for each body, against the likeliest of them. */
function likelihoodsOf({ logs }: Joint): number[][] {
  const most = Math.max(...logs.flat());
  return logs.map((each) => each.map((log) => Math.exp(log - most)));
}

/**
 * What is believed of where a ladder changes: where half of a warm body's tries pass. A psychometric function with lapses,
 * its spread, its lapses and its drift unknown, by Bayes' rule over a grid (Kuss, Jäkel and Wichmann 2005, Bayesian inference
 * for psychometric functions, from memory).
 * @param ladder what is known of it beforehand: nothing of where it changes
 * @param tries in any order
 * @returns the belief; even where nothing was tried
 */
export function believed(ladder: Ladder, tries: readonly Try[]): Belief {
  const joint = jointOf(ladder, tries);
  return beliefOf(
    joint.at,
    likelihoodsOf(joint).map((each) => each.reduce((sum, likely) => sum + likely, 0)),
  );
}

/**
 * The same of where a warm body passes three tries of five, which is what is told: further on by a share of its own spread.
 * @param ladder the ladder
 * @param tries in any order
 * @returns the belief
 */
export const believedComfort = (ladder: Ladder, tries: readonly Try[]): Belief =>
  comfortIn(ladder, jointOf(ladder, tries));

function comfortIn({ passing, fine }: Ladder, joint: Joint): Belief {
  const { at, bodies } = joint;
  const step = fine / STEPS_A_RUNG;
  const sign = signOf(passing);
  const raw = at.map(() => 0);
  for (const [index, each] of likelihoodsOf(joint).entries())
    for (const [body, likely] of each.entries()) {
      const further = Math.round((sign * COMFORTABLE * bodies[body]!.ownSpread) / step);
      raw[Math.min(raw.length - 1, Math.max(0, index + further))]! += likely;
    }
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
    const over = signOf(passing) * (rung - change);
    return sum + weights[index]! * normalProbability(over / spread);
  }, 0);

/** The rungs of a ladder, from its first to its last. */
export const rungsOf = ({ first, last, fine }: Ladder): number[] =>
  Array.from({ length: Math.round((last - first) / fine) + 1 }, (_, index) => first + index * fine);

/** The rung that lies nearest. */
const nearestRung = (ladder: Ladder, value: number): number =>
  rungsOf(ladder).reduce((best, rung) => (Math.abs(rung - value) < Math.abs(best - value) ? rung : best));

/** How likely scores are that a coin decides, against all else, and those of somebody whom too much hurts (starting values). */
const BY_CHANCE = 0.12;
const TOO_MUCH = 0.15;
/** Fewer scores are not doubted: trying one again tells more. */
const LEAST_DOUBTED = 6;
/** Rungs that pass between two changes, in fine steps. */
const BETWEEN = [1, 2, 3, 4];

/** The sum of numbers whose logarithms are given, by its logarithm. */
function logSum(logs: readonly number[]): number {
  const most = Math.max(...logs);
  return most + Math.log(logs.reduce((sum, log) => sum + Math.exp(log - most), 0));
}

/** How likely all scores are where there is one change, which may lie anywhere, by its logarithm. */
const logOneChange = ({ logs, at }: Joint): number => logSum(logs.flat()) - Math.log(at.length);

/** The same where rungs pass between two changes alone. */
function logTwoChanges({ passing, fine }: Ladder, { at, bodies, rungs }: Joint): number {
  const sign = signOf(passing);
  const few = at.filter((_, index) => index % STEPS_A_RUNG === 0);
  const logs = few.flatMap((change) =>
    BETWEEN.flatMap((steps) =>
      bodies.map((body) =>
        rungs.reduce((sum, tried) => {
          const up = overOf(sign, change, tried, body);
          // Too much is too much, however warm or tired.
          const down = (sign * (change + sign * steps * fine - tried.rung)) / body.ownSpread;
          return sum + logOf(Math.min(up, down), tried, body.lapse);
        }, body.prior),
      ),
    ),
  );
  return logSum(logs) - Math.log(few.length * BETWEEN.length);
}

/**
 * Why scores are doubted: what explains them best is no one change (Bayes factors; Kass and Raftery 1995, from memory).
 */
function doubtOf(ladder: Ladder, joint: Joint): LadderDoubt | null {
  const tries = joint.rungs.reduce((sum, { count }) => sum + count, 0);
  if (tries < LEAST_DOUBTED) return null;
  const one = logOneChange(joint) + Math.log(1 - BY_CHANCE - TOO_MUCH);
  const two = logTwoChanges(ladder, joint) + Math.log(TOO_MUCH);
  const coin = tries * Math.log(1 / 2) + Math.log(BY_CHANCE);
  if (one >= Math.max(two, coin)) return null;
  return two > coin ? 'more is not better' : 'no change fits';
}

/** Rungs two steps apart or more that say the opposite of each other, every try of them. */
function contradictionsOf(rungs: readonly Tried[], { passing, fine }: Ladder): Threshold['contradictions'] {
  const sign = signOf(passing);
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
  const joint = jointOf(ladder, tries);
  const { rungs } = joint;
  if (rungs.length === 0) return null;
  const { middle, low, high } = intervalOf(comfortIn(ladder, joint));
  const beyond =
    middle < rungs[0]!.rung
      ? 'before the first'
      : middle > rungs[rungs.length - 1]!.rung
        ? 'after the last'
        : null;
  const doubt = doubtOf(ladder, joint);
  const standOn = beyond || doubt ? null : nearestRung(ladder, middle);
  return { middle, low, high, beyond, standOn, doubt, contradictions: contradictionsOf(rungs, ladder) };
}

/**
 * The student's own band that a change makes.
 * @param threshold the change
 * @param ladder the ladder
 * @returns between the rung to stand on and as far as the change may be on the side that passes, a step at least; its unit;
 *   null where nothing is offered
 */
export function ownBand(
  { standOn, low, high }: Pick<Threshold, 'standOn' | 'low' | 'high'>,
  { fine, passing }: Pick<Ladder, 'fine' | 'passing'>,
): { low: number; high: number } | null {
  if (standOn === null) return null;
  return passing === 'from'
    ? { low: standOn, high: Math.max(standOn + fine, Math.round(high)) }
    : { low: Math.min(standOn - fine, Math.round(low)), high: standOn };
}
