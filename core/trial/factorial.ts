import { differenceOfProportions, seeded, shuffle } from '../statistics';
import { InputError } from '../units';
import { warmUpsLeft } from './design';
import type { Shot } from './types';
import type { Interval } from './estimate';
import { OUTCOME_DEFINITIONS } from './outcomes';
import { countsFor, proportionOf, type TrialPlan } from './verdict';

/** Changes that can be taken apart at once, and blocks of two shots it takes, however many they are. */
export const FACTORIAL = { least: 2, most: 3 } as const;
export const FACTORIAL_BLOCKS = 16;
export const SHOTS_A_BLOCK = 2;

/** One-sided level of all changes together; each has its share of it (Bonferroni). */
export const FACTORIAL_LEVEL = 0.05;

/** A way of standing: the bits of the changes that are made in it, 0 for today's setup. */
export type Cell = number;

/**
 * Whether a change is made in a way of standing.
 * @param cell the way of standing
 * @param change the place of the change, from 0
 * @returns true where it is made
 * @example made(5, 2) // true
 */
export const made = (cell: Cell, change: number): boolean => ((cell >> change) & 1) === 1;

/**
 * The order of blocks, round by round: every way of combining the changes once a round, in an order
 * drawn at random. Two changes make four rounds of four, three make two rounds of eight.
 * @throws InputError when there are too few or too many changes.
 * @param seed a whole number of 32 bits
 * @param changes 2 or 3
 * @returns the rounds, each an order of cells
 */
export function drawCells(seed: number, changes: number): Cell[][] {
  if (changes < FACTORIAL.least || changes > FACTORIAL.most) {
    throw new InputError('changes', `${FACTORIAL.least} to ${FACTORIAL.most}`, String(changes));
  }
  const random = seeded(seed);
  const cells = 2 ** changes;
  return Array.from({ length: FACTORIAL_BLOCKS / cells }, () =>
    shuffle(
      Array.from({ length: cells }, (_, cell) => cell),
      random,
    ),
  );
}

/** A shot of such a trial: a warm-up, or in its block with the way it was stood. */
export interface FactorialShot {
  place: { warmUp: true } | { warmUp: false; block: number; cell: Cell };
  sitting: number;
  shot: Shot;
}

export type FactorialNext =
  | { kind: 'warm-up'; left: number }
  | { kind: 'shot'; cell: Cell; block: number; inBlock: number; toLook: number; changed: boolean }
  | { kind: 'look' };

/**
 * What comes next, by the shots there are.
 * @param plan its seed and warm-ups
 * @param changes 2 or 3
 * @param shots the shots there are
 * @param sitting which day’s, from 0
 * @returns the next shot, warm-up or look
 */
export function nextInFactorial(
  { seed, warmUps }: Pick<TrialPlan, 'seed' | 'warmUps'>,
  changes: number,
  shots: readonly FactorialShot[],
  sitting: number,
): FactorialNext {
  const inOrder = shots.filter(({ place }) => !place.warmUp);
  const toLook = FACTORIAL_BLOCKS * SHOTS_A_BLOCK - inOrder.length;
  if (toLook <= 0) return { kind: 'look' };
  const left = warmUpsLeft(warmUps, shots, sitting);
  if (left > 0) return { kind: 'warm-up', left };
  const block = Math.floor(inOrder.length / SHOTS_A_BLOCK);
  const inBlock = (inOrder.length % SHOTS_A_BLOCK) + 1;
  const cell = drawCells(seed, changes).flat()[block]!;
  return { kind: 'shot', cell, block, inBlock, toLook, changed: inBlock === 1 };
}

/** What one of several changes does by itself, the others made or not alike. */
export interface Effect {
  /** The change's place among those taken apart, from 0. */
  change: number;
  /** In the outcome's unit, more of it better. */
  difference: number;
  /** Differences that these pairs of blocks do not refuse, 95%; an end is null where they do not bound it. */
  interval: Interval;
  /** One-sided, that it helps. */
  p: number;
  pairs: number;
  verdict: 'helps' | 'hurts' | 'not shown';
}

/** Scores of two blocks of one round that differ in the change alone. */
interface Pair {
  having: readonly number[];
  without: readonly number[];
}

/** The pairs of blocks that differ in a change alone, and have a shot that counts on both sides. */
function pairsOf(plan: TrialPlan, changes: number, shots: readonly FactorialShot[], change: number): Pair[] {
  const scores = new Map<number, number[]>();
  for (const { place, shot } of shots) {
    const score = place.warmUp ? null : countsFor(plan, plan.primary, shot);
    if (place.warmUp || score === null) continue;
    scores.set(place.block, [...(scores.get(place.block) ?? []), score]);
  }
  const cells = 2 ** changes;
  return drawCells(plan.seed, changes).flatMap((round, at) =>
    round.flatMap((cell, place) => {
      if (made(cell, change)) return [];
      const other = round.indexOf(cell | (1 << change));
      const without = scores.get(at * cells + place);
      const having = scores.get(at * cells + other);
      return without && having ? [{ having, without }] : [];
    }),
  );
}

