import type { FootName } from '../setup';
import type { Hand } from '../body';

/** How a coach speaks of the feet: by their part in the swing, or by the student's own sides. */
export type FootWords = 'lead and trail' | 'left and right';

/**
 * What a foot is called: a right-hander's lead foot is the left one.
 * @param foot lead or trail
 * @param words how the coach speaks of feet
 * @param hand the student's
 * @returns one word
 * @example footWord('lead', 'left and right', 'right') // 'left'
 */
export function footWord(foot: FootName, words: FootWords, hand: Hand): string {
  if (words === 'lead and trail') return foot;
  return (foot === 'lead') === (hand === 'right') ? 'left' : 'right';
}

/**
 * @param text any words
 * @returns the same, its first letter large
 * @example capitalised('trail foot') // 'Trail foot'
 */
export const capitalised = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/**
 * Replaces "lead" and "trail" where they name a foot or leg in a sentence.
 * @param sentence in lead and trail
 * @param words how the coach speaks of feet
 * @param hand the student's
 * @returns the sentence in the coach's words
 * @example inFootWords('Trail foot back.', 'left and right', 'left') // 'Left foot back.'
 */
export function inFootWords(sentence: string, words: FootWords, hand: Hand): string {
  if (words === 'lead and trail') return sentence;
  return sentence.replace(/\b(lead|trail)\b/gi, (found) => {
    const word = footWord(found.toLowerCase() as FootName, words, hand);
    return found.charAt(0) === found.charAt(0).toUpperCase() ? capitalised(word) : word;
  });
}
