/**
 * A pelvis on two planted legs, in three dimensions, turned in small steps until a joint is at its
 * end. Written from the joints alone: it knows nothing of the sums the product uses. Each leg is a
 * foot on the ground, a lower part that may twist over it by so much, and a hip joint that may turn
 * in and out by so much; the hip takes what the lower part does not.
 */
type Vector = readonly [number, number, number];

interface Leg {
  /** Which way the foot points, a unit vector on the ground. */
  foot: Vector;
  /** +1 for the leg on the target side, -1 for the other. */
  side: 1 | -1;
  /** How far the thigh can turn toward the middle, and away from it, in the hip, degrees. */
  turnsIn: number;
  turnsOut: number;
  /** How far shoe, ankle and knee follow the pelvis before the hip has to, degrees. */
  follows: number;
}

const rotate = ([x, y, z]: Vector, degrees: number): Vector => {
  const angle = (degrees * Math.PI) / 180;
  return [x * Math.cos(angle) - y * Math.sin(angle), x * Math.sin(angle) + y * Math.cos(angle), z];
};

const cross = (a: Vector, b: Vector): Vector => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];
const dot = (a: Vector, b: Vector): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];

/** The angle from one direction on the ground to another, against the clock seen from above, degrees. */
const angleFrom = (a: Vector, b: Vector): number =>
  (Math.atan2(dot(cross(a, b), [0, 0, 1]), dot(a, b)) * 180) / Math.PI;

const ROUNDING = 1e-9;

/** Whether a leg can stand as it is under a pelvis that faces this way. */
function canStand(leg: Leg, facing: Vector): boolean {
  // The lower part follows the pelvis as far as it can; the thigh is then set on it.
  const behind = angleFrom(leg.foot, facing);
  const followed = Math.max(-leg.follows, Math.min(leg.follows, behind));
  const thigh = rotate(leg.foot, followed);
  // How the thigh stands in the hip: against the clock is out for the leg on the trail side.
  const inHip = angleFrom(facing, thigh) * -leg.side;
  return inHip <= leg.turnsOut + ROUNDING && -inHip <= leg.turnsIn + ROUNDING;
}

export interface PelvisOnLegs {
  lead: Omit<Leg, 'side' | 'foot'> & { flare: number };
  trail: Omit<Leg, 'side' | 'foot'> & { flare: number };
}

const SQUARE: Vector = [0, 1, 0];
const STEP = 0.05;

/** Turns the pelvis from square, back (+1) or through (-1), until a leg cannot stand; degrees. */
export function turnUntilStopped({ lead, trail }: PelvisOnLegs, way: 'back' | 'through'): number {
  // +x is toward the target and +y from the golfer to the ball: outward is +x for the lead foot and
  // -x for the trail foot.
  const legs: Leg[] = [
    { ...lead, side: 1, foot: rotate(SQUARE, -lead.flare) },
    { ...trail, side: -1, foot: rotate(SQUARE, trail.flare) },
  ];
  // Going back the chest turns away from the target: against the clock seen from above.
  const direction = way === 'back' ? 1 : -1;
  let turned = 0;
  while (turned < 180) {
    const facing = rotate(SQUARE, direction * (turned + STEP));
    if (!legs.every((leg) => canStand(leg, facing))) return turned;
    turned += STEP;
  }
  return turned;
}
