/**
 * Bodies and addresses drawn at random, and the least change for each as an exhaustive grid found it.
 * Going through the grid takes many seconds and never changes, so that its answers are kept in
 * `data/leastByGrid.json`: `npm run grid` makes them anew.
 */
import { createHash } from 'node:crypto';
import {
  dropFoot,
  flareToeKept,
  seeded,
  setSetback,
  setStanceWidth,
  type Address,
  type FitProblem,
} from '..';
import kept from './data/leastByGrid.json';
import { bands, problemOf, taught } from './fitProblems';
import { gridOf, type GridProblem } from './grid';

/** The grid is gone through up to so many moves together. */
export const MOST_BY_GRID = 3;
const BODIES = 200;

/** A body and an address drawn at random, as the fit and as the grid take them. */
function drawnBody(random: () => number): { problem: FitProblem; grid: GridProblem } {
  const between = (least: number, most: number) => least + (most - least) * random();
  const address = [
    (of: Address) => setStanceWidth(of, between(340, 520)),
    (of: Address) => flareToeKept(of, 'lead', Math.round(between(-5, 35))),
    (of: Address) => flareToeKept(of, 'trail', Math.round(between(-5, 30))),
    (of: Address) => setSetback(of, between(-60, 80), dropFoot),
  ].reduce((of, change) => change(of), taught().address);
  const key = ['shoulders-and-neutral', 'free-the-hips', 'easy-turn'][Math.floor(3 * random())]!;
  const problem = problemOf(
    {
      inLead: between(12, 45),
      inTrail: between(5, 45),
      outLead: between(25, 60),
      trunk: between(38, 55),
    },
    { setup: { ...taught(), address }, bands: bands(key) },
  );
  const { figures } = problem.bands;
  // What the grid does not go through stays out of it.
  const coupled = { ...figures, ballAlong: undefined, leadShare: undefined } as never;
  return { problem: { ...problem, bands: { ...problem.bands, figures: coupled } }, grid: gridOf(problem) };
}

/** The bodies that the grid was gone through for, always the same. */
export function drawnBodies(): { problem: FitProblem; grid: GridProblem }[] {
  const random = seeded(20_261_125);
  return Array.from({ length: BODIES }, () => drawnBody(random));
}

/** A problem's mark: another one where any figure of it differs in the sixth decimal. */
export const markOf = (grid: GridProblem): string => {
  const rounded = JSON.stringify(grid, (_key, value) =>
    typeof value === 'number' ? Math.round(value * 1e6) / 1e6 : value,
  );
  return createHash('sha256').update(rounded).digest('hex').slice(0, 12);
};

/** What the grid found for a problem; null where no so many moves do it. */
interface KeptLeast {
  problem: string;
  least: { count: number; size: number } | null;
}

export const KEPT_LEAST: readonly KeptLeast[] = kept;
