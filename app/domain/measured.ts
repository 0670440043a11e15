import { measureSetup, type MeasuredSetup, type PlacedFigure, type Setup } from '@pedastance/core/setup';
import { lengthWithUnit, saidLength, type LengthUnit } from '@pedastance/core/units';

const cache = new WeakMap<Setup, MeasuredSetup>();

/** A setup with its ground measured: once for each setup, whoever asks. */
export function measuredOf(setup: Setup): MeasuredSetup {
  const known = cache.get(setup);
  if (known) return known;
  const measured = measureSetup(setup);
  cache.set(setup, measured);
  return measured;
}

const isByEye = (setup: Setup, name: PlacedFigure): boolean => setup.measured[name]?.way === 'by eye';

/** A length's figure, no finer than it was taken: an eye sees whole centimetres at best. */
export const lengthFigureAsTaken = (
  setup: Setup,
  name: PlacedFigure,
  mm: number,
  length: LengthUnit,
): string => (isByEye(setup, name) ? saidLength(mm, length) : lengthWithUnit(mm, length));

/** The same as it is said: what an eye saw is "about" so much. */
export const lengthAsTaken = (setup: Setup, name: PlacedFigure, mm: number, length: LengthUnit): string =>
  `${isByEye(setup, name) ? 'about ' : ''}${lengthFigureAsTaken(setup, name, mm, length)}`;
