import type { MonitorShot } from '@pedastance/contract';
import type { ClientBase, Pool } from 'pg';
import { insertRows } from './rows';

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
  studentId: string;
  number: number;
  shotId: string;
  measured: object;
  readyAt: Date;
}

export const addStandInShots = (
  client: ClientBase,
  academyId: string,
  shots: readonly StandInShot[],
): Promise<void> =>
  insertRows(
    client,
    'stand_in_shot',
    shots.map(({ sessionId, studentId, number, shotId, measured, readyAt }) => ({
      academy_id: academyId,
      session_id: sessionId,
      student_id: studentId,
      number,
      shot_id: shotId,
      measured,
      ready_at: readyAt,
    })),
  );

/** Somebody who listens to a session's shots, known by the hash of the coach's session token. */
export interface Asked {
  token: Buffer;
  sessionId: string;
  seen: number;
}

/**
 * The shots that are ready for each who listens and come after the last one seen, in order; by place in
 * `asked`, from 1. A listener whose coach's session has ended is missing.
 */
export async function shotsReady(
  pool: Pool,
  asked: readonly Asked[],
  now: Date,
): Promise<Map<number, MonitorShot[]>> {
  const { rows } = await pool.query('select * from shots_ready($1, $2, $3, $4)', [
    asked.map(({ token }) => token),
    asked.map(({ sessionId }) => sessionId),
    asked.map(({ seen }) => seen),
    now,
  ]);
  const ready = new Map<number, MonitorShot[]>();
  for (const { listener, number, shot_id, measured } of rows) {
    const shots = ready.get(listener) ?? [];
    if (number !== null) shots.push({ id: shot_id, number, shot: measured });
    ready.set(listener, shots);
  }
  return ready;
}