const TIE = 1e-9;

/**
 * The share of all ways of swapping the two blocks of pairs that favour the change as much as the real
 * one: within a round each of two blocks that differ in the change alone could as well have been the
 * other, whatever the other changes do.
 */
function signFlipTest(differences: readonly number[]): number {
  const all = 2 ** differences.length;
  // Every way of swapping comes to the sum so far with the next difference either way.
  const sums = new Float64Array(all);
  differences.forEach((each, at) => {
    const ways = 2 ** at;
    for (let way = 0; way < ways; way += 1) {
      sums[ways + way] = sums[way]! - each;
      sums[way]! += each;
    }
  });
  const real = sums[0]!;
  const size = Math.max(1e-12, ...differences.map(Math.abs));
  return sums.filter((sum) => sum >= real - TIE * size).length / all;
}

const STEPS = 24;

/** Differences that swapping does not refuse at 2.5% either side. */
function intervalOf(differences: readonly number[], middle: number): Interval {
  const spread = Math.max(...differences) - Math.min(...differences);
  const end = (toward: 1 | -1): number | null => {
    const holds = (at: number) =>
      signFlipTest(differences.map((each) => (toward === 1 ? at - each : each - at))) > 0.025;
    let held = middle;
    let refused = middle + toward * (spread + 1);
    if (holds(refused)) return null;
    for (let step = 0; step < STEPS; step += 1) {
      const at = (held + refused) / 2;
      if (holds(at)) held = at;
      else refused = at;
    }
    return refused;
  };
  return [end(-1), end(1)];
}

const mean = (values: readonly number[]): number =>
  values.reduce((sum, each) => sum + each, 0) / values.length;

/** How large an effect is: the mean of its pairs, or with an outcome that shots show or not, how many of how many. */
function sizeOf(plan: TrialPlan, pairs: readonly Pair[]): Pick<Effect, 'difference' | 'interval'> {
  if (!OUTCOME_DEFINITIONS[plan.primary].yesOrNo) {
    const differences = pairs.map(({ having, without }) => mean(having) - mean(without));
    const difference = mean(differences);
    return { difference, interval: intervalOf(differences, difference) };
  }
  const a = proportionOf(pairs.flatMap(({ without }) => without));
  const b = proportionOf(pairs.flatMap(({ having }) => having));
  return { difference: b.yes / b.of - a.yes / a.of, interval: differenceOfProportions(a, b) };
}

/**
 * What each of the changes does; null for one that no pair of blocks shows.
 * @param plan the plan
 * @param changes 2 or 3
 * @param shots the shots
 * @returns one effect for each change, in the outcome’s unit; p by the sign-flip test
 */
export function effectsOf(
  plan: TrialPlan,
  changes: number,
  shots: readonly FactorialShot[],
): (Effect | null)[] {
  const level = FACTORIAL_LEVEL / changes;
  return Array.from({ length: changes }, (_, change): Effect | null => {
    const pairs = pairsOf(plan, changes, shots, change);
    if (pairs.length === 0) return null;
    const differences = pairs.map(({ having, without }) => mean(having) - mean(without));
    const p = signFlipTest(differences);
    const against = signFlipTest(differences.map((each) => -each));
    const verdict = p <= level ? 'helps' : against <= level ? 'hurts' : 'not shown';
    return { change, ...sizeOf(plan, pairs), p, pairs: pairs.length, verdict };
  });
}

export interface FactorialVerdict {
  verdict: 'keep' | 'not shown' | 'drop';
  because: 'pain' | 'better' | 'worse' | 'never shown' | 'not seen';
  effects: (Effect | null)[];
  /** The way of standing with the changes that help, and those alone. */
  helps: Cell;
}

/**
 * Keep what was shown to help, and that alone; pain, or nothing but harm, is drop; nothing shown is not shown.
 * @param plan the plan
 * @param changes 2 or 3
 * @param shots the shots
 * @param painUp whether pain went up
 * @returns the verdict, why, and every effect
 */
export function factorialVerdict(
  plan: TrialPlan,
  changes: number,
  shots: readonly FactorialShot[],
  painUp: boolean,
): FactorialVerdict {
  const effects = effectsOf(plan, changes, shots);
  const helps = effects.reduce(
    (cell, effect, change) => cell | (effect?.verdict === 'helps' ? 1 << change : 0),
    0,
  );
  const say = (verdict: FactorialVerdict['verdict'], because: FactorialVerdict['because']) => ({
    verdict,
    because,
    effects,
    helps,
  });
  if (painUp) return say('drop', 'pain');
  if (helps > 0) return say('keep', 'better');
  if (effects.some((effect) => effect?.verdict === 'hurts')) return say('drop', 'worse');
  return say('not shown', effects.every((effect) => effect === null) ? 'not seen' : 'never shown');
}
