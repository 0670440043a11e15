import type { Unit } from '../units';
import { CHANGES, FIGURES, type ChangeName } from './figures';
import { measuredFigure, measureSetup, withFigure, type Setup } from './setup';

export interface Difference {
  change: ChangeName;
  unit: Unit;
  /** Null where it was not measured before. */
  from: number | null;
  to: number;
}

/** Differences smaller than this are no change (starting values): a millimetre, a degree, a percent. */
const SMALLEST: Record<Unit, number> = { mm: 1, degrees: 0.5, percent: 0.5 };

/**
 * What differs between two setups, from the ground up, from what to what.
 * @param from the setup before
 * @param to the setup after
 * @returns a difference for every figure that a coach would tell; figures not measured in `to` have none
 */
export function differences(from: Setup, to: Setup): Difference[] {
  const before = measureSetup(from);
  const after = measureSetup(to);
  return CHANGES.flatMap((change): Difference[] => {
    const { unit } = FIGURES[change];
    const was = measuredFigure(before, change)?.value ?? null;
    const is = measuredFigure(after, change)?.value;
    if (is === undefined) return [];
    const same = was !== null && Math.abs(is - was) < SMALLEST[unit];
    return same ? [] : [{ change, unit, from: was, to: is }];
  });
}

/**
 * A setup with some of what differs from it made, from the ground up.
 * @param from the setup to begin from
 * @param some the differences to make
 * @returns the new setup
 */
export const withDifferences = (from: Setup, some: readonly Difference[]): Setup =>
  some.reduce((setup, { change, to }) => withFigure(setup, change, to), from);
