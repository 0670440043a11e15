import type { MonitorShot } from '@pedastance/contract';
import type { Pool } from 'pg';
import type { Logger } from 'pino';
import { shotsReady } from '../store/standInShots';

/** How often the database is asked for shots that have become ready, for all listeners together. */
const POLL_INTERVAL_MS = 200;
/** Streams that one session may hold open: a few tabs. */
export const STREAMS_PER_SESSION = 6;

export interface Listener {
  /** The hash of the session's token; its academy is the session's. */
  token: Buffer;
  sessionId: string;
  /** The number of the last shot that was sent. */
  seen: number;
  send(shot: MonitorShot): void;
  /** The session has ended: nothing more is sent. */
  end(): void;
}

export class TooManyStreams extends Error {
  constructor() {
    super('too many streams for one session');
  }
}

export interface ShotFeed {
  /** Adds a listener and answers how to remove it. @throws TooManyStreams */
  listen(listener: Listener): () => void;
  close(): void;
}

/**
 * One poll for all who listen: a single query finds the shots that became ready for each, and which of
 * the listeners' sessions are still open. While the database is away the streams stay open and go on
 * after the last shot sent.
 */
export function openShotFeed(pool: Pool, log: Logger): ShotFeed {
  const listeners = new Set<Listener>();
  let timer: NodeJS.Timeout | undefined;

  const poll = async (): Promise<void> => {
    const asked = [...listeners];
    try {
      const ready = await shotsReady(pool, asked, new Date());
      for (const [at, listener] of asked.entries()) {
        if (!listeners.has(listener)) continue;
        const shots = ready.get(at + 1);
        if (!shots) {
          listeners.delete(listener);
          listener.end();
        }
        for (const shot of shots ?? []) {
          listener.seen = shot.number;
          listener.send(shot);
        }
      }
    } catch (error) {
      log.warn({ message: (error as Error).message }, 'shots wait for the database');
    }
  };

  const schedule = (): void => {
    timer ??= setTimeout(async () => {
      await poll();
      timer = undefined;
      if (listeners.size > 0) schedule();
    }, POLL_INTERVAL_MS);
  };

  return {
    listen(listener) {
      const ofSession = [...listeners].filter(({ token }) => token.equals(listener.token)).length;
      if (ofSession >= STREAMS_PER_SESSION) throw new TooManyStreams();
      listeners.add(listener);
      schedule();
      return () => listeners.delete(listener);
    },
    close() {
      clearTimeout(timer);
      for (const { end } of listeners) end();
      listeners.clear();
    },
  };
}
