import { seeded } from '../statistics';
import { InputError } from '../units';

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
const MOST_EXACT = 3_000_000;
const SAMPLED = 20_000;
/** Beyond so many a stage, 32 bits of chance would not draw every arrangement alike. */
const MOST_BLOCKS = 26;

const chooseCount = (n: number, k: number): number => {
  let ways = 1;
  for (let at = 1; at <= k; at += 1) ways = (ways * (n - k + at)) / at;
  return Math.round(ways);
};

const inB = ({ isB }: Stage): number => isB.filter(Boolean).length;

/** What some blocks can give B: their sums in ascending order, by how many shots they bring. */
type Sums = Map<number, Float64Array>;

/** What every subset of a few blocks comes to; a subset's place is its bits. */
interface Subsets {
  sums: Float64Array;
  counts: Uint16Array;
  /** How many blocks are in it. */
  chosen: Uint8Array;
}

function subsetsOf(blocks: readonly Block[]): Subsets {
  const all = 2 ** blocks.length;
  const subsets = {
    sums: new Float64Array(all),
    counts: new Uint16Array(all),
    chosen: new Uint8Array(all),
  };
  const { sums, counts, chosen } = subsets;
  for (let set = 1; set < all; set += 1) {
    // The lowest block of the set, and the set without it, which was looked at before.
    const lowest = blocks[31 - Math.clz32(set & -set)]!;
    const rest = set & (set - 1);
    sums[set] = sums[rest]! + lowest.sum;
    counts[set] = counts[rest]! + lowest.count;
    chosen[set] = chosen[rest]! + 1;
  }
  return subsets;
}

/** The subsets of so many blocks, for each number of blocks. */
function byChosen({ sums, counts, chosen }: Subsets, blocks: number): Sums[] {
  const found = Array.from({ length: blocks + 1 }, () => new Map<number, number[]>());
  for (let set = 0; set < sums.length; set += 1) {
    const byCount = found[chosen[set]!]!;
    const there = byCount.get(counts[set]!);
    if (there) there.push(sums[set]!);
    else byCount.set(counts[set]!, [sums[set]!]);
  }
  return found.map(
    (byCount) => new Map([...byCount].map(([count, each]) => [count, Float64Array.from(each).sort()])),
  );
}

const sumsBy = (blocks: readonly Block[]): Sums[] => byChosen(subsetsOf(blocks), blocks.length);

/** Every sum of one of these and one of those. */
function together(these: Sums, those: Sums): Sums {
  const found = new Map<number, number[]>();
  for (const [count, sums] of these) {
    for (const [more, others] of those) {
      const list = found.get(count + more) ?? [];
      found.set(count + more, list);
      sums.forEach((sum) => others.forEach((other) => list.push(sum + other)));
    }
  }
  return new Map([...found].map(([count, list]) => [count, Float64Array.from(list).sort()]));
}

interface Whole {
  sum: number;
  count: number;
}

