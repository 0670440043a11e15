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

/** Common practice, no source. */
export const USUAL_ROUTINE: readonly RoutineStep[] = [
  'lead foot',
  'trail foot',
  'bump',
  'rock and settle',
  'go',
];

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
