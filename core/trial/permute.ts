import { InputError } from '../guards';
import { seeded } from '../turn';

/** A block of shots as sums: how many count, and what they come to together. */
export interface Block {
  count: number;
  sum: number;
}

/** Blocks whose labels were drawn together, as many of B as there are true ones. */
export interface Stage {
  blocks: readonly Block[];
  isB: readonly boolean[];
}

/** Sums this near one another are ties, as a share of their size. */
const TIE = 1e-9;

/** Arrangements beyond this many are sampled (starting value). */
export const MOST_EXACT = 3_000_000;
export const SAMPLED = 20_000;

const chooseCount = (n: number, k: number): number => {
  let ways = 1;
  for (let at = 1; at <= k; at += 1) ways = (ways * (n - k + at)) / at;
  return Math.round(ways);
};

const inB = ({ isB }: Stage): number => isB.filter(Boolean).length;

/** What B comes to in each way of labelling one stage. */
interface Ways {
  sums: Float64Array;
  counts: Uint16Array;
}

/** Every way of choosing as many blocks for B as the stage has, each with B's sum and count. */
function waysOf(stage: Stage): Ways {
  const { blocks } = stage;
  const chosen = inB(stage);
  const ways = chooseCount(blocks.length, chosen);
  const sums = new Float64Array(ways);
  const counts = new Uint16Array(ways);
  const values = Float64Array.from(blocks, ({ sum }) => sum);
  const sizes = Uint16Array.from(blocks, ({ count }) => count);
  let way = 0;
  const choose = (from: number, left: number, sum: number, count: number): void => {
    if (left === 0) {
      sums[way] = sum;
      counts[way] = count;
      way += 1;
      return;
    }
    for (let at = from; at <= values.length - left; at += 1) {
      choose(at + 1, left - 1, sum + values[at]!, count + sizes[at]!);
    }
  };
  choose(0, chosen, 0, 0);
  return { sums, counts };
}

interface Whole {
  sum: number;
  count: number;
}

const wholeOf = (stages: readonly Stage[]): Whole => {
  const blocks = stages.flatMap((stage) => stage.blocks);
  return {
    sum: blocks.reduce((total, { sum }) => total + sum, 0),
    count: blocks.reduce((total, { count }) => total + count, 0),
  };
};

/** The mean of B less the mean of A; null where one of them has no shot. */
function difference(whole: Whole, sumB: number, countB: number): number | null {
  const countA = whole.count - countB;
  return countA === 0 || countB === 0 ? null : sumB / countB - (whole.sum - sumB) / countA;
}

/** What B really came to. */
function observed(stages: readonly Stage[]): Whole {
  const own = stages.flatMap(({ blocks, isB }) => blocks.filter((_block, at) => isB[at]));
  return wholeOf([{ blocks: own, isB: [] }]);
}

/** The observed difference of means, B less A; null where one side has no shot that counts. */
export function observedDifference(stages: readonly Stage[]): number | null {
  const b = observed(stages);
  return difference(wholeOf(stages), b.sum, b.count);
}

export interface Permuted {
  /** The share of arrangements that favour B as much as the real one, itself among them. */
  p: number;
  arrangements: number;
  /** Whether all arrangements were gone through, or so many drawn at random. */
  exact: boolean;
}

/** Goes through every arrangement of all stages together. */
function countAll(ways: readonly Ways[], whole: Whole, least: number): { asGood: number; all: number } {
  let asGood = 0;
  let all = 0;
  const last = ways.length - 1;
  const walk = (stage: number, sum: number, count: number): void => {
    const { sums, counts } = ways[stage]!;
    for (let way = 0; way < sums.length; way += 1) {
      const sumB = sum + sums[way]!;
      const countB = count + counts[way]!;
      if (stage < last) walk(stage + 1, sumB, countB);
      else {
        all += 1;
        const countA = whole.count - countB;
        // An arrangement with one side empty says nothing of a difference.
        if (countA === 0 || countB === 0) continue;
        if (sumB / countB - (whole.sum - sumB) / countA >= least) asGood += 1;
      }
    }
  };
  walk(0, 0, 0);
  return { asGood, all };
}

/** Draws arrangements from the very design that was used. */
function countDrawn(stages: readonly Stage[], whole: Whole, least: number, draws: number, seed: number) {
  const random = seeded(seed);
  const drawn = stages.map((stage) => ({
    values: Float64Array.from(stage.blocks, ({ sum }) => sum),
    sizes: Uint16Array.from(stage.blocks, ({ count }) => count),
    chosen: inB(stage),
  }));
  let asGood = 0;
  for (let draw = 0; draw < draws; draw += 1) {
    let sumB = 0;
    let countB = 0;
    for (const { values, sizes, chosen } of drawn) {
      const n = values.length;
      // The first of a shuffle are a random choice; what they were among does not matter.
      for (let at = 0; at < chosen; at += 1) {
        const other = at + Math.floor(random() * (n - at));
        const value = values[other]!;
        const size = sizes[other]!;
        values[other] = values[at]!;
        sizes[other] = sizes[at]!;
        values[at] = value;
        sizes[at] = size;
        sumB += value;
        countB += size;
      }
    }
    const countA = whole.count - countB;
    if (countA > 0 && countB > 0 && sumB / countB - (whole.sum - sumB) / countA >= least) asGood += 1;
  }
  return asGood;
}

export interface PermuteOptions {
  seed?: number;
  /** Arrangements up to so many are all gone through. */
  mostExact?: number;
  draws?: number;
}

/**
 * The permutation test of the design that was used: blocks keep their shots, labels are dealt anew
 * stage by stage. One-sided, that B is better. Ties are real and count as at least as good.
 * Sampling adds the real arrangement to those drawn, (1 + as good) / (1 + draws), which keeps the
 * level (Davison & Hinkley 1997, Bootstrap Methods and their Application, 4.3, from memory).
 * @throws InputError when one side has no shot that counts.
 */
export function permutationTest(
  stages: readonly Stage[],
  { seed = 1, mostExact = MOST_EXACT, draws = SAMPLED }: PermuteOptions = {},
): Permuted {
  const whole = wholeOf(stages);
  const real = observedDifference(stages);
  if (real === null) throw new InputError('shots', 'at least one that counts from each setup', 'none');
  const size = Math.max(1e-12, ...stages.flatMap(({ blocks }) => blocks.map(({ sum }) => Math.abs(sum))));
  const least = real - TIE * size;
  const arrangements = stages.reduce((all, stage) => all * chooseCount(stage.blocks.length, inB(stage)), 1);
  if (arrangements <= mostExact) {
    const { asGood, all } = countAll(stages.map(waysOf), whole, least);
    return { p: asGood / all, arrangements, exact: true };
  }
  const asGood = countDrawn(stages, whole, least, draws, seed);
  return { p: (1 + asGood) / (1 + draws), arrangements: draws, exact: false };
}

/** Two groups of single shots, every split as likely as any other. */
export const groups = (a: readonly number[], b: readonly number[]): Stage[] => [
  {
    blocks: [...a, ...b].map((sum) => ({ count: 1, sum })),
    isB: [...a.map(() => false), ...b.map(() => true)],
  },
];

/** Two-sided: as far from no difference, either way. Twice the smaller tail, at most 1. */
export function twoSided(stages: readonly Stage[], options?: PermuteOptions): number {
  const turned = stages.map(({ blocks, isB }) => ({
    blocks: blocks.map(({ count, sum }) => ({ count, sum: -sum })),
    isB,
  }));
  return Math.min(1, 2 * Math.min(permutationTest(stages, options).p, permutationTest(turned, options).p));
}
