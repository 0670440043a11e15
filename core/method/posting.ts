import type { Build } from '../body';
import { clubById, type ClubId } from '../club';

/** The hips should travel no more than this from top to impact, in hip breadths: common practice, no source. */
export const USUAL_TRAVEL = 1 / 2;
/** Too wide to post with a wood (starting value). */
export const MOST_TRAVEL_WITH_WOODS = 2 / 3;

/**
 * How far the lead hip's outer edge has to go to stand over the outside of the lead foot, in hip
 * breadths, with both soles square: (outer width - hip breadth) / 2 - bump.
 * @param build hip and shoe breadths, mm
 * @param stanceWidth mm
 * @param bump of the hips toward the target, mm
 * @returns hip breadths
 */
export function travelToPost(build: Build, stanceWidth: number, bump: number): number {
  const outer = stanceWidth + build.shoeBreadth.value;
  return ((outer - build.hipBreadth.value) / 2 - bump) / build.hipBreadth.value;
}

/**
 * How far the lead hip may have to go before a stance is too wide to post.
 * @param club which club
 * @returns hip breadths
 * @example postingLimit('7-iron') // 0.5
 */
export const postingLimit = (club: ClubId): number =>
  clubById(club).family === 'wood' ? MOST_TRAVEL_WITH_WOODS : USUAL_TRAVEL;
