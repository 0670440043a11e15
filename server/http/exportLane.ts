import type { Writable } from 'node:stream';
import { Refusal } from './problems';

/** An export holds a connection of the database for as long as it is read: so many at a time, and of one coach. */
const MOST_AT_ONCE = 4;
const MOST_A_COACH = 2;

const open = new Map<string, number>();

/**
 * Does an export in its lane, so that what others do is never out of connections for it.
 * @param coach whose export it is
 * @param work sends it
 * @throws Refusal where this coach, or all together, save as many files as can be saved at once
 */
export async function inExportLane(coach: string, work: () => Promise<void>): Promise<void> {
  const own = open.get(coach) ?? 0;
  if (own >= MOST_A_COACH)
    throw new Refusal(429, 'exports-open', `${MOST_A_COACH} files are being saved already`, {
      detail: 'Let them finish, or stop one, then save this one.',
    });
  const all = [...open.values()].reduce((sum, count) => sum + count, 0);
  if (all >= MOST_AT_ONCE)
    throw new Refusal(503, 'busy', 'Many files are being saved just now', {
      detail: 'Try again in a minute.',
    });
  open.set(coach, own + 1);
  try {
    await work();
  } finally {
    const left = open.get(coach)! - 1;
    if (left > 0) open.set(coach, left);
    else open.delete(coach);
  }
}

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
