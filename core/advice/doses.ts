import type { Unit } from '../units';
import type { AdvisedFigure } from './types';

/** Doses that a coach can say: an inch of bump comes in halves, lengths in centimetres, flares in fives, mm and degrees. */
const HALF_INCH = 12.5;
const CENTIMETRE = 10;
const FIVE_DEGREES = 5;

const doseOf = (figure: AdvisedFigure | Unit): number => {
  if (figure === 'hipBump' || figure === 'leadHeelLift') return HALF_INCH;
  if (figure === 'leadFlare' || figure === 'trailFlare' || figure === 'degrees') return FIVE_DEGREES;
  return CENTIMETRE;
};

/** Rounding of figures that are computed, in doses. */
const ROUNDING = 1e-6;

/**
 * The dose nearest to a figure.
 * @param value mm or degrees
 * @param figure whose dose
 * @returns a whole number of doses, in the figure's unit
 */
export const nearestDose = (value: number, figure: AdvisedFigure | Unit): number =>
  doseOf(figure) * Math.round(value / doseOf(figure));

/**
 * The first dose at or beyond a figure.
 * @param value mm or degrees
 * @param figure whose dose
 * @returns a whole number of doses, no less than the figure
 */
export const doseFrom = (value: number, figure: AdvisedFigure | Unit): number =>
  doseOf(figure) * Math.ceil(value / doseOf(figure) - ROUNDING);

/**
 * The last dose at or below a figure.
 * @param value mm or degrees
 * @param figure whose dose
 * @returns a whole number of doses, no more than the figure
 */
export const doseTo = (value: number, figure: AdvisedFigure | Unit): number =>
  doseOf(figure) * Math.floor(value / doseOf(figure) + ROUNDING);

/**
 * One dose of a figure, as a coach says it.
 * @param figure which
 * @returns mm or degrees
 */
export const oneDose = (figure: AdvisedFigure): number => doseOf(figure);
