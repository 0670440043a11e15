import { createHash } from 'node:crypto';
import type { Identity } from '@pedastance/contract';
import session, { Store, type SessionData } from 'express-session';
import type { RequestHandler } from 'express';
import type { Pool } from 'pg';

declare module 'express-session' {
  interface SessionData {
    identity: Identity;
  }
}

export const SESSION_COOKIE = 'pedastance';
const DAYS_KEPT = 14;
const DAY_MS = 24 * 60 * 60 * 1000;

type Done = (error?: unknown) => void;

const hashOf = (token: string): Buffer => createHash('sha256').update(token).digest();

/**
 * Keeps sessions in PostgreSQL through the doorman's functions. The table holds a hash of the
 * token, so that reading it signs nobody in.
 */
class SessionsInDatabase extends Store {
  constructor(private readonly pool: Pool) {
    super();
  }

  override get(token: string, done: (error: unknown, found?: SessionData | null) => void): void {
    this.pool.query('select * from session_find($1, $2)', [hashOf(token), new Date()]).then(({ rows }) => {
      const row = rows[0];
      if (!row) return done(null, null);
      done(null, {
        cookie: row.cookie,
        identity: {
          academyId: row.academy_id,
          academyName: row.academy_name,
          instructorId: row.instructor_id,
          instructorName: row.instructor_name,
        },
      });
    }, done);
  }

  override set(token: string, kept: SessionData, done: Done = () => undefined): void {
    const { academyId, instructorId } = kept.identity;
    const until = new Date(Date.now() + DAYS_KEPT * DAY_MS);
    this.pool
      .query('select session_keep($1, $2, $3, $4, $5)', [
        hashOf(token),
        academyId,
        instructorId,
        JSON.stringify(kept.cookie),
        until,
      ])
      .then(() => done(), done);
  }

  override touch(token: string, kept: SessionData, done: () => void = () => undefined): void {
    this.set(token, kept, done);
  }

  override destroy(token: string, done: Done = () => undefined): void {
    this.pool.query('select session_end($1)', [hashOf(token)]).then(() => done(), done);
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
    proxy: secure,
    cookie: { httpOnly: true, sameSite: 'lax', secure, path: '/', maxAge: DAYS_KEPT * DAY_MS },
  });
}
