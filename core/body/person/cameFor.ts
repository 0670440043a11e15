/** What a student comes for; a side is the side of the target, whatever the hand. */
export const CAME_FOR = [
  'curves away',
  'curves toward',
  'starts right',
  'starts left',
  'misses both ways',
  'fat',
  'thin',
  'swing too short',
  'more distance',
  'cannot turn back',
  'cannot turn through',
  'turns too far',
  'falls off balance',
  'sore',
  'just a check',
] as const;
export type CameFor = (typeof CAME_FOR)[number];

/** What a lesson begins with. */
export interface Intake {
  cameFor: CameFor[];
  /** Where and when it is sore, in the coach's words; empty where it is not. */
  sore: string;
  /** The coach's own words. */
  words: string;
  /** The sport that the student knows best; empty where nobody asked. */
  sport: string;
}

export const NOTHING_ASKED: Intake = { cameFor: [], sore: '', words: '', sport: '' };

/**
 * Whether anything of an intake was noted.
 * @param intake what was noted
 * @returns true where there is one thing at least
 * @example anythingAsked(NOTHING_ASKED) // false
 */
export const anythingAsked = ({ cameFor, sore, words, sport }: Intake): boolean =>
  cameFor.length > 0 || [sore, words, sport].some((text) => text.trim() !== '');
