import { FIGURES, type FeetFigure } from '../setup';
import type { Ladder, LadderSwing } from './ladders';

/** What a ladder of one's own may move. */
export const OWN_LADDER_FIGURES = [
  'trailFlare',
  'leadFlare',
  'stanceWidth',
  'setback',
  'ballAlong',
] as const satisfies readonly FeetFigure[];
export type OwnLadderFigure = (typeof OWN_LADDER_FIGURES)[number];

/** A ladder that a coach built from the same parts. Rungs in mm or degrees. */
export interface OwnLadder {
  id: string;
  name: string;
  figure: OwnLadderFigure;
  purpose: string;
  /** When a try passes: the end of a sentence. */
  passes: string;
  passing: 'from' | 'up to';
  swing: LadderSwing;
  first: number;
  last: number;
  step: number;
  /** Whether a minor may go up it. */
  minors: boolean;
}

/** So many rungs it may have: fewer tell nothing, and nobody goes up more in a sitting. */
export const OWN_LADDER_RUNGS = { least: 3, most: 25 };

/**
 * How many rungs a ladder has.
 * @param ladder its ends and its step
 * @returns how many; not a whole number where the step does not lead from end to end
 * @example rungCount({ first: 0, last: 30, step: 5 }) // 7
 */
export const rungCount = ({ first, last, step }: Pick<OwnLadder, 'first' | 'last' | 'step'>): number =>
  (last - first) / step + 1;

/** A single try is as unsure as a step; a body that is cold needs as much more where it has to turn (starting values). */
export const ladderFrom = ({ figure, step, ...own }: OwnLadder): Ladder => ({
  figure,
  purpose: own.purpose,
  passes: own.passes,
  passing: own.passing,
  swing: own.swing,
  measures: null,
  first: own.first,
  last: own.last,
  coarse: 2 * step,
  fine: step,
  spread: step,
  warmUp: FIGURES[figure].unit === 'degrees' ? step : 0,
});
