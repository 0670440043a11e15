import type { NewMatSession } from '@pedastance/contract';
import type { ClientBase } from 'pg';
import { insertRow, type Writer } from './rows';
import { findStudent } from './students';

/** Who stands on the mat, how the plan has them, percent, and since when. */
export interface MatSession extends Pick<NewMatSession, 'id' | 'studentId' | 'route'> {
  leadShare: number;
  along: number;
  startedAt: Date;
}

/** Puts a student on the stand-in mat. @throws NoSuchStudent when this academy has no such student. */
export async function addMatSession(
  client: ClientBase,
  { id, studentId, setup, route }: NewMatSession,
  { academyId, receivedAt }: Writer,
): Promise<{ id: string; studentId: string }> {
  await findStudent(client, studentId);
  await insertRow(client, 'mat_session', {
    academy_id: academyId,
    id,
    student_id: studentId,
    route,
    lead_share: setup.balance.leadShare,
    along: (setup.balance.leadHeelToe + setup.balance.trailHeelToe) / 2,
    started_at: receivedAt,
  });
  return { id, studentId };
}

/** A session on the mat; null where this academy has no such session. */
export async function findMatSession(client: ClientBase, id: string): Promise<MatSession | null> {
  const { rows } = await client.query<MatSession>(
    `select id, student_id as "studentId", route, lead_share as "leadShare", along, started_at as "startedAt"
     from mat_session where academy_id = current_academy() and id = $1`,
    [id],
  );
  return rows[0] ?? null;
}