const totalOf = (stages: readonly Stage[]): Whole => {
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

/**
 * The same shots with less of the outcome better: what favoured B now favours A.
 * @param stages the blocks as they were dealt
 * @returns new stages with every sum negated
 */
export const mirrored = (stages: readonly Stage[]): Stage[] =>
  stages.map(({ blocks, isB }) => ({
    blocks: blocks.map(({ count, sum }) => ({ count, sum: -sum })),
    isB,
  }));

/** What B really came to. */
function observed(stages: readonly Stage[]): Whole {
  const own = stages.flatMap(({ blocks, isB }) => blocks.filter((_block, at) => isB[at]));
  return totalOf([{ blocks: own, isB: [] }]);
}

/**
 * The observed difference of means, B less A; null where one side has no shot that counts.
 * @param stages the blocks as they were dealt
 * @returns in the outcome’s unit
 */
export function observedDifference(stages: readonly Stage[]): number | null {
  const b = observed(stages);
  return difference(totalOf(stages), b.sum, b.count);
}

export interface PermutationResult {
  /** The share of arrangements that favour B as much as the real one, itself among them. */
  p: number;
  arrangements: number;
  /** Whether all arrangements were gone through, or so many drawn at random. */
  exact: boolean;
}

/** How large B's sum has to be, with so many shots, for a difference of at least `least`. */
const sumFor = (whole: Whole, countB: number, least: number): number => {
  const countA = whole.count - countB;
  return (least + whole.sum / countA) / (1 / countB + 1 / countA);
};

/** How many pairs of one of these and one of those come to at least `least`; both ascending. */
function pairsFrom(these: Float64Array, those: Float64Array, least: number): number {
  let pairs = 0;
  let from = those.length;
  for (let at = 0; at < these.length; at += 1) {
    const needed = least - these[at]!;
    while (from > 0 && those[from - 1]! >= needed) from -= 1;
    pairs += those.length - from;
  }
  return pairs;
}

/** Arrangements as good as the real one, where B's sum is one of these and one of those. */
function asGoodAmong(these: Sums, those: Sums, whole: Whole, least: number): number {
  let asGood = 0;
  for (const [count, sums] of these) {
    for (const [more, others] of those) {
      const countB = count + more;
      // An arrangement with one side empty says nothing of a difference.
      if (countB === 0 || countB === whole.count) continue;
      asGood += pairsFrom(sums, others, sumFor(whole, countB, least));
    }
  }
  return asGood;
}

/**
 * Counts every arrangement without visiting each: B's sum is a part from one half of the blocks and a
 * part from the other, both sorted, and two fingers count the pairs that are large enough (Horowitz &
 * Sahni 1974, Computing partitions, from memory). A stage by itself is halved; of several the first is
 * one part and what the later ones give together is the other.
 */
function countAll([first, ...later]: readonly Stage[], whole: Whole, least: number): number {
  const wanted = inB(first!);
  if (later.length > 0) {
    const rest = later.map((stage) => sumsBy(stage.blocks)[inB(stage)]!).reduce(together);
    return asGoodAmong(sumsBy(first!.blocks)[wanted]!, rest, whole, least);
  }
  const half = first!.blocks.length >> 1;
  const left = sumsBy(first!.blocks.slice(0, half));
  const right = sumsBy(first!.blocks.slice(half));
  let asGood = 0;
  for (let chosen = 0; chosen <= half; chosen += 1) {
    const others = right[wanted - chosen];
    if (others) asGood += asGoodAmong(left[chosen]!, others, whole, least);
  }
  return asGood;
}

/** The places of subsets, by how many blocks are in them. */
function placesByChosen({ chosen }: Subsets, blocks: number): Uint16Array[] {
  const places = Array.from({ length: blocks + 1 }, (): number[] => []);
  chosen.forEach((of, place) => places[of]!.push(place));
  return places.map((each) => Uint16Array.from(each));
}

/**
 * Adds one stage's share of B to every draw: as many of its blocks as B has, any of them as likely. Each
 * arrangement has a number; a drawn number says how many blocks come from the first half, and which of
 * both halves' subsets, whose sums are looked up.
 */
function drawStage(stage: Stage, random: () => number, sums: Float64Array, counts: Uint16Array): void {
  const n = stage.blocks.length;
  const half = n >> 1;
  const wanted = inB(stage);
  const low = subsetsOf(stage.blocks.slice(0, half));
  const high = subsetsOf(stage.blocks.slice(half));
  const lows = placesByChosen(low, half);
  const highs = placesByChosen(high, n - half);
  const splits = lows.flatMap((from, chosen) => {
    const others = highs[wanted - chosen];
    return others ? [{ from, others, ways: from.length * others.length }] : [];
  });
  const all = splits.reduce((sum, { ways }) => sum + ways, 0);
  for (let draw = 0; draw < sums.length; draw += 1) {
    let number = Math.floor(random() * all);
    let split = 0;
    while (number >= splits[split]!.ways) {
      number -= splits[split]!.ways;
      split += 1;
    }
    const { from, others } = splits[split]!;
    const at = Math.floor(number / others.length);
    const below = from[at]!;
    const above = others[number - at * others.length]!;
    sums[draw]! += low.sums[below]! + high.sums[above]!;
    counts[draw]! += low.counts[below]! + high.counts[above]!;
  }
}

/** Draws arrangements from the very design that was used. */
function countDrawn(stages: readonly Stage[], whole: Whole, least: number, draws: number, seed: number) {
  const random = seeded(seed);
  const sums = new Float64Array(draws);
  const counts = new Uint16Array(draws);
  for (const stage of stages) drawStage(stage, random, sums, counts);
  let asGood = 0;
  for (let draw = 0; draw < draws; draw += 1) {
    const countB = counts[draw]!;
    if (countB === 0 || countB === whole.count) continue;
    if (sums[draw]! >= sumFor(whole, countB, least)) asGood += 1;
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
 * @throws InputError when one side has no shot that counts, or a stage has more than 26 blocks.
 * @param stages the blocks as they were dealt
 * @param options the seed, the number of arrangements up to which all are gone through, and the draws beyond it
 * @returns the one-sided p with how it was obtained
 */
export function permutationTest(
  stages: readonly Stage[],
  { seed = 1, mostExact = MOST_EXACT, draws = SAMPLED }: PermuteOptions = {},
): PermutationResult {
  const whole = totalOf(stages);
  const real = observedDifference(stages);
  if (real === null) throw new InputError('shots', 'at least one that counts from each setup', 'none');
  const widest = Math.max(...stages.map(({ blocks }) => blocks.length));
  if (widest > MOST_BLOCKS) throw new InputError('blocks', `at most ${MOST_BLOCKS} a stage`, String(widest));
  const size = Math.max(1e-12, ...stages.flatMap(({ blocks }) => blocks.map(({ sum }) => Math.abs(sum))));
  const least = real - TIE * size;
  const arrangements = stages.reduce((all, stage) => all * chooseCount(stage.blocks.length, inB(stage)), 1);
  if (arrangements <= mostExact) {
    return { p: countAll(stages, whole, least) / arrangements, arrangements, exact: true };
  }
  const asGood = countDrawn(stages, whole, least, draws, seed);
  return { p: (1 + asGood) / (1 + draws), arrangements: draws, exact: false };
}
