import {
  FIGURES,
  figureOf,
  notTaken,
  setupAsTaken,
  withFigure,
  type PlacedFigure,
  type Setup,
  type TakenFigures,
  type WidthDatum,
} from '@pedastance/core/setup';
import { changeFeet, lesson, markPast, reframe } from './lesson';

/** Figures as a tape and a scale have them, mm, degrees and percent; what was left out is not there. */
export type TapeFigures = TakenFigures & { leadShare?: number };

/**
 * Today's feet with everything that was typed so far; null where nobody could stand so wide or so narrow.
 * Each figure holds whichever was typed first.
 */
export function laidByTape(
  setup: Setup,
  { leadShare, ...taken }: TapeFigures,
  datum: WidthDatum,
): Setup | null {
  const laid = setupAsTaken(setup, taken, 'tape', datum);
  const width = figureOf(laid, 'stanceWidth')!;
  const { least, most } = FIGURES.stanceWidth.range;
  if (taken.stanceWidth !== undefined && !(width >= least && width <= most)) return null;
  return leadShare === undefined ? laid : withFigure(laid, 'leadShare', leadShare);
}

/** Puts today's feet to another setup, which can be taken back. */
export function standAs(setup: Setup): void {
  if (lesson.getState().draft?.setup === setup) return;
  markPast();
  changeFeet(setup);
  reframe();
}

/** A figure that is left out stands as it is drawn. */
export function leaveOut(figure: PlacedFigure): void {
  const setup = lesson.getState().draft?.setup;
  if (setup?.measured[figure]) standAs(notTaken(setup, figure));
}
