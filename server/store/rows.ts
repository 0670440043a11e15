import type { ClientBase } from 'pg';

/** Inserts one row given as column names and values. Column names come from code, never from input. */
export async function insertRow(
  client: ClientBase,
  table: string,
  row: Record<string, unknown>,
): Promise<void> {
  const columns = Object.keys(row);
  const places = columns.map((_, index) => `$${index + 1}`);
  await client.query(
    `insert into ${table} (${columns.join(', ')}) values (${places.join(', ')})`,
    Object.values(row),
  );
}

/** The columns that every kind of entry's table begins with. */
export interface EntryKey {
  academy_id: string;
  student_id: string;
  id: string;
}

/** Who writes, and when the server had it. */
export interface Writer {
  academyId: string;
  instructorId: string;
  receivedAt: Date;
}
