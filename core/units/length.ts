/** Millimetres in an inch, exact since the international inch of 1959. */
export const MM_PER_INCH = 25.4;
export const MM_PER_CM = 10;
/** Metres in a yard and in a foot, exact since 1959. */
export const METRES_PER_YARD = 0.9144;
export const METRES_PER_FOOT = 0.3048;
/** Metres a second in a mile an hour, exact since 1959, and in a kilometre an hour. */
export const MPS_PER_MPH = 0.44704;
export const MPS_PER_KMH = 1 / 3.6;

/** What the coach reads lengths in. */
export type LengthUnit = 'cm' | 'inches';

const perUnit = (unit: LengthUnit): number => (unit === 'cm' ? MM_PER_CM : MM_PER_INCH);

/**
 * Millimetres in the coach's unit.
 * @param unit what the coach reads lengths in
 * @param mm a length, mm
 * @returns the same length as a number of centimetres or inches
 * @example lengthIn('inches', 254) // 10
 */
export const lengthIn = (unit: LengthUnit, mm: number): number => mm / perUnit(unit);

/**
 * A length in the coach's unit, in millimetres.
 * @param unit what the coach reads lengths in
 * @param length a number of centimetres or inches
 * @returns the same length, mm
 * @example millimetres('cm', 25) // 250
 */
export const millimetres = (unit: LengthUnit, length: number): number => length * perUnit(unit);
