import type { Writable } from 'node:stream';
import { placesFor } from './places';
import { Refusal } from './problems';

/** An export holds a connection of the database for as long as it is read: so many at a time, and of one coach. */
const MOST_A_COACH = 2;

/**
 * Does an export of a coach in its lane, so that what others do is never out of connections for it.
 * @throws Refusal where this coach, or all together, save as many files as can be saved at once
 */
export const inExportLane = placesFor({
  ofOne: MOST_A_COACH,
  oneMore: () =>
    new Refusal(429, 'exports-open', `${MOST_A_COACH} files are being saved already`, {
      detail: 'Let them finish, or stop one, then save this one.',
    }),
  inAll: 4,
  allTaken: () =>
    new Refusal(503, 'busy', 'Many files are being saved just now', { detail: 'Try again in a minute.' }),
});

/** A download that nobody reads for so long is ended, ms. */
export const UNREAD_FOR_MS = 10_000;

/**
 * Ends what is sent once the other side has read nothing of it for a while.
 * @param sent where it is written to
 * @param unreadForMs after so long, ms
 * @returns stops watching
 */
export function endUnread(sent: Writable, unreadForMs = UNREAD_FOR_MS): () => void {
  let since: number | null = null;
  const timer = setInterval(() => {
    if (!sent.writableNeedDrain) since = null;
    else {
      since ??= Date.now();
      if (Date.now() - since >= unreadForMs) sent.destroy();
    }
  }, unreadForMs / 10);
  sent.on('drain', () => (since = null));
  return () => clearInterval(timer);
}
