import { permutationTest, turned, type PermuteOptions, type Stage } from './permute';

/**
 * Logarithm of the gamma function (Lanczos 1964, with the coefficients for g = 7, n = 9 of Godfrey, from memory).
 */
function logGamma(x: number): number {
  const coefficients = [
    0.99999999999980993, 676.5203681218851, -1259.1392167224028, 771.32342877765313, -176.61502916214059,
    12.507343278686905, -0.13857109526572012, 9.9843695780195716e-6, 1.5056327351493116e-7,
  ];
  const from = x - 1;
  let series = coefficients[0]!;
  for (let at = 1; at < coefficients.length; at += 1) series += coefficients[at]! / (from + at);
  const t = from + 7.5;
  return 0.5 * Math.log(2 * Math.PI) + (from + 0.5) * Math.log(t) - t + Math.log(series);
}

/** The incomplete beta function by its continued fraction (Abramowitz & Stegun 26.5.8, Lentz's method). */
function incompleteBeta(x: number, a: number, b: number): number {
  if (x <= 0) return 0;
  if (x >= 1) return 1;
  if (x > (a + 1) / (a + b + 2)) return 1 - incompleteBeta(1 - x, b, a);
  const front =
    Math.exp(logGamma(a + b) - logGamma(a) - logGamma(b) + a * Math.log(x) + b * Math.log(1 - x)) / a;
  let c = 1;
  let d = 1 / (1 - ((a + b) * x) / (a + 1));
  let fraction = d;
  for (let m = 1; m < 300; m += 1) {
    const even = (m * (b - m) * x) / ((a + 2 * m - 1) * (a + 2 * m));
    d = 1 / (1 + even * d);
    c = 1 + even / c;
    fraction *= d * c;
    const odd = (-(a + m) * (a + b + m) * x) / ((a + 2 * m) * (a + 2 * m + 1));
    d = 1 / (1 + odd * d);
    c = 1 + odd / c;
    fraction *= d * c;
    if (Math.abs(d * c - 1) < 1e-12) break;
  }
  return front * fraction;
}

/** Chance that a Student's t of so many degrees of freedom is at least `t` (Abramowitz & Stegun 26.7.1). */
export function studentTail(t: number, freedom: number): number {
  const half = incompleteBeta(freedom / (freedom + t * t), freedom / 2, 0.5) / 2;
  return t >= 0 ? half : 1 - half;
}

/** The t that is reached with a chance of `tail`, by halving. */
export function studentQuantile(tail: number, freedom: number): number {
  let low = -1e4;
  let high = 1e4;
  for (let step = 0; step < 200 && high - low > 1e-10; step += 1) {
    const middle = (low + high) / 2;
    if (studentTail(middle, freedom) > tail) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** Between the least and the most of a share that so many of so many still agree with, at 95% (Clopper & Pearson 1934). */
export function shareInterval(of: number, all: number): [number, number] {
  const solve = (below: (share: number) => boolean): number => {
    let low = 0;
    let high = 1;
    for (let step = 0; step < 60; step += 1) {
      const middle = (low + high) / 2;
      if (below(middle)) low = middle;
      else high = middle;
    }
    return (low + high) / 2;
  };
  // The chance of at least `of` grows with the share, and so does that of more than `of`.
  return [
    of === 0 ? 0 : solve((share) => incompleteBeta(share, of, all - of + 1) < 0.025),
    of === all ? 1 : solve((share) => incompleteBeta(share, of + 1, all - of) < 0.975),
  ];
}

const median = (values: readonly number[]): number => {
  const sorted = [...values].sort((a, b) => a - b);
  const middle = sorted.length >> 1;
  return sorted.length % 2 === 1 ? sorted[middle]! : (sorted[middle - 1]! + sorted[middle]!) / 2;
};

/** By how much B is shifted from A: the median of all differences of a shot of B and one of A (Hodges & Lehmann 1963). */
export const hodgesLehmann = (a: readonly number[], b: readonly number[]): number =>
  median(b.flatMap((of) => a.map((from) => of - from)));

/** A shift of every shot of B, taken back. */
const unshifted = (stages: readonly Stage[], by: number): Stage[] =>
  stages.map(({ blocks, isB }) => ({
    isB,
    blocks: blocks.map(({ count, sum }, at) => ({ count, sum: isB[at] ? sum - by * count : sum })),
  }));

/** Precise enough for an interval that is told in tenths. */
const STEPS = 18;
/** Draws while an interval's ends are sought, where not all arrangements are gone through. */
const DRAWS_FOR_INTERVAL = 10_000;

/**
 * Shifts that the design's own permutation test does not refuse at 2.5% either side: the test turned
 * about (Lehmann 1975, Nonparametrics, 2.6, from memory). `reach` is further than any shift can be.
 */
export function shiftInterval(
  stages: readonly Stage[],
  around: number,
  reach: number,
  options: PermuteOptions = {},
): [number, number] {
  const settled = { draws: DRAWS_FOR_INTERVAL, ...options };
  const better = (shift: number) => permutationTest(unshifted(stages, shift), settled).p;
  const worse = (shift: number) => permutationTest(turned(unshifted(stages, shift)), settled).p;
  const end = (toward: 1 | -1): number => {
    let held = around;
    let refused = around + toward * reach;
    for (let step = 0; step < STEPS; step += 1) {
      const middle = (held + refused) / 2;
      const p = toward === 1 ? worse(middle) : better(middle);
      if (p > 0.025) held = middle;
      else refused = middle;
    }
    return refused;
  };
  return [end(-1), end(1)];
}

interface Standing {
  mean: number;
  /** Sum of squares of block means about it. */
  squares: number;
  blocks: number;
}

function standing(stages: readonly Stage[], ofB: boolean): Standing {
  const means = stages.flatMap(({ blocks, isB }) =>
    blocks.flatMap(({ count, sum }, at) => (isB[at] === ofB && count > 0 ? [sum / count] : [])),
  );
  const mean = means.reduce((sum, each) => sum + each, 0) / means.length;
  return {
    mean,
    squares: means.reduce((sum, each) => sum + (each - mean) ** 2, 0),
    blocks: means.length,
  };
}

/**
 * How sure it is that B is better than A by at least `margin`: Student's t of the block means, with
 * nothing known beforehand (Box & Tiao 1973, Bayesian Inference in Statistical Analysis, 2.5, from
 * memory). Blocks, not shots, since shots of one block are alike. Null with fewer than two blocks a side.
 */
export function chanceBeyond(stages: readonly Stage[], margin: number): number | null {
  const a = standing(stages, false);
  const b = standing(stages, true);
  if (a.blocks < 2 || b.blocks < 2) return null;
  const freedom = a.blocks + b.blocks - 2;
  const pooled = (a.squares + b.squares) / freedom;
  const error = Math.sqrt(pooled * (1 / a.blocks + 1 / b.blocks));
  const by = b.mean - a.mean;
  if (error === 0) return by >= margin ? 1 : 0;
  return studentTail((margin - by) / error, freedom);
}
