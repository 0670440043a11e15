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

/** Rows of one table, given as column names and values; what is JSON in the table is given as it is. */
export type TableRows = [table: string, rows: Record<string, unknown>[]];

/**
 * Inserts rows of one table in one statement; a column that a row lacks is null. Column names come from code,
 * never from input.
 * @param unlessThere - a row whose key is taken is left as it is, and nothing is said
 */
export async function insertRows(
  client: ClientBase,
  table: string,
  rows: readonly Record<string, unknown>[],
  unlessThere = false,
): Promise<void> {
  if (rows.length === 0) return;
  await client.query(insertOf(table, rows, 1, unlessThere), [JSON.stringify(rows)]);
}

/** The statement that inserts rows given as JSON by its parameter of this number. */
function insertOf(
  table: string,
  rows: readonly Record<string, unknown>[],
  parameter: number,
  unlessThere: boolean,
): string {
  const columns = [...new Set(rows.flatMap((row) => Object.keys(row)))].join(', ');
  const ending = unlessThere ? ' on conflict do nothing' : '';
  return `insert into ${table} (${columns}) select ${columns} from jsonb_populate_recordset(null::${table}, $${parameter}::jsonb)${ending}`;
}

/** Rows of many tables as one statement, and what it is given. */
export interface ManyRows {
  text: string;
  values: unknown[];
}

/** What is done in the same statement as rows are inserted; its values stand behind theirs. */
export interface DoneAlong {
  values: unknown[];
  /** The statement, its first value being the parameter of this number. */
  text: (first: number) => string;
}

/**
 * One statement that inserts rows of many tables: references among them are checked at its end, so that their order does not
 * matter, and the database is at work on all of it at once.
 * @param lists rows by table; a table may come several times
 * @param unlessThere a row whose key is taken is left as it is, and nothing is said
 * @param along what else it does
 */
export function insertOfMany(
  lists: readonly TableRows[],
  unlessThere: boolean,
  along: DoneAlong | null = null,
): ManyRows {
  const tables = new Map<string, Record<string, unknown>[]>();
  for (const [table, rows] of lists) {
    const known = tables.get(table);
    if (known) known.push(...rows);
    else tables.set(table, [...rows]);
  }
  const filled = [...tables].filter(([, rows]) => rows.length > 0);
  const parts = filled.map(
    ([table, rows], at) => `into_${table} as (${insertOf(table, rows, at + 1, unlessThere)})`,
  );
  if (along) parts.push(`along as (${along.text(filled.length + 1)})`);
  return {
    text: `with ${parts.join(', ')} select`,
    values: [...filled.map(([, rows]) => JSON.stringify(rows)), ...(along?.values ?? [])],
  };
}

/** A moment as it is sent, made by the database: UTC to the millisecond. */
export const momentAsJson = (column: string): string =>
  `to_char(${column} at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"')`;

/** The columns that every kind of entry's table begins with. */
export interface EntryKey {
  academy_id: string;
  student_id: string;
  id: string;
}

/** A record with who made it, and when the server had it. */
export interface Made<Value> {
  by: string;
  receivedAt: string;
  record: Value;
}

/** A record of a row that says by whom it was made. */
export const madeBy = <Value>(row: { made_by: string; received_at: Date }, record: Value): Made<Value> => ({
  by: row.made_by,
  receivedAt: row.received_at.toISOString(),
  record,
});

/** Who writes, and when the server had it. */
export interface Writer {
  academyId: string;
  instructorId: string;
  receivedAt: Date;
}
