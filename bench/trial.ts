import { normals, seeded } from '@pedastance/core';
import {
  permutationTest,
  verdictOf,
  drawOrder,
  type TrialPlan,
  type TrialShot,
} from '@pedastance/core/trial';
import { permutationTest as reference } from 'simple-statistics';
import { groups } from '../core/test/groups';

const random = seeded(3);
const normal = normals(random);
const sample = (shift: number) => Array.from({ length: 12 }, () => normal() + shift);

const timed = (work: () => void): number => {
  const began = performance.now();
  work();
  return performance.now() - began;
};
const median = (times: number[]): number => [...times].sort((a, b) => a - b)[Math.floor(times.length / 2)]!;

const sets = Array.from({ length: 15 }, () => [sample(0), sample(0.8)] as const);
const exact = sets.map(([a, b]) => timed(() => permutationTest(groups(a, b))));

const DRAWS = 20_000;
const [a, b] = sets[0]!;
const sampled = Array.from({ length: 9 }, () =>
  timed(() => permutationTest(groups(a, b), { mostExact: 1, draws: DRAWS })),
);
const theirs = Array.from({ length: 5 }, () => timed(() => reference(b, a, 'greater', DRAWS, random)));

/** A whole third look: the verdict with its interval, all 369,600 orders of it. */
const plan: TrialPlan = {
  seed: 9,
  blockSize: 2,
  length: 'full',
  primary: 'carry',
  margin: 5,
  mishits: 'left out',
  warmUps: 4,
};
const shots = drawOrder(plan)
  .flat()
  .flatMap((arm, block) =>
    [0, 1].map((): TrialShot => ({
      sitting: 0,
      place: { warmUp: false, block, arm },
      shot: { carry: 140 + 7 * normal(), mishit: random() < 0.08 },
    })),
  );
const looks = Array.from({ length: 5 }, () => timed(() => verdictOf(plan, shots, 3, false)));

process.stdout.write(
  `${JSON.stringify({
    exactMs: median(exact),
    exactWorstMs: Math.max(...exact),
    sampledMs: median(sampled),
    referenceMs: median(theirs),
    lookMs: median(looks),
  })}\n`,
);
