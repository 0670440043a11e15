import { LADDERS, type LadderName, type Threshold } from '@pedastance/core/ladder';
import type { Speech } from '@pedastance/core/phrases';
import { FIGURES } from '@pedastance/core/setup';
import { figure, spoken } from './sentences';
import { messages } from './ladderWords.messages';

export const ladderName = (name: LadderName, speech: Speech): string => spoken(messages.names[name], speech);

/** What a ladder found, as a coach says it: '25°. Could be 19° to 27°.' */
export function foundWords(name: LadderName, { standOn, low, high }: Threshold, speech: Speech): string {
  const { unit } = FIGURES[LADDERS[name].figure];
  const words = (value: number) => figure(value, unit, speech);
  return messages.found(words(standOn), words(low), words(high));
}
