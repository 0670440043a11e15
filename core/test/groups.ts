import { mirrored, permutationTest, type PermuteOptions, type Stage } from '../trial';

/** Two groups of single shots, every split as likely as any other. */
export const groups = (a: readonly number[], b: readonly number[]): Stage[] => [
  {
    blocks: [...a, ...b].map((sum) => ({ count: 1, sum })),
    isB: [...a.map(() => false), ...b.map(() => true)],
  },
];

/** Two-sided: as far from no difference, either way. Twice the smaller tail, at most 1. */
export function twoSided(stages: readonly Stage[], options?: PermuteOptions): number {
  return Math.min(
    1,
    2 * Math.min(permutationTest(stages, options).p, permutationTest(mirrored(stages), options).p),
  );
}
