import type { NewLesson, NewStudent } from '@pedastance/contract';
import {
  RECORDS_FORMAT,
  RECORDS_VERSION,
  type LineOf,
  type RecordsHeader,
  type RecordsLine,
} from '@pedastance/contract/recordsFile';
import { CONTRACT_VERSION } from '@pedastance/contract/wire';
import type { ClientBase } from 'pg';
import QueryStream from 'pg-query-stream';
import { buildsOf } from '../store/builds';
import { ticksOf } from '../store/cards';
import { consentsOf } from '../store/consents';
import { painAnswersOf } from '../store/painAnswers';
import { standingOwn } from '../store/ownThings';
import { ENTRY_CORE_AS_JSON, FINDINGS_AS_TEXT } from '../store/entryJson';
import { methodVersionsUsed } from '../store/methods';
import { photographed, photosOf } from '../store/photos';
import { momentAsJson, type Made } from '../store/rows';
import { screensOf } from '../store/screens';

/** What is exported: one student, or the whole academy. */
export type Scope = { studentId: string } | 'academy';

const STUDENTS_AT_ONCE = 50;
const ENTRIES_AT_ONCE = 50;

const studentOf = (scope: Scope): string | null => (scope === 'academy' ? null : scope.studentId);

/** Who made the rows of a table, where that is not its `made_by`; of an entry also who read it in. */
const MAKERS: Record<string, string> = {
  lesson: 'instructor_id',
  log_entry: 'unnest(array[instructor_id, read_in_by])',
};

/** Everybody who made one of the records, or read it in. */
async function colleagueLines(client: ClientBase, scope: Scope): Promise<RecordsLine[]> {
  const made = [
    'student',
    'build',
    'leg_screen',
    'consent',
    'lesson',
    'log_entry',
    'photo',
    'pain_answer',
  ].map((table) => {
    const student = table === 'student' ? 'id' : 'student_id';
    return `select ${MAKERS[table] ?? 'made_by'} from ${table}
      where academy_id = current_academy() and ($1::uuid is null or ${student} = $1)`;
  });
  const { rows } = await client.query(
    `select id, name from instructor where academy_id = current_academy() and id in (
       ${made.join(' union ')}
       union select made_by from house_method where academy_id = current_academy() and $1::uuid is null
       union select made_by from drill where academy_id = current_academy() and $1::uuid is null
       union select made_by from own_ladder where academy_id = current_academy() and $1::uuid is null)
     order by id`,
    [studentOf(scope)],
  );
  return rows.map(({ id, name }) => ({ kind: 'colleague', id, name }));
}

type StudentRecord = LineOf<'student'>;

/** A page of the students in the order of their identifiers. */
async function studentPage(client: ClientBase, scope: Scope, after: string | null): Promise<StudentRecord[]> {
  const { rows } = await client.query(
    `select * from student where academy_id = current_academy()
       and ($1::uuid is null or id = $1) and ($2::uuid is null or id > $2)
     order by id limit ${STUDENTS_AT_ONCE}`,
    [studentOf(scope), after],
  );
  return rows.map((row) => {
    const record: NewStudent = {
      id: row.id,
      madeAt: row.made_at.toISOString(),
      name: row.name,
      hand: row.hand,
      birthYear: row.birth_year,
      bornOn: row.born_on,
      cautions: row.cautions,
      facts: row.caution_facts,
    };
    const [receivedAt, updatedAt] = [row.received_at.toISOString(), row.updated_at.toISOString()];
    return { kind: 'student', by: row.made_by, receivedAt, updatedAt, version: row.version, record };
  });
}

async function lessonsOf(client: ClientBase, studentIds: string[]): Promise<Made<NewLesson>[]> {
  const { rows } = await client.query(
    `select * from lesson where academy_id = current_academy() and student_id = any($1) order by started_at, id`,
    [studentIds],
  );
  return rows.map((row) => ({
    by: row.instructor_id,
    receivedAt: row.received_at.toISOString(),
    record: { id: row.id, studentId: row.student_id, startedAt: row.started_at.toISOString() },
  }));
}

/** The logs of students as lines that the database writes, one student's after another's. */
const entryLines = (studentIds: string[]): QueryStream =>
  new QueryStream(
    `select entry.student_id, entry.instructor_id, ${momentAsJson('entry.received_at')} as received_at,
       entry.read_in_by, ${momentAsJson('entry.read_in_at')} as read_in_at,
       ${momentAsJson('entry.made_at')} as made_at, (${ENTRY_CORE_AS_JSON})::text as core,
       case entry.kind when 'reading' then ${FINDINGS_AS_TEXT} end as findings,
       json_build_object('verdict', verdict, 'differences', differences, 'modelVersion', model_version)::text as checked,
       verdict
     from log_entry as entry
     left join entry_check on entry_check.academy_id = entry.academy_id and entry_check.entry_id = entry.id
     where entry.academy_id = current_academy() and entry.student_id = any($1)
     order by entry.student_id, entry.made_at, entry.id`,
    [studentIds],
    { batchSize: ENTRIES_AT_ONCE },
  );

interface EntryRow {
  student_id: string;
  instructor_id: string;
  received_at: string;
  read_in_by: string | null;
  read_in_at: string | null;
  made_at: string;
  /** The entry as JSON without its time, its findings and its check; it begins with a brace. */
  core: string;
  findings: string | null;
  checked: string;
  verdict: string | null;
}

