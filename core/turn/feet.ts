import { figureOf, type FootName, type Setup } from '../setup';
import type { TurningFeet } from './types';

/**
 * The feet of a setup as far as turning goes.
 * @param setup the setup, angles degrees
 * @param leadHeelLift how far the lead heel may come up going back, mm
 * @returns both flares with how sure they are, and the lift; null where a flare was not measured
 */
export function turningFeet(setup: Setup, leadHeelLift: number): TurningFeet | null {
  const { leadFlare, trailFlare } = setup.measured;
  if (!leadFlare || !trailFlare) return null;
  const flare: Record<FootName, number> = {
    lead: figureOf(setup, 'leadFlare')!,
    trail: figureOf(setup, 'trailFlare')!,
  };
  return {
    flare,
    flareUncertainty: { lead: leadFlare.uncertainty, trail: trailFlare.uncertainty },
    leadHeelLift,
  };
}
