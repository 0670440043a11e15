import { figureOf, measureAddress, uncertaintyOf, type FootName, type Setup } from '../setup';
import type { Angle } from '../units';
import type { TurningFeet } from './types';

/** The toe line; square where it was not measured, which gives the turn nothing and takes nothing from it. */
function toeLineOf(setup: Setup): Angle {
  const measures = measureAddress(setup.address);
  const uncertainty = uncertaintyOf({ setup, measures }, 'stanceLine');
  return uncertainty === null ? { value: 0, uncertainty: 0 } : { value: measures.toeLine, uncertainty };
}

/**
 * The feet of a setup as far as turning goes.
 * @param setup the setup, angles degrees
 * @param leadHeelLift how far the lead heel may come up going back, mm
 * @param ownDifference by how much the method itself has the trail foot further out, degrees
 * @returns both flares with how sure they are, the toe line and the lift; null where a flare was not measured
 */
export function turningFeet(setup: Setup, leadHeelLift: number, ownDifference: number): TurningFeet | null {
  const { leadFlare, trailFlare } = setup.measured;
  if (!leadFlare || !trailFlare) return null;
  const flare: Record<FootName, number> = {
    lead: figureOf(setup, 'leadFlare')!,
    trail: figureOf(setup, 'trailFlare')!,
  };
  return {
    flare,
    flareUncertainty: { lead: leadFlare.uncertainty, trail: trailFlare.uncertainty },
    toeLine: toeLineOf(setup),
    ownDifference,
    leadHeelLift,
  };
}
