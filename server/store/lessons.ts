import type { LogEntry, NewEntry, NewLesson } from '@pedastance/contract';
import type { ClientBase } from 'pg';
import { cursorAt, type Cursor } from './cursor';
import { ENTRY_AS_JSON, ENTRY_CORE_AS_JSON } from './entryJson';
import { entryRows } from './entryRows';
import { insertOfMany, insertRow, type TableRows, type Writer } from './rows';
import { studentChanged } from './studentChanged';

export async function addLesson(client: ClientBase, lesson: NewLesson, writer: Writer): Promise<NewLesson> {
  await insertRow(client, 'lesson', {
    academy_id: writer.academyId,
    id: lesson.id,
    student_id: lesson.studentId,
    instructor_id: writer.instructorId,
    started_at: lesson.startedAt,
    received_at: writer.receivedAt,
  });
  return lesson;
}

export class NoSuchLesson extends Error {
  constructor() {
    super('no such lesson');
  }
}

async function studentOfLesson(client: ClientBase, lessonId: string): Promise<string> {
  const lesson = await client.query('select student_id from lesson where id = $1', [lessonId]);
  const studentId: string | undefined = lesson.rows[0]?.student_id;
  if (!studentId) throw new NoSuchLesson();
  return studentId;
}

/** An entry that has landed before, as it was answered then. */
export async function landedEntry(client: ClientBase, entry: NewEntry): Promise<LogEntry> {
  const [landed] = await entriesOf(client, await studentOfLesson(client, entry.lessonId), [entry.id]);
  return landed!;
}

/** An entry as the log will have it. @throws NoSuchLesson when this academy has no such lesson */
export async function loggedEntry(client: ClientBase, entry: NewEntry, writer: Writer): Promise<LogEntry> {
  const studentId = await studentOfLesson(client, entry.lessonId);
  return { ...entry, studentId, receivedAt: writer.receivedAt.toISOString() };
}

/**
 * Writes an entry to the log, in one statement: with its first row begins the turn of the academy's writers, so that whatever
 * is asked or worked out for it comes before.
 * @param beside what is kept beside it, such as what working it out again came to
 * @throws the database's own error when the entry refers to something that is not this student's
 */
export async function writeEntry(
  client: ClientBase,
  entry: LogEntry,
  writer: Writer,
  beside: readonly TableRows[],
): Promise<void> {
  const { studentId } = entry;
  const key = { academy_id: writer.academyId, student_id: studentId, id: entry.id };
  const row = {
    ...key,
    lesson_id: entry.lessonId,
    instructor_id: writer.instructorId,
    kind: entry.kind,
    replaces_id: entry.replaces,
    made_at: entry.madeAt,
    received_at: writer.receivedAt,
  };
  const { text, values } = insertOfMany(
    [['log_entry', [row]], ...entryRows(key, entry), ...beside],
    false,
    // A card is written at the desk: it is no lesson.
    studentChanged(studentId, entry.kind === 'card' ? undefined : entry.madeAt),
  );
  await client.query(text, values);
}

/**
 * Adds an entry to the log.
 * @throws NoSuchLesson, and what `writeEntry` throws
 */
export async function addEntry(client: ClientBase, entry: NewEntry, writer: Writer): Promise<LogEntry> {
  const logged = await loggedEntry(client, entry, writer);
  await writeEntry(client, logged, writer, []);
  return logged;
}

/** Which part of a log: what landed after a place, what landed before one, or the newest. */
export type LogPart = { after: Cursor } | { before: Cursor } | { ids: readonly string[] } | 'newest';

export interface LogPage {
  entries: LogEntry[];
  /** The places of the first and the last entry that landed, of those on the page; null for an empty page. */
  first: Cursor | null;
  last: Cursor | null;
  /** Whether there is more beyond the page, in the direction that was asked for. */
  more: boolean;
}

const partOf = (part: LogPart) => {
  if (part === 'newest') return { condition: 'true', order: 'desc', values: [] };
  if ('ids' in part) return { condition: 'id = any($3::uuid[])', order: 'asc', values: [part.ids] };
  const [condition, order, { number, id }] =
    'after' in part
      ? ['(changed, id) > ($3, $4::uuid)', 'asc', part.after]
      : ['(changed, id) < ($3, $4::uuid)', 'desc', part.before];
  return { condition, order, values: [number, id] };
};

const asLogged = (row: { entry: object; student_id: string; made_at: Date; received_at: Date }) =>
  ({
    ...row.entry,
    madeAt: row.made_at.toISOString(),
    studentId: row.student_id,
    receivedAt: row.received_at.toISOString(),
  }) as LogEntry;

/** A page of the log of one student, in the order of landing; each entry in the shape it was sent in. */
export async function listEntries(
  client: ClientBase,
  studentId: string,
  part: LogPart,
  limit: number,
): Promise<LogPage> {
  const { condition, order, values } = partOf(part);
  const { rows } = await client.query(
    `select entry.changed, entry.id, entry.student_id, entry.received_at, entry.made_at,
       ${ENTRY_AS_JSON} as entry
     from (
       select * from log_entry where academy_id = current_academy() and student_id = $1 and ${condition}
       order by changed ${order}, id ${order} limit $2
     ) as entry
     order by entry.changed ${order}, entry.id ${order}`,
    [studentId, limit + 1, ...values],
  );
  const page = rows.slice(0, limit);
  const places = page.map(cursorAt);
  if (order === 'desc') places.reverse();
  return {
    entries: page.map(asLogged),
    first: places[0] ?? null,
    last: places.at(-1) ?? null,
    more: rows.length > limit,
  };
}

/** Entries of some kinds of some students, readings without their findings. */
export async function entriesOfKinds(
  client: ClientBase,
  studentIds: readonly string[],
  kinds: readonly LogEntry['kind'][],
): Promise<LogEntry[]> {
  const { rows } = await client.query(
    `select entry.student_id, entry.received_at, entry.made_at, ${ENTRY_CORE_AS_JSON} as entry
     from log_entry as entry
     where entry.academy_id = current_academy() and entry.student_id = any($1) and entry.kind = any($2)`,
    [studentIds, kinds],
  );
  return rows.map(asLogged);
}

/** Entries of one student by their identifiers; those that this student's log does not have are missing. */
export async function entriesOf(
  client: ClientBase,
  studentId: string,
  ids: readonly string[],
): Promise<LogEntry[]> {
  const { entries } = await listEntries(client, studentId, { ids }, ids.length);
  return entries;
}
