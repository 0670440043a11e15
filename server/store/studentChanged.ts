import type { ClientBase } from 'pg';
import type { DoneAlong } from './rows';

/** Notes that something of a student's was written, and when the newest entry of the log was made. */
export async function noteStudentChanged(
  client: ClientBase,
  id: string,
  entryMadeAt?: string,
): Promise<void> {
  const { text, values } = studentChanged(id, entryMadeAt);
  await client.query(text(1), values);
}

/** The same, to be done along with what is written. */
export const studentChanged = (id: string, entryMadeAt?: string): DoneAlong => ({
  text: (first) =>
    `update student set changed = this_change(), last_entry_at = greatest(last_entry_at, $${first + 1}::timestamptz)
     where academy_id = current_academy() and id = $${first}::uuid`,
  values: [id, entryMadeAt ?? null],
});
