import { degrees, radians } from '../units';

/** The club head on a circle of `radius` mm in a plane at `planeAngle` degrees to the ground. */
export interface SwingArc {
  radius: number;
  planeAngle: number;
}

/** Starting values: a mid iron and a driver. */
const IRON = { lengthInches: 37, radius: 1650, planeAngle: 60 };
const DRIVER = { lengthInches: 45.5, radius: 1800, planeAngle: 48 };

/**
 * The arc of a club by its length: on the straight through a mid iron's and a driver's (starting values).
 * @param clubLengthInches inches
 * @returns radius, mm, and the plane's angle to the ground, degrees
 * @example arcOf(37) // { radius: 1650, planeAngle: 60 }
 */
export function arcOf(clubLengthInches: number): SwingArc {
  const share = (clubLengthInches - IRON.lengthInches) / (DRIVER.lengthInches - IRON.lengthInches);
  return {
    radius: IRON.radius + share * (DRIVER.radius - IRON.radius),
    planeAngle: IRON.planeAngle + share * (DRIVER.planeAngle - IRON.planeAngle),
  };
}

/**
 * Path of the club head where it meets the ball: a ball met late is met on the way in again.
 * path = −atan(tan φ · cos p), sin φ = forward / radius, p the plane's angle. Plane geometry: the
 * tangent of a circle seen from above.
 * @param arc radius, mm, and the plane's angle to the ground, degrees
 * @param forward how far the ball is ahead of the arc's low point along the target line, mm
 * @returns degrees, in-to-out positive
 * @example pathOnArc(arcOf(37), 90).toFixed(2) // '-1.56'
 */
export function pathOnArc({ radius, planeAngle }: SwingArc, forward: number): number {
  const along = Math.asin(Math.max(-1, Math.min(1, forward / radius)));
  return -degrees(Math.atan(Math.tan(along) * Math.cos(radians(planeAngle))));
}
