/** When in a swing a tell-tale is seen. */
export const SWING_PHASES = ['backswing', 'top', 'downswing', 'strike', 'finish'] as const;
export type SwingPhase = (typeof SWING_PHASES)[number];

/** What a coach sees in the swing that says something of the address, by phase (common practice, no source). */
export const TELL_TALES = {
  'shoulders tip down, arms lift': 'backswing',
  sways: 'backswing',
  'trail foot rolls outside': 'backswing',
  'flat, then steep': 'backswing',
  'loses the club at the top': 'top',
  'over the top': 'downswing',
  'stands up': 'downswing',
  'slides without turning': 'downswing',
  'flips the hands': 'strike',
  'trail heel stuck down': 'strike',
  'lead foot spins out': 'finish',
  'falls back': 'finish',
} as const satisfies Record<string, SwingPhase>;
export type TellTale = keyof typeof TELL_TALES;

export const TELL_TALE_NAMES = Object.keys(TELL_TALES) as TellTale[];