/** An entry's line, put together from what the database wrote, which is not read and written again. */
function entryLine(row: EntryRow): string {
  const findings = row.findings ? `"findings":${row.findings},` : '';
  const record = `{"madeAt":"${row.made_at}",${findings}${row.core.slice(1)}`;
  const readIn = row.read_in_by ? `"readIn":{"by":"${row.read_in_by}","at":"${row.read_in_at}"},` : '';
  const check = row.verdict ? row.checked : 'null';
  return `{"kind":"entry","by":"${row.instructor_id}","receivedAt":"${row.received_at}",${readIn}"check":${check},"record":${record}}`;
}

const line = (value: RecordsLine | RecordsHeader): string => JSON.stringify(value);

/** What belongs to each student besides the log, as lines by student. */
async function partsByStudent(client: ClientBase, studentIds: string[]): Promise<Map<string, string[]>> {
  const parts = new Map<string, string[]>();
  const put = <Kind extends 'build' | 'screen' | 'consent' | 'lesson'>(
    kind: Kind,
    made: readonly Made<{ studentId: string }>[],
  ) => {
    for (const each of made) {
      const lines = parts.get(each.record.studentId) ?? [];
      lines.push(line({ kind, ...each } as LineOf<Kind>));
      parts.set(each.record.studentId, lines);
    }
  };
  put('build', await buildsOf(client, studentIds));
  put('screen', (await screensOf(client, { studentIds })).reverse());
  put('consent', await consentsOf(client, studentIds));
  put('lesson', await lessonsOf(client, studentIds));
  return parts;
}

/** What each student ticked and what came of asking after it, as lines by student. */
async function ticksByStudent(client: ClientBase, studentIds: string[]): Promise<Map<string, string[]>> {
  const ticks = new Map<string, string[]>();
  for (const { receivedAt, ...record } of await ticksOf(client, studentIds)) {
    const lines = ticks.get(record.studentId) ?? [];
    lines.push(line({ kind: 'tick', receivedAt, record }));
    ticks.set(record.studentId, lines);
  }
  for (const answer of await painAnswersOf(client, studentIds))
    ticks.get(answer.record.studentId)?.push(line({ kind: 'pain answer', ...answer }));
  return ticks;
}

/**
 * Students of a page to be read together: while entries are read nothing else can be asked of the database, so that a
 * student with photos is read alone.
 */
function runsOf(page: readonly StudentRecord[], withPhotos: ReadonlySet<string>): StudentRecord[][] {
  const runs: StudentRecord[][] = [];
  let alone = true;
  for (const student of page) {
    const photos = withPhotos.has(student.record.id);
    if (alone || photos) runs.push([student]);
    else runs.at(-1)!.push(student);
    alone = photos;
  }
  return runs;
}

/** A page of students, each with all that belongs to it. */
async function* pageLines(client: ClientBase, page: readonly StudentRecord[]): AsyncGenerator<string> {
  const withPhotos = await photographed(
    client,
    page.map(({ record }) => record.id),
  );
  for (const run of runsOf(page, withPhotos)) {
    yield* studentLines(client, run);
    const [{ record }] = run as [StudentRecord];
    if (!withPhotos.has(record.id)) continue;
    for await (const photo of photosOf(client, record.id)) yield line({ kind: 'photo', ...photo });
  }
}

/** Students read together, each with all that belongs to it but photos. */
async function* studentLines(client: ClientBase, page: readonly StudentRecord[]): AsyncGenerator<string> {
  const ids = page.map(({ record }) => record.id);
  const parts = await partsByStudent(client, ids);
  const ticks = await ticksByStudent(client, ids);
  const entries = client.query(entryLines(ids)) as AsyncIterable<EntryRow>;
  const rows = entries[Symbol.asyncIterator]();
  try {
    let next = await rows.next();
    for (const student of page) {
      const { id } = student.record;
      yield line(student);
      yield* parts.get(id) ?? [];
      for (; !next.done && next.value.student_id === id; next = await rows.next())
        yield entryLine(next.value);
      yield* ticks.get(id) ?? [];
    }
  } finally {
    // Whoever stops reading closes the database's cursor too.
    await rows.return?.();
  }
}

/**
 * The lines of a file of records, as they are read: memory holds a page of students and of entries at a time.
 * @param client - in a transaction that sees one state of one academy
 */
export async function* recordLines(
  client: ClientBase,
  scope: Scope,
  academy: string,
  exportedAt: Date,
): AsyncGenerator<string> {
  let lines = 0;
  const counted = (text: string): string => {
    lines += 1;
    return `${text}\n`;
  };
  yield counted(
    line({
      kind: 'records',
      format: RECORDS_FORMAT,
      version: RECORDS_VERSION,
      contract: CONTRACT_VERSION,
      of: scope === 'academy' ? 'academy' : 'student',
      academy,
      exportedAt: exportedAt.toISOString(),
    }),
  );
  for (const colleague of await colleagueLines(client, scope)) yield counted(line(colleague));
  for (const method of await methodVersionsUsed(client, studentOf(scope))) {
    // Who made a method is no part of one student's data.
    const by = scope === 'academy' ? method.by : null;
    yield counted(line({ kind: 'method', ...method, by }));
  }
  if (scope === 'academy') {
    for (const drill of await standingOwn(client, 'drill')) yield counted(line({ kind: 'drill', ...drill }));
    for (const ladder of await standingOwn(client, 'ladder'))
      yield counted(line({ kind: 'own ladder', ...ladder }));
  }
  for (let after: string | null = null; ;) {
    const page: StudentRecord[] = await studentPage(client, scope, after);
    if (page.length === 0) break;
    for await (const text of pageLines(client, page)) yield counted(text);
    after = page.at(-1)!.record.id;
  }
  yield counted(line({ kind: 'end', lines: lines + 1 }));
}
