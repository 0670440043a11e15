import { hasRemedy, type Caution } from '../body';
import type { ClubId } from '../club';

/** The steps of stepping in; a coach picks some, in an order of their own. */
export const ROUTINE_STEPS = [
  'face behind the ball',
  'lead foot',
  'trail foot',
  'bump',
  'tilt',
  'rock and settle',
  'hover',
  'look',
  'go',
] as const;
export type RoutineStep = (typeof ROUTINE_STEPS)[number];

/**
 * Lead foot, trail foot, bump or tilt, rock and settle, go; common practice, no source. With a driver the trunk tilts,
 * with the others the hips bump; what a caution bars is left out.
 * @param club the club in hand
 * @param cautions the student's
 * @returns the steps in order
 */
export function usualRoutine(club: ClubId, cautions: readonly Caution[]): RoutineStep[] {
  const [step, item] =
    club === 'driver' ? (['tilt', 'shoulderTilt'] as const) : (['bump', 'hipBump'] as const);
  const barred = cautions.some(({ withholds }) => hasRemedy(withholds, { item, by: 'more' }));
  return ['lead foot', 'trail foot', ...(barred ? [] : [step]), 'rock and settle', 'go'];
}

/** What each step says on a card, in lead and trail. */
export const ROUTINE_WORDS: Record<RoutineStep, string> = {
  'face behind the ball': 'Club face behind the ball',
  'lead foot': 'Lead foot',
  'trail foot': 'Trail foot',
  bump: 'Bump the hips',
  tilt: 'Tilt',
  'rock and settle': 'Rock and settle',
  hover: 'Hover the club',
  look: 'Look at the target',
  go: 'Go',
};
