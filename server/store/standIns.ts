import type { MonitorShot, StandIn } from '@pedastance/contract';
import { measureAddress } from '@pedastance/core';
import type { ClientBase } from 'pg';
import { v7 as newId } from 'uuid';
import { simulatedMonitor } from '../devices/simulatedMonitor';
import { simulatedStudent } from '../devices/simulatedStudent';
import type { Stance } from '../devices/types';
import { insertRow, type Writer } from './rows';
import { findStudent } from './students';

/** How somebody stands in a setup, as the stand-in feels it. */
export function stanceOf({ setup, clubLengthInches }: Pick<StandIn, 'setup' | 'clubLengthInches'>): Stance {
  const { toeLine, leadFlare, trailFlare, stanceWidth, ballAlong } = measureAddress(setup.address);
  return {
    closed: toeLine,
    leadFlare,
    trailFlare,
    width: stanceWidth,
    toeward: setup.balance.leadHeelToe - 50,
    ballInside: ballAlong,
    clubLengthInches,
  };
}

/**
 * Lets the simulated student hit from a setup. The shots are kept at once and become ready one after
 * another, a swing's time apart, so that any server can tell them to whoever listens.
 * @throws NoSuchStudent when this academy has no such student.
 */
export async function letHit(
  client: ClientBase,
  standIn: StandIn,
  { academyId, receivedAt }: Writer,
  paceMs: number,
): Promise<{ numbers: number[] }> {
  const { sessionId, studentId, clubLengthInches } = standIn;
  await findStudent(client, studentId);
  await client.query('select pg_advisory_xact_lock(hashtextextended($1, 0))', [`stand-in:${sessionId}`]);
  const { rows } = await client.query(
    'select coalesce(max(number), 0) as last, max(ready_at) as ready from stand_in_shot where session_id = $1',
    [sessionId],
  );
  const first: number = rows[0].last + 1;
  let ready = Math.max(receivedAt.getTime(), rows[0].ready?.getTime() ?? 0);
  const student = simulatedStudent(studentId, sessionId);
  const numbers = Array.from({ length: standIn.shots }, (_, at) => first + at);
  for (const number of numbers) {
    const swing = student.swing(stanceOf(standIn), number);
    ready += paceMs;
    await insertRow(client, 'stand_in_shot', {
      academy_id: academyId,
      session_id: sessionId,
      number,
      shot_id: newId(),
      measured: JSON.stringify(simulatedMonitor(sessionId, number).measure(swing, clubLengthInches)),
      ready_at: new Date(ready),
    });
  }
  return { numbers };
}

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
