import { angleOf, type Screen, type ScreenItem } from '../body';
import type { FootName } from '../setup';
import { calibrate, type Calibration, type MeasuredTurn } from './calibrate';
import { STARTING_GIVES } from './stops';
import type { TurningBody, TurningFeet } from './types';

/** One standard deviation of the flares a turn is measured on, placed with a stick (starting value), degrees. */
const STOOD_FLARE_UNCERTAINTY = 2;

/** Turns of the hips that were taken in posture, as what they calibrate. */
function measuredTurns(screen: Screen): MeasuredTurn[] {
  const { turnedOn } = screen;
  if (!turnedOn) return [];
  const feet: TurningFeet = {
    flare: { lead: turnedOn.leadFlare, trail: turnedOn.trailFlare },
    flareUncertainty: { lead: STOOD_FLARE_UNCERTAINTY, trail: STOOD_FLARE_UNCERTAINTY },
    leadHeelLift: 0,
  };
  const turn = (way: 'back' | 'through', item: ScreenItem, stoppedBy: FootName | null): MeasuredTurn[] => {
    const reached = angleOf(screen, item);
    return reached ? [{ turn: way, reached, feet, stoppedBy }] : [];
  };
  return [
    ...turn('back', 'hipsBack', screen.stoppedBack),
    ...turn('through', 'hipsThrough', screen.stoppedThrough),
  ];
}

/**
 * What a screen says of turning, with what its measured turns say of the stops.
 * @param screen the screen
 * @returns the legs and trunk, degrees with one standard deviation, and what each measured turn missed by
 */
export function turningBody(screen: Screen): TurningBody & Pick<Calibration, 'residuals'> {
  const body: TurningBody = {
    legs: {
      turnIn: { lead: angleOf(screen, 'turnInLead'), trail: angleOf(screen, 'turnInTrail') },
      turnOut: { lead: angleOf(screen, 'turnOutLead'), trail: angleOf(screen, 'turnOutTrail') },
      trunk: { back: angleOf(screen, 'trunkBack'), through: angleOf(screen, 'trunkThrough') },
    },
    gives: STARTING_GIVES,
    reaches: {},
    soreKnee: screen.soreKnee,
  };
  const { reaches, residuals } = calibrate(body, measuredTurns(screen));
  return { ...body, reaches, residuals };
}
