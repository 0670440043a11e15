import { FEET_FIGURES, FIGURES, groundFigure, type FeetFigure } from './figures';
import type { Address } from './ground';
import { measureAddress } from './measures';
import type { Setup } from './setup';

/** Feet as a photo has them: the address, and one standard deviation of each figure, mm and degrees. */
export interface FeetFromPhoto {
  address: Address;
  figures: Record<FeetFigure, { uncertainty: number }>;
}

/**
 * A setup whose feet and ball are as a photo has them.
 * @param setup the setup to begin from; its loads and posture are kept
 * @param photo the feet and how sure each figure is
 * @returns the new setup, each figure noted as measured by photo; null where nobody could stand so
 */
export function setupByPhoto(setup: Setup, { address, figures }: FeetFromPhoto): Setup | null {
  const measures = measureAddress(address);
  const measured = { ...setup.measured };
  for (const name of FEET_FIGURES) {
    const value = groundFigure(name)!.measure(measures, address);
    const { least, most } = FIGURES[name].range;
    if (!(value >= least && value <= most)) return null;
    measured[name] = { way: 'photo', uncertainty: figures[name].uncertainty };
  }
  return { ...setup, address: { ...address, shoe: setup.address.shoe }, measured };
}
