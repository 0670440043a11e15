import type { MonitorShot } from '@pedastance/contract';
import type { ClientBase } from 'pg';
import { insertRow } from './rows';

/** The last shot of a session: its number, and when it becomes ready; number 0 where there is none. */
export interface LastShot {
  number: number;
  readyAt: Date | null;
}

/**
 * Holds a session until the transaction ends, so that two requests number their shots one after the
 * other.
 * @returns the session's last shot
 */
export async function lockSession(client: ClientBase, sessionId: string): Promise<LastShot> {
  await client.query('select pg_advisory_xact_lock(hashtextextended($1, 0))', [`stand-in:${sessionId}`]);
  const { rows } = await client.query(
    'select coalesce(max(number), 0) as last, max(ready_at) as ready from stand_in_shot where session_id = $1',
    [sessionId],
  );
  return { number: rows[0].last, readyAt: rows[0].ready };
}

/** A measured shot with its place in a session and the moment it becomes ready. */
export interface StandInShot {
  sessionId: string;
  number: number;
  shotId: string;
  measured: object;
  readyAt: Date;
}

export const addStandInShot = (
  client: ClientBase,
  academyId: string,
  { sessionId, number, shotId, measured, readyAt }: StandInShot,
): Promise<void> =>
  insertRow(client, 'stand_in_shot', {
    academy_id: academyId,
    session_id: sessionId,
    number,
    shot_id: shotId,
    measured: JSON.stringify(measured),
    ready_at: readyAt,
  });

/** Shots of a session that are ready and come after one that was seen, in order. */
export async function readyShots(
  client: ClientBase,
  sessionId: string,
  after: number,
  now: Date,
): Promise<MonitorShot[]> {
  const { rows } = await client.query(
    `select number, shot_id, measured from stand_in_shot
     where session_id = $1 and number > $2 and ready_at <= $3 order by number`,
    [sessionId, after, now],
  );
  return rows.map((row) => ({ id: row.shot_id, number: row.number, shot: row.measured }));
}
