import type { Build } from '../body';
import type { Address } from '../setup';
import { radians } from '../units';

/** Shares of height (Drillis & Contini 1966, in Winter, Biomechanics; from memory). */
const THIGH = 0.245;
const SHANK = 0.246;
/** A hip joint is about this share of the hip breadth from the middle (starting value). */
const HIP_JOINT_SHARE = 0.27;
/** How far the hips sink at address, as a share of the leg (starting value). */
const SUNK = 0.05;

/** How straight the trail knee gets: the room it has at a turn. */
export interface KneeRoom {
  /** Flex left in the trail knee at that turn, degrees; 0 is straight. */
  flex: number;
  /** The hip joint would be further from the ankle than the leg is long: the heel has to come up. */
  tooFar: boolean;
}

/**
 * Advice, not a stop: where the trail hip joint goes when the pelvis turns `turn` degrees back with
 * level hips, and by Pythagoras how far that is from the trail ankle. Rough: five degrees of knee
 * flex or 10 mm of hip height move it by some fifteen degrees of turn.
 * @param build mm
 * @param address mm and degrees
 * @param turn of the pelvis back, degrees
 * @returns the flex left, degrees
 */
export function trailKneeRoom(build: Build, { lead, trail }: Address, turn: number): KneeRoom {
  const height = build.height.value;
  const thigh = THIGH * height;
  const shank = SHANK * height;
  const hipHeight = (thigh + shank) * (1 - SUNK);
  const middle = { x: (lead.heel.x + trail.heel.x) / 2, y: (lead.heel.y + trail.heel.y) / 2 };
  const radius = HIP_JOINT_SHARE * build.hipBreadth.value;
  // Going back the trail hip goes round behind: away from the ball.
  const joint = {
    x: middle.x - radius * Math.cos(radians(turn)),
    y: middle.y - radius * Math.sin(radians(turn)),
  };
  const aside = Math.hypot(joint.x - trail.heel.x, joint.y - trail.heel.y);
  const reach = Math.hypot(hipHeight, aside);
  const cosine = (thigh ** 2 + shank ** 2 - reach ** 2) / (2 * thigh * shank);
  const tooFar = cosine <= -1;
  const inside = Math.acos(Math.max(-1, Math.min(1, cosine)));
  return { flex: 180 - (inside * 180) / Math.PI, tooFar };
}
