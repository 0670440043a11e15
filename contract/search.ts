import type { Person } from './students';

/** Text without diacritics and capitals, so that "odile" finds "Ödilé". */
export const folded = (text: string): string => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase();

const LONGEST_WORD = 80;

/** The words of a text as they are searched by: folded, each once, without punctuation. */
export const wordsOf = (text: string): string[] => [
  ...new Set(
    folded(text)
      .split(/[^\p{L}\p{N}]+/u)
      .filter(Boolean)
      .map((word) => word.slice(0, LONGEST_WORD)),
  ),
];

/** What a student is found by: the name, the hand and the cautions. */
export const searchText = ({ name, hand, cautions }: Pick<Person, 'name' | 'hand' | 'cautions'>): string =>
  `${name} ${hand}-handed ${cautions}`;
