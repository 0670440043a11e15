import { degrees, radians } from '../units';
import { soleReach, toePoint } from './foot';
import type { Address, Point } from './ground';

/** Every figure read off the ground plane. Lengths mm, angles degrees. */
export interface AddressMeasures {
  /** Between heel points along the target line. */
  stanceWidth: number;
  /** From the outer edge of one sole to the outer edge of the other, as they stand. */
  outerWidth: number;
  /** Between the inner edges of the soles, as they stand; negative when they overlap. */
  gap: number;
  leadFlare: number;
  trailFlare: number;
  /** Through the toe points; closed (trail foot back) positive. The stance line. */
  toeLine: number;
  /** Through the heel points; closed positive. */
  heelLine: number;
  /** How far the trail toe is behind the lead toe. */
  setback: number;
  /** The setback in lengths of the lead shoe as it stands: 0 toe, 1/4 laces, 1/2 middle, 1 heel. */
  setbackMarks: number;
  /** From the lead heel back to the ball along the target line; inside the heel is positive. */
  ballAlong: number;
  /** From the toe line out to the ball, at right angles to that line. */
  ballOut: number;
}

/** Angle of the line from the trail to the lead point against the target line; closed positive. */
const lineAngle = (lead: Point, trail: Point): number =>
  degrees(Math.atan2(lead.y - trail.y, lead.x - trail.x));

/**
 * Reads every figure off the ground plane by plane geometry; `docs/models.md` has the formulas.
 * @param address the address, mm and degrees
 * @returns lengths mm, angles degrees
 */
export function measureAddress(address: Address): AddressMeasures {
  const leadToe = toePoint(address, 'lead');
  const trailToe = toePoint(address, 'trail');
  const leadReach = soleReach(address, 'lead');
  const trailReach = soleReach(address, 'trail');
  const toeLine = lineAngle(leadToe, trailToe);
  const setback = leadToe.y - trailToe.y;
  return {
    stanceWidth: address.lead.heel.x - address.trail.heel.x,
    outerWidth: leadReach.greatest - trailReach.least,
    gap: leadReach.least - trailReach.greatest,
    leadFlare: address.lead.flare,
    trailFlare: address.trail.flare,
    toeLine,
    heelLine: lineAngle(address.lead.heel, address.trail.heel),
    setback,
    setbackMarks: setback / setbackAtMark(address, 1),
    ballAlong: address.lead.heel.x,
    // Distance from the origin (the ball) to the line through the lead toe at the toe line's angle.
    ballOut: leadToe.x * Math.sin(radians(toeLine)) - leadToe.y * Math.cos(radians(toeLine)),
  };
}

/** The toe line and the heel line are said to disagree beyond this (starting value), degrees. */
export const LINES_DISAGREE_DEGREES = 4;

/**
 * Whether the feet point to two different targets: the toes say one line, the heels another.
 * @param measures the two lines, degrees
 * @returns true beyond `LINES_DISAGREE_DEGREES`
 * @example linesDisagree({ toeLine: 6, heelLine: 1 }) // true
 */
export function linesDisagree(measures: Pick<AddressMeasures, 'toeLine' | 'heelLine'>): boolean {
  return Math.abs(measures.toeLine - measures.heelLine) > LINES_DISAGREE_DEGREES;
}

/**
 * How far back a trail toe is that lies level with a mark of the lead shoe as it stands.
 * @param address the lead shoe and its flare
 * @param mark lengths of the lead shoe: 0 toe, 1/4 laces, 1/2 middle, 1 heel
 * @returns mm
 */
export const setbackAtMark = ({ shoe, lead }: Pick<Address, 'shoe' | 'lead'>, mark: number): number =>
  mark * shoe.length * Math.cos(radians(lead.flare));
