import type { ClientBase } from 'pg';

/** Notes that something of a student's was written, and when the newest entry of the log was made. */
export async function noteStudentChanged(
  client: ClientBase,
  id: string,
  entryMadeAt?: string,
): Promise<void> {
  await client.query(
    `update student set changed = this_change(), last_entry_at = greatest(last_entry_at, $2)
     where academy_id = current_academy() and id = $1`,
    [id, entryMadeAt ?? null],
  );
}
