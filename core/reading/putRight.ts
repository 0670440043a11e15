import type { Item } from '../setup';
import type { Finding } from './types';

/** A figure that was out of its band and is in it now, in its own unit. */
export interface PutRight {
  item: Item;
  question: Finding['question'];
  was: number;
  is: number;
}

/**
 * Faults that were put right since an earlier reading: nobody agreed on them, and nothing of them has drifted.
 * @param before what was read then
 * @param now what is read today
 * @param agreed what was agreed on since: that is told as held or not
 * @returns the figures that were out and are in, from the ground up
 */
export function putRightSince(
  before: readonly Finding[],
  now: readonly Finding[],
  agreed: readonly Item[],
): PutRight[] {
  return now.flatMap(({ item, question, measured, verdict }): PutRight[] => {
    const then = before.find((each) => each.item === item);
    const mended = verdict === 'in' && then !== undefined && then.verdict !== 'in' && !agreed.includes(item);
    return mended ? [{ item, question, was: then.measured, is: measured }] : [];
  });
}
