import { differences } from './difference';
import { FIGURES, PLACED_FIGURES, type Item, type PlacedFigure } from './figures';
import { measuredFigure, measureSetup, type Setup } from './setup';

/**
 * How an agreed figure stands today: as agreed; otherwise by more than the measuring explains; otherwise, but measured too
 * roughly to tell; or nobody looked.
 */
export interface Held {
  figure: PlacedFigure;
  verdict: 'held' | 'drifted' | 'cannot tell' | 'not measured';
  /** mm, degrees or percent */
  agreed: number;
  /** Null where it was not measured since. */
  today: number | null;
}

/** A normal distribution has 95% within so many standard deviations. */
const WITHIN_95 = 1.96;

/**
 * How far from what was agreed a figure still holds: what two tapes, or for a load two looks, explain; what is noticed at
 * least.
 * @param item which figure
 * @returns mm, degrees or percent
 */
export function heldWithin(item: Item | PlacedFigure): number {
  const { justNoticeable, uncertainty } = FIGURES[item];
  const taken = uncertainty.tape ?? uncertainty.drag ?? 0;
  return Math.max(justNoticeable, WITHIN_95 * Math.SQRT2 * taken);
}

/**
 * What was agreed against what was measured later: a figure has drifted where it is off by more than both 1.96 times
 * the two standard deviations together and what a coach can just notice. Where it is off by what would be told with a tape,
 * but not with what it was measured with, nobody can tell.
 * @param agreed the setup that was agreed on
 * @param today a setup measured later; null where none was
 * @param figures which figures, those that were agreed on
 * @returns one verdict for each that the agreed setup has, in the order given
 */
export function heldSince(
  agreed: Setup,
  today: Setup | null,
  figures: readonly PlacedFigure[] = PLACED_FIGURES,
): Held[] {
  const [then, now] = [measureSetup(agreed), today && measureSetup(today)];
  return figures.flatMap((figure): Held[] => {
    const was = measuredFigure(then, figure);
    if (!was) return [];
    const is = now && measuredFigure(now, figure);
    if (!is) return [{ figure, verdict: 'not measured', agreed: was.value, today: null }];
    const off = Math.abs(is.value - was.value);
    const explained = WITHIN_95 * Math.hypot(was.uncertainty, is.uncertainty);
    const drifted = off > Math.max(explained, FIGURES[figure].justNoticeable);
    const verdict = drifted ? 'drifted' : off > heldWithin(figure) ? 'cannot tell' : 'held';
    return [{ figure, verdict, agreed: was.value, today: is.value }];
  });
}

/**
 * The figures of feet and load that a change moved; a lifted heel is no part of it.
 * @param from the setup before
 * @param agreed the setup that was agreed on
 * @returns their names, from the ground up
 */
export function movedFigures(from: Setup, agreed: Setup): PlacedFigure[] {
  const changed: readonly string[] = differences(from, agreed).map(({ change }) => change);
  return PLACED_FIGURES.filter((figure) => changed.includes(figure));
}

/**
 * A change against a setup measured later: the figures that it moved. What it left alone was never agreed on, and a fault
 * that is put right there has not drifted.
 * @param from the setup before the change
 * @param agreed the setup that was agreed on
 * @param today a setup measured later; null where none was
 * @returns one verdict for each of those figures
 */
export const changeHeld = (from: Setup, agreed: Setup, today: Setup | null): Held[] =>
  heldSince(agreed, today, movedFigures(from, agreed));
