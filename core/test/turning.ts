import { testedBody, type Angle, type TurningBody, type TurningFeet } from '..';

export const angle = (value: number, uncertainty = 5): Angle => ({ value, uncertainty });
export const both = <Value>(lead: Value, trail: Value = lead) => ({ lead, trail });

export interface TestedLegs {
  inLead: number;
  inTrail: number;
  outLead: number;
  outTrail: number;
  trunk: number | null;
}

/** A body with usual legs, but for what is said. */
export const bodyOf = (legs: Partial<TestedLegs> = {}, over: Partial<TurningBody> = {}): TurningBody => {
  const { inLead = 35, inTrail = 35, outLead = 45, outTrail = 45, trunk = 45 } = legs;
  return {
    ...testedBody({
      turnIn: both(angle(inLead), angle(inTrail)),
      turnOut: both(angle(outLead), angle(outTrail)),
      trunk: { back: trunk === null ? null : angle(trunk), through: null },
    }),
    ...over,
  };
};

/** Feet of these flares on a square line, with a method that has them alike. */
export const feetOf = (
  lead: number,
  trail: number,
  leadHeelLift = 0,
  over: Partial<TurningFeet> = {},
): TurningFeet => ({
  flare: both(lead, trail),
  flareUncertainty: both(2),
  toeLine: { value: 0, uncertainty: 0 },
  ownDifference: 0,
  leadHeelLift,
  ...over,
});
