import { permutationTest, mirrored, type PermuteOptions, type Stage } from './permute';
import { studentTail } from '../statistics';

/** A shift of every shot of B, taken back. */
const unshifted = (stages: readonly Stage[], by: number): Stage[] =>
  stages.map(({ blocks, isB }) => ({
    isB,
    blocks: blocks.map(({ count, sum }, at) => ({ count, sum: isB[at] ? sum - by * count : sum })),
  }));

/** Two ends, each null where nothing bounds it. */
export type Interval = [number | null, number | null];

/** Precise enough for an interval that is told in tenths. */
const STEPS = 18;
/** Draws while an interval's ends are sought, where not all arrangements are gone through. */
const DRAWS_FOR_INTERVAL = 10_000;

/**
 * Shifts that the design's own permutation test does not refuse, 2.5% either side: the test inverted
 * (Lehmann 1975, Nonparametrics, 2.6, from memory). `reach` is further than any shift can be.
 * @param stages the blocks as they were dealt
 * @param around a shift inside the interval: the observed difference
 * @param reach further than any shift can be, same unit
 * @param options of the permutation test, and the tail to refuse on either side
 * @returns the two ends, in the outcome’s unit; null where so few arrangements refuse no shift, however large
 */
export function shiftInterval(
  stages: readonly Stage[],
  around: number,
  reach: number,
  { tail = 0.025, ...options }: PermuteOptions & { tail?: number } = {},
): Interval {
  const settled = { draws: DRAWS_FOR_INTERVAL, ...options };
  const better = (shift: number) => permutationTest(unshifted(stages, shift), settled).p;
  const worse = (shift: number) => permutationTest(mirrored(unshifted(stages, shift)), settled).p;
  const end = (toward: 1 | -1): number | null => {
    const holds = (shift: number) => (toward === 1 ? worse(shift) : better(shift)) > tail;
    let held = around;
    let refused = around + toward * reach;
    if (holds(refused)) return null;
    for (let step = 0; step < STEPS; step += 1) {
      const middle = (held + refused) / 2;
      if (holds(middle)) held = middle;
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
 * @param stages the blocks as they were dealt
 * @param margin the difference worth having, in the outcome’s unit
 * @returns 0 to 1
 */
export function probabilityBeyond(stages: readonly Stage[], margin: number): number | null {
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
