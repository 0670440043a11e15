import { triesBehind } from '@pedastance/contract/climbed';
import { ladderIn, type LadderEntry, type Logged } from '@pedastance/contract';
import { thresholdOf, type Ladder, type Threshold } from '@pedastance/core/ladder';
import type { Speech } from '@pedastance/core/phrases';
import { FIGURES } from '@pedastance/core/setup';
import { saidInUnit } from '@pedastance/core/units';
import { spoken } from './sentences';
import type { OfferedLadder } from './ladders';
import { messages } from './ladderWords.messages';

export const ladderName = ({ name, own }: Pick<OfferedLadder, 'name' | 'own'>, speech: Speech): string =>
  spoken(own ? own.name : name === 'own' ? '' : messages.names[name], speech);

/** A rung as a coach says it: no finer than a foot is put down. */
export const rungWords = ({ figure }: Pick<Ladder, 'figure'>, value: number, speech: Speech): string =>
  saidInUnit(value, FIGURES[figure].unit, speech.length);

/** What a ladder found, as a coach says it: '25°. Could be 19° to 27°.'; or that nothing of it is to be stood on. */
export function foundWords(
  ladder: Pick<Ladder, 'figure'>,
  { standOn, low, high, doubt }: Threshold,
  speech: Speech,
): string {
  const words = (value: number) => rungWords(ladder, value, speech);
  if (standOn !== null) return messages.found(words(standOn), words(low), words(high));
  return doubt ? messages.doubted : messages.notWithin;
}

/** A ladder that was kept, as it is told: what it is called, and what it and those it went on from found. */
export function keptFound(
  entry: Logged<LadderEntry>,
  kept: readonly Logged<LadderEntry>[],
  speech: Speech,
): { name: string; words: string; threshold: Threshold } | null {
  const ladder = ladderIn(entry);
  const threshold = thresholdOf(ladder, triesBehind(entry, kept));
  const { ladder: name, own } = entry;
  return (
    threshold && {
      name: ladderName({ name, own }, speech),
      words: foundWords(ladder, threshold, speech),
      threshold,
    }
  );
}
