import { LOCALE } from './locale';

const RULES = new Intl.PluralRules(LOCALE);

/**
 * The form of a word that goes with a count.
 * @param count how many
 * @param one the word for one of them
 * @param other the word for any other number
 * @returns one of the two, by the language’s own rule
 * @example plural(2, 'shot', 'shots') // 'shots'
 */
export const plural = (count: number, one: string, other: string): string =>
  RULES.select(count) === 'one' ? one : other;
