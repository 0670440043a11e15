import { hasRemedy, type Caution } from '../body';
import type { ClubId, ShotType } from '../club';
import { answerFor, type HouseMethod } from '../method';

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
  // A pitch has its own.
  'feet close',
  'trail foot in',
  'weight forward',
] as const;
export type RoutineStep = (typeof ROUTINE_STEPS)[number];

/** What a card is stepped in for: a club and a shot, by the method that it was agreed by; null where that is not known. */
export interface SteppedInto {
  club: ClubId;
  shot: ShotType;
  method: HouseMethod | null;
}

/** A method bumps, or tilts, where its own figure is this much at least (starting values), mm and degrees. */
const BUMPS_FROM = 10;
const TILTS_FROM = 15;

/** The figure that a method fixes; 0 where it leaves it free. */
function fixedFigure({ method, club, shot }: SteppedInto, question: 'hipBump' | 'shoulderTilt'): number {
  const rule = method && answerFor(method, question, club, shot).rule;
  return rule?.kind === 'fixed' ? rule.value : 0;
}

/** What a method does once the feet stand: a bump, a tilt from the ribs, or nothing. */
function settingOf(into: SteppedInto): { step: RoutineStep; item: 'hipBump' | 'shoulderTilt' } | null {
  if (fixedFigure(into, 'hipBump') >= BUMPS_FROM) return { step: 'bump', item: 'hipBump' };
  const tilts = fixedFigure(into, 'shoulderTilt') >= TILTS_FROM;
  return tilts ? { step: 'tilt', item: 'shoulderTilt' } : null;
}

/**
 * Lead foot, trail foot, then what the method does, rock and settle, go; a pitch has steps of its own. Common practice, no
 * source. What a caution bars is left out.
 * @param into the club, the shot and the method
 * @param cautions the student's
 * @returns the steps in order
 */
export function usualRoutine(into: SteppedInto, cautions: readonly Caution[]): RoutineStep[] {
  if (into.shot === 'pitch') return ['feet close', 'trail foot in', 'weight forward', 'go'];
  const setting = settingOf(into);
  const barred =
    setting !== null &&
    cautions.some(({ withholds }) => hasRemedy(withholds, { item: setting.item, by: 'more' }));
  return ['lead foot', 'trail foot', ...(setting && !barred ? [setting.step] : []), 'rock and settle', 'go'];
}

/** What each step says on a card, in lead and trail. */
export const ROUTINE_WORDS: Record<RoutineStep, string> = {
  'face behind the ball': 'Club face behind the ball',
  'lead foot': 'Lead foot',
  'trail foot': 'Trail foot',
  bump: 'Bump the hips, breastbone still',
  tilt: 'Tilt from the ribs',
  'rock and settle': 'Rock and settle',
  hover: 'Hover the club',
  look: 'Look at the target',
  go: 'Go',
  'feet close': 'Feet close',
  'trail foot in': 'Trail foot in',
  'weight forward': 'Weight forward',
};
