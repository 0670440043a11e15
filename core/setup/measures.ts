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
    setbackMarks: setback / (address.shoe.length * Math.cos(radians(address.lead.flare))),
    ballAlong: address.lead.heel.x,
    // Distance from the origin (the ball) to the line through the lead toe at the toe line's angle.
    ballOut: leadToe.x * Math.sin(radians(toeLine)) - leadToe.y * Math.cos(radians(toeLine)),
  };
}

/** One standard deviation of each figure when feet are placed with sticks and a tape. */
export interface MeasureUncertainty {
  stanceWidth: number;
  flare: number;
  toeLine: number;
  heelLine: number;
  setback: number;
  ballAlong: number;
  ballOut: number;
  leadShare: number;
  heelToe: number;
}

/** Starting values, one standard deviation each. */
const WIDTH_MM = 10;
const FLARE_DEGREES = 2;
const BALL_MM = 10;
const LEAD_SHARE_PERCENT = 2;
const HEEL_TOE_PERCENT = 5;

/**
 * How sure each figure is. Width +-10 mm means each heel is placed to 10/sqrt 2 mm; a toe is its
 * heel's error with the flare's error over the length of the shoe, and a line's error is that of
 * its two ends over the distance between them.
 */
export function measureUncertainty(address: Address): MeasureUncertainty {
  const heel = WIDTH_MM / Math.SQRT2;
  const { length } = address.shoe;
  const toeVariance = (flare: number): number =>
    heel ** 2 + (length * Math.sin(radians(flare)) * radians(FLARE_DEGREES)) ** 2;
  const setback = Math.sqrt(toeVariance(address.lead.flare) + toeVariance(address.trail.flare));
  const leadToe = toePoint(address, 'lead');
  const trailToe = toePoint(address, 'trail');
  const apart = (from: Point, to: Point): number => Math.max(1, Math.hypot(to.x - from.x, to.y - from.y));
  return {
    stanceWidth: WIDTH_MM,
    flare: FLARE_DEGREES,
    toeLine: degrees(Math.atan(setback / apart(trailToe, leadToe))),
    heelLine: degrees(Math.atan(WIDTH_MM / apart(address.trail.heel, address.lead.heel))),
    setback,
    ballAlong: BALL_MM,
    ballOut: BALL_MM,
    leadShare: LEAD_SHARE_PERCENT,
    heelToe: HEEL_TOE_PERCENT,
  };
}

/** The toe line and the heel line are said to disagree beyond this (starting value), degrees. */
export const LINES_DISAGREE_DEGREES = 4;

export function linesDisagree(measures: Pick<AddressMeasures, 'toeLine' | 'heelLine'>): boolean {
  return Math.abs(measures.toeLine - measures.heelLine) > LINES_DISAGREE_DEGREES;
}
