import type { AuditAct, AuditEntry } from '@pedastance/contract';
import type { ClientBase } from 'pg';
import { insertRow } from './rows';

/** So much of the list is answered, the newest of it. */
const MOST_LISTED = 200;

/** Says in the academy's audit list what was done and by whom; a student is named by an identifier alone. */
export const noteAct = (
  client: ClientBase,
  { academyId, instructorId }: { academyId: string; instructorId: string },
  act: AuditAct,
  about: { whom?: string; student?: string } = {},
): Promise<void> =>
  insertRow(client, 'audit_entry', { academy_id: academyId, made_by: instructorId, act, ...about });

/** How much was done with keys, access and consent since an owner last looked; 0 for whoever is none. */
export async function actsUnseen(client: ClientBase, instructorId: string): Promise<number> {
  const { rows } = await client.query<{ acts: number }>('select acts_unseen($1) as acts', [instructorId]);
  return rows[0]!.acts;
}

/** An owner has looked through the list up to an act. */
export async function noteActsSeen(client: ClientBase, instructorId: string, newest: string): Promise<void> {
  await client.query('select acts_seen($1, $2)', [instructorId, newest]);
}

/** What was done, newest first, with the name of a student who is still there. */
export async function auditList(client: ClientBase): Promise<AuditEntry[]> {
  const { rows } = await client.query(
    `select entry.id, entry.at, actor.name as by, entry.act, whom.name as whom, student.name as student
     from audit_entry as entry
     join instructor as actor on actor.academy_id = entry.academy_id and actor.id = entry.made_by
     left join instructor as whom on whom.academy_id = entry.academy_id and whom.id = entry.whom
     left join student on student.academy_id = entry.academy_id and student.id = entry.student
     where entry.academy_id = current_academy()
     order by entry.at desc, entry.id limit $1`,
    [MOST_LISTED],
  );
  return rows;
}
