import { METRES_PER_YARD, MM_PER_CM, MM_PER_INCH, MPS_PER_KMH, MPS_PER_MPH, type LengthUnit } from './length';
import { rounded } from './format';

/** In what a coach reads how far a ball flew, and how fast a club was. */
export const DISTANCE_UNITS = ['metres', 'yards'] as const;
export type DistanceUnit = (typeof DISTANCE_UNITS)[number];
export const SPEED_UNITS = ['metres a second', 'miles an hour', 'kilometres an hour'] as const;
export type SpeedUnit = (typeof SPEED_UNITS)[number];

/** A coach's units, each quantity by itself. */
export interface Units {
  length: LengthUnit;
  distance: DistanceUnit;
  speed: SpeedUnit;
}

/** The unit a figure of a shot is kept in. */
export type ShotUnit = 'degrees' | 'metres' | 'metres a second' | 'millimetres' | 'of shots';

interface Shown {
  /** How much of the kept unit one of the shown unit is. */
  per: number;
  sign: string;
  decimals: number;
}

const DISTANCES: Record<DistanceUnit, Shown> = {
  metres: { per: 1, sign: ' m', decimals: 0 },
  yards: { per: METRES_PER_YARD, sign: ' yd', decimals: 0 },
};
const SPEEDS: Record<SpeedUnit, Shown> = {
  'metres a second': { per: 1, sign: ' m/s', decimals: 1 },
  'miles an hour': { per: MPS_PER_MPH, sign: ' mph', decimals: 1 },
  'kilometres an hour': { per: MPS_PER_KMH, sign: ' km/h', decimals: 1 },
};
const LENGTHS: Record<LengthUnit, Shown> = {
  cm: { per: MM_PER_CM, sign: ' cm', decimals: 0 },
  inches: { per: MM_PER_INCH, sign: ' in', decimals: 1 },
};

function shownIn(unit: ShotUnit, units: Units): Shown {
  switch (unit) {
    case 'degrees':
      return { per: 1, sign: '°', decimals: 1 };
    case 'metres':
      return DISTANCES[units.distance];
    case 'metres a second':
      return SPEEDS[units.speed];
    case 'millimetres':
      return LENGTHS[units.length];
    case 'of shots':
      return { per: 0.01, sign: '%', decimals: 0 };
  }
}

/**
 * A shot's figure in the coach's units.
 * @param value in the unit it is kept in
 * @param unit it is kept in
 * @param units the coach’s, each quantity by itself
 * @returns words
 * @example shotFigure(100, 'metres', { length: 'cm', distance: 'yards', speed: 'miles an hour' }) // '109 yd'
 */
export function shotFigure(value: number, unit: ShotUnit, units: Units): string {
  const { per, sign, decimals } = shownIn(unit, units);
  return `${rounded(value / per, decimals)}${sign}`;
}

/** A shot's figure as it is typed, and back: the number in the coach's unit, and that unit. */
export const shotNumber = {
  shown: (value: number, unit: ShotUnit, units: Units): number => value / shownIn(unit, units).per,
  stored: (value: number, unit: ShotUnit, units: Units): number => value * shownIn(unit, units).per,
  unit: (unit: ShotUnit, units: Units): string => shownIn(unit, units).sign.trim(),
};
