import { LOCALE } from './locale';
import { lengthIn, type LengthUnit } from './length';

const NUMBERS: Intl.NumberFormat[] = [];

/** Made once for each count of decimals: making one costs more than a thousand numbers written with it. */
const numbersOf = (decimals: number): Intl.NumberFormat =>
  (NUMBERS[decimals] ??= new Intl.NumberFormat(LOCALE, {
    minimumFractionDigits: decimals,
    maximumFractionDigits: decimals,
    useGrouping: false,
  }));

/** The unit a figure of a setup is kept in. */
export type Unit = 'mm' | 'degrees' | 'percent';

/**
 * A number with a fixed count of decimals, with a true minus sign and never "-0".
 * @param value any finite number
 * @param decimals digits after the point
 * @returns the number as it is shown
 * @example rounded(-0.04, 1) // '0.0'
 */
export function rounded(value: number, decimals: number): string {
  const text = numbersOf(decimals).format(value);
  return Number(text) === 0 ? text.replace('-', '') : text.replace('-', '\u2212');
}

/**
 * A length without its unit: one decimal for centimetres, two for inches.
 * @param mm a length, mm
 * @param unit what the coach reads lengths in
 * @returns the figure alone
 * @example lengthFigure(427, 'cm') // '42.7'
 */
export const lengthFigure = (mm: number, unit: LengthUnit): string =>
  rounded(lengthIn(unit, mm), unit === 'cm' ? 1 : 2);

/**
 * @param mm a length, mm
 * @param unit what the coach reads lengths in
 * @returns the figure with its unit
 * @example lengthWithUnit(500, 'inches') // '19.69 in'
 */
export const lengthWithUnit = (mm: number, unit: LengthUnit): string =>
  `${lengthFigure(mm, unit)} ${unit === 'cm' ? 'cm' : 'in'}`;

/**
 * A length as it is said: no finer than a tape was laid, in whole centimetres or half inches.
 * @param mm a length, mm
 * @param unit what the coach reads lengths in
 * @returns the figure with its unit
 * @example saidLength(271, 'cm') // '27 cm'
 */
export function saidLength(mm: number, unit: LengthUnit): string {
  if (unit === 'cm') return `${rounded(lengthIn(unit, mm), 0)} cm`;
  const halves = Math.round(2 * lengthIn(unit, mm)) / 2;
  return `${rounded(halves, Number.isInteger(halves) ? 0 : 1)} in`;
}

/**
 * @param degrees an angle, degrees
 * @param decimals digits after the point
 * @returns the figure with a degree sign
 * @example angleFigure(-6.4) // '−6°'
 */
export const angleFigure = (degrees: number, decimals = 0): string => `${rounded(degrees, decimals)}°`;

/**
 * A figure of any unit with its unit; the angle of a line is told by `lineWords` instead.
 * @param value mm, degrees or percent
 * @param unit which of the three
 * @param length what the coach reads lengths in
 * @returns the figure with its unit
 * @example figureWithUnit(52.4, 'percent', 'cm') // '52%'
 */
export function figureWithUnit(value: number, unit: Unit, length: LengthUnit): string {
  if (unit === 'mm') return lengthWithUnit(value, length);
  return unit === 'degrees' ? angleFigure(value) : `${rounded(value, 0)}%`;
}

/**
 * A figure as a coach says it, with its unit: a length no finer than a foot is put down.
 * @param value mm, degrees or percent
 * @param unit which of the three
 * @param length what lengths are said in
 * @returns the figure with its unit
 * @example saidInUnit(24.6, 'degrees', 'cm') // '25°'
 */
export const saidInUnit = (value: number, unit: Unit, length: LengthUnit): string =>
  unit === 'mm' ? saidLength(value, length) : figureWithUnit(value, unit, length);
