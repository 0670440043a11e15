/** What of a student's kept ladders counts together: a ladder that was broken off is gone on with for a while. */
import { triesOf, type Try } from '@pedastance/core/ladder';
import type { LadderEntry } from './ladders';
import type { Logged } from './lessons';

/** Which ladder an entry, or a lesson in progress, is about: its name, or one of an academy's own. */
export const ladderKey = ({ ladder, own }: Pick<LadderEntry, 'ladder' | 'own'>): string =>
  own ? `own ${own.id}` : ladder;

/** A body changes, so that a ladder is gone on with for so long (starting value), days. */
const GOES_ON_DAYS = 14;
const DAY_MS = 24 * 60 * 60 * 1000;
/** A device's clock may be so far off before what it says is doubted, ms. */
const CLOCK_MS = DAY_MS;

type Kept = Logged<LadderEntry>;

/** When a ladder was gone up: as its device said, but no later than the server had it. */
export const climbedAt = ({ madeAt, receivedAt }: Kept): string =>
  receivedAt !== '' && receivedAt < madeAt ? receivedAt : madeAt;

/**
 * Ladders that are gone on with at a time: the same one, in other lessons, of the last two weeks.
 * @param kept a student's ladders that stand
 * @param of which ladder, and the lesson that goes on with it
 * @param now when, ms
 * @returns the oldest first; none of a day that is yet to come
 */
export function goneOnWith(
  kept: readonly Kept[],
  { key, lessonId }: { key: string; lessonId: string },
  now: number,
): Kept[] {
  return kept
    .filter((each) => ladderKey(each) === key && each.lessonId !== lessonId)
    .filter((each) => {
      const before = now - Date.parse(climbedAt(each));
      return before > -CLOCK_MS && before < GOES_ON_DAYS * DAY_MS;
    })
    .sort((a, b) => climbedAt(a).localeCompare(climbedAt(b)));
}

/** Whether a ladder was kept on a day that is yet to come: then a clock was wrong, here or there. */
export const isYetToCome = (entry: Kept, now: number): boolean =>
  Date.parse(climbedAt(entry)) - now > CLOCK_MS;

/**
 * The tries that a kept ladder rests on: its own, and those it went on from.
 * @param entry the ladder
 * @param kept the student's ladders that stand
 * @returns a sitting for each lesson
 */
export function triesBehind(entry: Kept, kept: readonly Kept[]): Try[] {
  const of = { key: ladderKey(entry), lessonId: entry.lessonId };
  const before = goneOnWith(kept, of, Date.parse(climbedAt(entry))).filter(
    (each) => climbedAt(each) < climbedAt(entry),
  );
  return [...before, entry].flatMap(({ turns }, sitting) => triesOf(turns, sitting));
}
