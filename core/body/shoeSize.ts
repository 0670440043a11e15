import { InputError, withinRange } from '../units';

export const SHOE_SIZE_SYSTEMS = ['EU', 'UK', 'US men', 'US women', 'Mondopoint'] as const;
export type ShoeSizeSystem = (typeof SHOE_SIZE_SYSTEMS)[number];

const MM_PER_INCH = 25.4;
/** A Paris point is two thirds of a centimetre. */
const PARIS_POINT_MM = 20 / 3;
/** A barleycorn is a third of an inch. */
const BARLEYCORN_MM = MM_PER_INCH / 3;

/** Each scale's size steps and the size at a foot of no length; nominal, from memory. */
const SCALES: Record<Exclude<ShoeSizeSystem, 'Mondopoint'>, { stepMm: number; sizeAtZero: number }> = {
  EU: { stepMm: PARIS_POINT_MM, sizeAtZero: 2 },
  UK: { stepMm: BARLEYCORN_MM, sizeAtZero: -23 },
  'US men': { stepMm: BARLEYCORN_MM, sizeAtZero: -22 },
  'US women': { stepMm: BARLEYCORN_MM, sizeAtZero: -21 },
};

/** Feet from a small child's to the longest known, mm. */
const FOOT_LENGTH = { least: 140, most: 350 };

/**
 * Foot length in mm from a shoe size. Mondopoint *is* the foot length in mm (ISO 9407). EU, UK and
 * US sizes are nominal: makers differ by half a size either way (from memory: ISO/TS 19407 and the
 * usual foot measuring scales).
 * @param system the size scale
 * @param size the size on it
 * @returns foot length, mm
 * @throws InputError when no human foot wears that size
 * @example Math.round(footLengthFromSize('EU', 44)) // 280
 */
export function footLengthFromSize(system: ShoeSizeSystem, size: number): number {
  if (!Number.isFinite(size)) throw new InputError('shoe size', 'a number', String(size));
  const length = system === 'Mondopoint' ? size : (size - SCALES[system].sizeAtZero) * SCALES[system].stepMm;
  try {
    return withinRange('shoe size', length, FOOT_LENGTH.least, FOOT_LENGTH.most, 'mm of foot');
  } catch {
    const range = [FOOT_LENGTH.least, FOOT_LENGTH.most].map((mm) => sizeFromFootLength(system, mm));
    throw new InputError('shoe size', `${system} ${range[0]} to ${range[1]}`, `${system} ${size}`);
  }
}

/**
 * The nearest half size for a foot; whole millimetres for Mondopoint.
 * @param system the size scale
 * @param footLength mm
 * @returns the size
 * @example sizeFromFootLength('EU', 280) // 44
 */
export function sizeFromFootLength(system: ShoeSizeSystem, footLength: number): number {
  if (system === 'Mondopoint') return Math.round(footLength);
  const { stepMm, sizeAtZero } = SCALES[system];
  return Math.round((footLength / stepMm + sizeAtZero) * 2) / 2;
}

/** A shoe's sole is longer than the foot by about 10-20 mm (starting value). */
export const SHOE_LONGER_THAN_FOOT_MM = 15;
/** Half a size of makers' difference and the allowance's own scatter together (starting value). */
const SHOE_FROM_SIZE_SD_MM = 5;

/**
 * Sole length from a shoe size, always an estimate.
 * @param system the size’s system
 * @param size the size
 * @returns mm, with one standard deviation
 * @throws InputError as `footLengthFromSize`
 */
export function shoeLengthFromSize(system: ShoeSizeSystem, size: number) {
  return {
    value: Math.round(footLengthFromSize(system, size) + SHOE_LONGER_THAN_FOOT_MM),
    source: 'estimated' as const,
    uncertainty: SHOE_FROM_SIZE_SD_MM,
  };
}
