import { createHash } from 'node:crypto';
import type { Identity } from '@pedastance/contract';
import session, { Store, type SessionData } from 'express-session';
import type { RequestHandler } from 'express';
import type { Pool } from 'pg';

declare module 'express-session' {
  interface SessionData {
    identity: Identity;
    /** The account's password hash while a session is being opened; never kept with it. */
    shownHash?: string;
    /** What the browser calls itself, kept beside the session when it is opened. */
    device?: string;
    /** The network that it was opened from, as its keyed hash. */
    network?: Buffer;
    /** Of the instructor, never kept with the session. */
    deviceKey?: string;
    /** When the kept session ends, ms since 1970. */
    keptUntil?: number;
  }
}

export const SESSION_COOKIE = 'pedastance';
const DAYS_KEPT = 14;
/** So much is kept of what a browser calls itself, characters. */
export const LONGEST_DEVICE = 200;
const HOUR_MS = 60 * 60 * 1000;
const DAY_MS = 24 * HOUR_MS;

type Done = (error?: unknown) => void;

/** What is kept of a session's token or a link's code: reading it lets nobody in. */
export const tokenHash = (token: string): Buffer => createHash('sha256').update(token).digest();

/** Keeps sessions in PostgreSQL through the doorman's functions. */
class SessionsInDatabase extends Store {
  constructor(private readonly pool: Pool) {
    super();
  }

  override get(token: string, done: (error: unknown, found?: SessionData | null) => void): void {
    this.pool.query('select * from session_find($1, $2)', [tokenHash(token), new Date()]).then(({ rows }) => {
      const row = rows[0];
      if (!row) return done(null, null);
      done(null, {
        cookie: row.cookie,
        keptUntil: row.expires_at.getTime(),
        deviceKey: row.device_key.toString('base64'),
        device: row.device,
        network: row.network ?? undefined,
        identity: {
          academyId: row.academy_id,
          academyName: row.academy_name,
          instructorId: row.instructor_id,
          instructorName: row.instructor_name,
          role: row.role,
        },
      });
    }, done);
  }

  override set(token: string, kept: SessionData, done: Done = () => undefined): void {
    const { identity, shownHash, cookie, device, network } = kept;
    if (!shownHash) return this.touch(token, kept, done);
    const until = new Date(Date.now() + DAYS_KEPT * DAY_MS);
    this.pool
      .query('select session_open($1, $2, $3, $4, $5, $6, $7) as opened', [
        tokenHash(token),
        identity.instructorId,
        shownHash,
        JSON.stringify(cookie),
        until,
        device ?? '',
        network,
      ])
      .then(({ rows }) => done(rows[0].opened ? undefined : new Error('the account has changed')), done);
  }

  /** Moves the end of a session, at most once an hour: an ordinary request writes nothing. */
  override touch(token: string, { cookie, keptUntil }: SessionData, done: Done = () => undefined): void {
    const until = Date.now() + DAYS_KEPT * DAY_MS;
    if (keptUntil !== undefined && keptUntil > until - HOUR_MS) return done();
    this.pool
      .query('select session_touch($1, $2, $3)', [tokenHash(token), JSON.stringify(cookie), new Date(until)])
      .then(() => done(), done);
  }

  override destroy(token: string, done: Done = () => undefined): void {
    this.pool.query('select session_end($1)', [tokenHash(token)]).then(() => done(), done);
  }
}

/** The session cookie: opaque, out of reach of scripts, sent to this origin alone. */
export function sessions(pool: Pool, secret: string, secure: boolean): RequestHandler {
  return session({
    store: new SessionsInDatabase(pool),
    name: SESSION_COOKIE,
    secret,
    resave: false,
    saveUninitialized: false,
    rolling: true,
    cookie: { httpOnly: true, sameSite: 'lax', secure, path: '/', maxAge: DAYS_KEPT * DAY_MS },
  });
}
