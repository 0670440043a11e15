import type { FeetFigure, MeasurementWay, PlacedFigure } from './figures';
import { measureAddress } from './measures';
import { figureOf, withFigure, withMeasured, type Setup } from './setup';

/** What a width is laid between. */
export const WIDTH_DATUMS = ['heels', 'outsides', 'gap'] as const;
export type WidthDatum = (typeof WIDTH_DATUMS)[number];

/** Figures of the feet and the ball as a coach reads them off, mm and degrees; what was left out is not there. */
export type TakenFigures = Partial<Record<FeetFigure, number>>;

/** Feet are turned where they stand first, then put apart and back, then the ball is laid: so none moves another. */
const LAID_IN_ORDER: readonly FeetFigure[] = [
  'leadFlare',
  'trailFlare',
  'stanceWidth',
  'setback',
  'ballAlong',
  'ballOut',
];

const WHERE_IT_STANDS = { keepToe: false, turnWithLine: false };

/** How much more there is between other points than between the heels, for feet flared like these, mm. */
function beyondHeels({ address }: Setup, datum: WidthDatum): number {
  const { stanceWidth, outerWidth, gap } = measureAddress(address);
  return { heels: 0, outsides: outerWidth - stanceWidth, gap: gap - stanceWidth }[datum];
}

/**
 * A setup with figures as they were read off, all of them at once, in whichever order they were taken. What was
 * measured before and is not among them keeps its value.
 * @param setup the setup to begin from
 * @param taken the figures, mm and degrees
 * @param way how they were taken
 * @param datum what the width was laid between
 * @returns the new setup, each figure taken noted as measured that way
 */
export function setupAsTaken(
  setup: Setup,
  taken: TakenFigures,
  way: MeasurementWay,
  datum: WidthDatum = 'heels',
): Setup {
  const laid = LAID_IN_ORDER.reduce((feet, figure) => {
    const value = taken[figure];
    const kept = setup.measured[figure] ? (figureOf(setup, figure) ?? null) : null;
    const wanted =
      value === undefined ? kept : figure === 'stanceWidth' ? value - beyondHeels(feet, datum) : value;
    return wanted === null ? feet : withFigure(feet, figure, wanted, WHERE_IT_STANDS, way);
  }, setup);
  const figures = LAID_IN_ORDER.filter((figure) => taken[figure] !== undefined);
  return withMeasured({ ...laid, measured: setup.measured }, figures, way);
}

/**
 * A setup with a figure of feet or load not measured any more; it stands as it is drawn.
 * @param setup the setup
 * @param figure which figure
 * @returns the setup without it among what was measured
 */
export function notTaken(setup: Setup, figure: PlacedFigure): Setup {
  const { [figure]: _taken, ...measured } = setup.measured;
  return { ...setup, measured };
}
