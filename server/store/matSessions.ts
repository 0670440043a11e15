import type { NewMatSession } from '@pedastance/contract';
import type { ClientBase } from 'pg';
import type { OnTheMat } from '../devices/mat/simulatedMat';
import { whoStands } from '../devices/mat/whoStands';
import { insertRow, type Writer } from './rows';
import { findStudent } from './students';

interface SessionRow {
  id: string;
  student_id: string;
  route: NewMatSession['route'];
  lead_share: number;
  along: number;
  started_at: Date;
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

/** Who stands on the mat in a session, and since when; null where this academy has no such session. */
export async function findMatSession(
  client: ClientBase,
  id: string,
): Promise<{ on: OnTheMat; startedAt: Date } | null> {
  const { rows } = await client.query<SessionRow>(
    'select * from mat_session where academy_id = current_academy() and id = $1',
    [id],
  );
  const row = rows[0];
  if (!row) return null;
  const stands = { lead: row.lead_share, along: row.along };
  return { on: whoStands(row.student_id, row.id, row.route, stands), startedAt: row.started_at };
}
