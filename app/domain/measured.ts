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

/** A length as it was taken: what an eye saw is said no finer than it sees. */
export const lengthAsTaken = (setup: Setup, name: PlacedFigure, mm: number, length: LengthUnit): string =>
  setup.measured[name]?.way === 'by eye' ? `about ${saidLength(mm, length)}` : lengthWithUnit(mm, length);
