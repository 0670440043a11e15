import type { MatFrames } from '@pedastance/contract';
import type { Pool } from 'pg';
import type { Logger } from 'pino';
import type { MatSession } from '../store/matSessions';
import { eventText } from './eventStream';
import { LiveMat } from './liveMat';
import { STREAMS_PER_SESSION, TooManyStreams } from './shotFeed';

/** Frames are sent together this often, ms: a screen shows no more. */
const SEND_EVERY_MS = 40;
/** So many mats are sent of in a second, all together: with more than forty of them each is sent of less often. */
const SENT_PER_SECOND = 1000;
/** Frames are made for so long in one go, ms: other requests come in between. */
const MADE_FOR_MS = 15;
/** How often it is asked which of the listeners' sessions are still open, for all together, ms. */
const ASK_EVERY_MS = 1000;
/** A student stands on the mat no longer than this, ms. */
const LONGEST_MS = 30 * 60_000;
/** So many streams of mats may one academy hold open. */
export const STREAMS_PER_ACADEMY = 30;

export interface MatListener {
  academyId: string;
  /** The hash of the session's token. */
  token: Buffer;
  session: MatSession;
  /** The number of the next frame that it wants. */
  next: number;
  /** Frames as they are sent, with the number of the last of them. */
  send(event: string): void;
  end(): void;
}

export interface MatFeed {
  /** Adds a listener and answers how to remove it. @throws TooManyStreams */
  listen(listener: MatListener): () => void;
  close(): void;
}

/** Everybody who listens to one mat. */
interface Listened {
  mat: LiveMat;
  /** When it was last sent of, by a clock that only goes on, ms. */
  sentAt: number;
  listeners: Set<MatListener>;
}

/** Frames as a server-sent event; its id is the number of the last of them. */
const eventOf = (data: MatFrames): string => eventText(data.from + data.frames.length - 1, 'frames', data);

/**
 * Sends the frames of all mats that somebody listens to: made once a mat, for so long in one go, the mats in turns. While the
 * database is away the streams stay open.
 */
class Feed implements MatFeed {
  private readonly mats = new Map<string, Listened>();
  private sending: NodeJS.Timeout | undefined;
  private asking: NodeJS.Timeout | undefined;

  constructor(
    private readonly pool: Pool,
    private readonly log: Logger,
  ) {}

  listen(listener: MatListener): () => void {
    const all = this.all();
    const ofSession = all.filter(({ token }) => token.equals(listener.token)).length;
    const ofAcademy = all.filter(({ academyId }) => academyId === listener.academyId).length;
    if (ofSession >= STREAMS_PER_SESSION || ofAcademy >= STREAMS_PER_ACADEMY) throw new TooManyStreams();
    const { session, next } = listener;
    const key = `${listener.academyId} ${session.id}`;
    const found = this.mats.get(key) ?? {
      mat: new LiveMat(session, next, Date.now()),
      sentAt: -Infinity,
      listeners: new Set<MatListener>(),
    };
    this.mats.set(key, found);
    found.listeners.add(listener);
    this.begin();
    return () => {
      found.listeners.delete(listener);
      if (found.listeners.size === 0 && this.mats.get(key) === found) this.mats.delete(key);
    };
  }

  close(): void {
    clearInterval(this.sending);
    clearInterval(this.asking);
    for (const { end } of this.all()) end();
    this.mats.clear();
  }

  private all(): MatListener[] {
    return [...this.mats.values()].flatMap(({ listeners }) => [...listeners]);
  }

  private begin(): void {
    this.sending ??= setInterval(() => this.send(), SEND_EVERY_MS);
    this.asking ??= setInterval(() => void this.endClosed(), ASK_EVERY_MS);
  }

  private send(): void {
    if (this.mats.size === 0) return this.rest();
    const began = performance.now();
    // The timer itself comes a little early or late.
    const due = began - (1000 * this.mats.size) / SENT_PER_SECOND + SEND_EVERY_MS / 2;
    for (const [key, listened] of [...this.mats]) {
      // The one that waits longest stands first.
      if (listened.sentAt > due || performance.now() - began > MADE_FOR_MS) return;
      listened.sentAt = began;
      // Whoever was served goes to the end: who had to wait is first the next time.
      this.mats.delete(key);
      if (this.serve(listened)) this.mats.set(key, listened);
    }
  }

  /** Sends what came since to everybody who listens to a mat; false where nobody stands on it any more. */
  private serve({ mat, listeners }: Listened): boolean {
    const now = Date.now();
    if (mat.since(now) > LONGEST_MS) {
      for (const { end } of [...listeners]) end();
      return false;
    }
    const made = mat.make(now);
    const event = made && eventOf(made);
    for (const listener of listeners) {
      // Who has just come, or come back, gets what is kept first.
      const own = made && listener.next === made.from ? made : mat.between(listener.next);
      if (!own) continue;
      listener.next = mat.next;
      listener.send(own === made ? event! : eventOf(own));
    }
    return true;
  }

  private rest(): void {
    clearInterval(this.sending);
    clearInterval(this.asking);
    this.sending = undefined;
    this.asking = undefined;
  }

  /** Ends the streams whose session has ended. */
  private async endClosed(): Promise<void> {
    const listening = this.all();
    try {
      const tokens = listening.map(({ token }) => token);
      const { rows } = await this.pool.query<{ token: Buffer }>(
        'select sessions_open as token from sessions_open($1, $2)',
        [tokens, new Date()],
      );
      const open = new Set(rows.map(({ token }) => token.toString('hex')));
      for (const { token, end } of listening) if (!open.has(token.toString('hex'))) end();
    } catch (error) {
      this.log.warn({ message: (error as Error).message }, 'mats wait for the database');
    }
  }
}

export const openMatFeed = (pool: Pool, log: Logger): MatFeed => new Feed(pool, log);
