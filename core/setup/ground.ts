/**
 * The ground plane, seen from above. Lengths in millimetres, angles in degrees.
 *
 * Origin at the ball; the target line is y = 0; +x toward the target; +y from the golfer toward
 * the ball, so feet have negative y. The frame does not know left- from right-handed: the lead
 * foot is the one with the larger x. Drawing and phrases mirror; this frame never does.
 */
export interface Point {
  x: number;
  y: number;
}

export type FootName = 'lead' | 'trail';

/** Both shoes are taken as a pair of one size. */
export interface Shoe {
  /** Sole length from the heel point to the toe point, mm. */
  length: number;
  /** Sole breadth at its widest, mm. */
  breadth: number;
}

export interface PlacedFoot {
  /** Rearmost point of the sole on its long axis; also the pivot of the foot. */
  heel: Point;
  /** Angle of the long axis from the square line, outward positive, degrees. */
  flare: number;
}

/** Both feet as they stand, with the ball at the origin. */
export interface Address {
  shoe: Shoe;
  lead: PlacedFoot;
  trail: PlacedFoot;
}
