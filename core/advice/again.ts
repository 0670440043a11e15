import {
  isLoad,
  FEET_FIGURES,
  groundFigure,
  AS_TAUGHT,
  measuredFigure,
  measureSetup,
  PLACED_FIGURES,
  type MeasuredSetup,
  type Setup,
} from '../setup';
import type { TurningBody } from '../turn';
import type { Angle } from '../units';
import type { Case } from './types';

const shaken = (angle: Angle | null, normal: () => number): Angle | null =>
  angle && { ...angle, value: angle.value + angle.uncertainty * normal() };

function legsAgain(body: TurningBody, normal: () => number): TurningBody {
  const { legs } = body;
  const pair = ({ lead, trail }: TurningBody['legs']['turnIn']) => ({
    lead: shaken(lead, normal),
    trail: shaken(trail, normal),
  });
  return {
    ...body,
    legs: {
      turnIn: pair(legs.turnIn),
      turnOut: pair(legs.turnOut),
      trunk: { back: shaken(legs.trunk.back, normal), through: shaken(legs.trunk.through, normal) },
    },
  };
}

function postureAgain(
  posture: NonNullable<Setup['posture']>,
  normal: () => number,
): NonNullable<Setup['posture']> {
  const figures = Object.entries(posture.figures).map(([name, sighting]) => [
    name,
    { ...sighting!, value: sighting!.value + sighting!.uncertainty * normal() },
  ]);
  return { ...posture, figures: Object.fromEntries(figures) };
}

/** Feet and ball put to drawn values, each as little else moved as can be. */
function feetAgain(measured: MeasuredSetup, normal: () => number): Setup['address'] {
  let { address } = measured.setup;
  for (const figure of FEET_FIGURES) {
    const found = measuredFigure(measured, figure);
    if (found)
      address = groundFigure(figure)!.set!(address, found.value + found.uncertainty * normal(), AS_TAUGHT);
  }
  return address;
}

/**
 * A case whose feet, load, posture and legs are measured again, each within its ±.
 * @param given the case
 * @param normal draws of a standard normal distribution, or whatever else is drawn of each ±
 * @returns the case as it would be measured another time
 */
export function measuredAgain(given: Case, normal: () => number): Case {
  const { setup, body } = given;
  const balance = { ...setup.balance };
  for (const figure of PLACED_FIGURES) {
    const known = setup.measured[figure];
    if (known && isLoad(figure)) balance[figure] += known.uncertainty * normal();
  }
  const address = feetAgain(measureSetup(setup), normal);
  const posture = setup.posture && postureAgain(setup.posture, normal);
  return {
    ...given,
    setup: { ...setup, address, balance, ...(posture && { posture }) },
    body: body && legsAgain(body, normal),
  };
}
