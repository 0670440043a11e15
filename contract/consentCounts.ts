import type { NewConsent } from './privacy';

type Word = Pick<NewConsent, 'id' | 'given' | 'photos' | 'sharing'>;

/** What an answer allows, step by step: nothing, records, photos too, handing them on too. */
export const allows = ({ given, photos, sharing }: Omit<Word, 'id'>): number =>
  Number(given) + Number(photos) + Number(sharing);

/** Whether a word on consent counts: one to less counts as it arrives, one to more where it was given knowing the newest. */
export const consentCounts = (
  word: Omit<Word, 'id'> & Pick<NewConsent, 'after'>,
  newest: Word | null,
): boolean => allows(word) <= (newest ? allows(newest) : 0) || word.after === (newest?.id ?? null);
