import type {
  ImportAnswer,
  ImportSummary,
  LineOf,
  RecordsHeader,
  RecordsLine,
} from '@pedastance/contract/recordsFile';
import type { ClientBase, Pool } from 'pg';
import { buildRow } from '../store/builds';
import { tickRow } from '../store/cards';
import { consentRow } from '../store/consents';
import { painAnswerRow } from '../store/painAnswers';
import { inAcademy } from '../store/database';
import { ownRow, ownTable } from '../store/ownThings';
import { photoRow } from '../store/photos';
import { checkRow, entryRows } from '../store/entryRows';
import { insertOfMany, insertRows, type ManyRows, type TableRows, type Writer } from '../store/rows';
import { screenRows } from '../store/screens';
import { indexWords, studentRow } from '../store/students';
import { readRecords, type FileStart } from './readRecords';
import type { StudentGroup } from './studentGroup';

/** Whose academy a file is read into, and by whom. */
export interface Importer {
  academyId: string;
  instructorId: string;
}

/** By whom a file is read in, and when: it stands beside each entry, whose writer is as the file tells it. */
type ReadIn = Importer & { at: Date };

/** Students are taken in so many lines at a time, each whole; other writes of the academy wait so long. */
const LINES_AT_ONCE = 2000;
/** A photo weighs as much as so many other lines. */
const A_PHOTO_IN_LINES = 100;
const MOST_NAMESAKES = 20;

const writerOf = (academyId: string, { by, receivedAt }: { by: string; receivedAt: string }): Writer => ({
  academyId,
  instructorId: by,
  receivedAt: new Date(receivedAt),
});

function partRows(readIn: ReadIn, studentId: string, { line }: StudentGroup['parts'][number]): TableRows[] {
  const { academyId } = readIn;
  if (line.kind === 'tick') return [['card_tick', [tickRow(line.record, academyId, line.receivedAt)]]];
  const writer = writerOf(academyId, line);
  switch (line.kind) {
    case 'build':
      return [['build', [buildRow(line.record, writer)]]];
    case 'screen':
      return screenRows(line.record, writer);
    case 'consent':
      // An answer of a file comes before any that was given here.
      return [['consent', [{ ...consentRow(line.record, writer), place: 0 }]]];
    case 'pain answer':
      return [['pain_answer', [painAnswerRow(line.record, writer)]]];
    case 'lesson':
      return [['lesson', [lessonRow(line, academyId)]]];
    case 'photo':
      return [['photo', [photoRow(line.record, writer)]]];
    case 'entry':
      return logRows(readIn, studentId, line);
  }
}

const lessonRow = ({ by, receivedAt, record }: LineOf<'lesson'>, academyId: string) => ({
  academy_id: academyId,
  id: record.id,
  student_id: record.studentId,
  instructor_id: by,
  started_at: record.startedAt,
  received_at: receivedAt,
});

function logRows(
  { academyId, instructorId, at }: ReadIn,
  studentId: string,
  line: LineOf<'entry'>,
): TableRows[] {
  const { by, receivedAt, record, check } = line;
  const key = { academy_id: academyId, student_id: studentId, id: record.id };
  const entry = {
    ...key,
    lesson_id: record.lessonId,
    instructor_id: by,
    kind: record.kind,
    replaces_id: record.replaces,
    made_at: record.madeAt,
    received_at: receivedAt,
    read_in_by: instructorId,
    read_in_at: at,
  };
  const checked: TableRows[] = check
    ? [['entry_check', [checkRow(academyId, record.id, check, check.modelVersion)]]]
    : [];
  return [['log_entry', [entry]], ...entryRows(key, record), ...checked];
}

/** Everything of some students as rows. */
const rowsOfAll = (readIn: ReadIn, groups: readonly StudentGroup[]): TableRows[] =>
  groups.flatMap(({ student, parts }) => {
    const row = studentRow(student.record, writerOf(readIn.academyId, student));
    return [
      ['student', [{ ...row, version: student.version, updated_at: student.updatedAt }]] as TableRows,
      ...parts.flatMap((part) => partRows(readIn, student.record.id, part)),
    ];
  });

/** When each student's newest entry was made. */
const lastEntries = (groups: readonly StudentGroup[]) =>
  groups.map(({ student, parts }) => {
    const made = parts.flatMap(({ line }) =>
      line.kind === 'entry' && line.record.kind !== 'card' ? [line.record.madeAt] : [],
    );
    return { id: student.record.id, last: made.sort().at(-1) ?? null };
  });

/** Students ready to be written: made while the database is at work on those before. */
interface Prepared {
  groups: readonly StudentGroup[];
  rows: ManyRows;
}

const prepared = (readIn: ReadIn, groups: readonly StudentGroup[]): Prepared => ({
  groups,
  rows: insertOfMany(rowsOfAll(readIn, groups), true),
});

/** Takes students in, each whole; what is there already stays as it is. */
async function takeIn(
  client: ClientBase,
  academyId: string,
  { groups, rows }: Prepared,
  fresh: ReadonlySet<string>,
): Promise<void> {
  await client.query(rows.text, rows.values);
  const last = lastEntries(groups);
  await client.query(
    `update student set changed = this_change(), last_entry_at = greatest(last_entry_at, read.last)
     from unnest($1::uuid[], $2::timestamptz[]) as read (id, last)
     where student.academy_id = current_academy() and student.id = read.id`,
    [last.map(({ id }) => id), last.map((each) => each.last)],
  );
  const found = groups.map(({ student: { record } }) => ({ id: record.id, person: record }));
  await indexWords(
    client,
    academyId,
    found.filter(({ id }) => fresh.has(id)),
  );
}

/** Colleagues and methods of a file, where the academy does not have them. */
async function takeStart(
  client: ClientBase,
  { academyId, instructorId }: Importer,
  { colleagues, methods, drills, ladders }: FileStart,
): Promise<void> {
  for (const { id, name } of colleagues)
    await client.query('select colleague_from_file($1, $2, $3)', [instructorId, id, name]);
  const rows = methods.map(({ record, by, receivedAt, madeAt }) => ({
    academy_id: academyId,
    id: record.id,
    version: record.version,
    name: record.name,
    summary: record.summary,
    questions: record.questions,
    made_at: madeAt,
    made_by: by,
    received_at: receivedAt,
  }));
  // One by one: a version refers to the one before it.
  for (const row of rows) await insertRows(client, 'house_method', [row], true);
  const ownDrills = drills.map(({ record, ...made }) => ownRow('drill', record, academyId, made));
  await insertRows(client, ownTable('drill'), ownDrills, true);
  const ownLadders = ladders.map(({ record, ...made }) => ownRow('ladder', record, academyId, made));
  await insertRows(client, ownTable('ladder'), ownLadders, true);
}

/** What of some students is here already. */
async function lookUp(client: ClientBase, groups: readonly StudentGroup[]) {
  const ids = groups.map(({ student }) => student.record.id);
  const { rows } = await client.query<{ id: string; what: 'known' | 'erased' }>(
    `select id, 'known' as what from student where academy_id = current_academy() and id = any($1)
     union all select student, 'erased' from erased_student where academy_id = current_academy() and student = any($1)`,
    [ids],
  );
  const of = (what: string) => new Set(rows.filter((row) => row.what === what).map(({ id }) => id));
  const [known, erased] = [of('known'), of('erased')];
  const fresh = new Set(ids.filter((id) => !known.has(id) && !erased.has(id)));
  return { known, erased, fresh };
}

async function namesakesOf(
  client: ClientBase,
  groups: readonly StudentGroup[],
  fresh: ReadonlySet<string>,
): Promise<string[]> {
  const names = groups
    .filter(({ student }) => fresh.has(student.record.id))
    .map(({ student }) => student.record.name);
  const { rows } = await client.query<{ name: string }>(
    'select distinct name from student where academy_id = current_academy() and name = any($1) limit $2',
    [names, MOST_NAMESAKES],
  );
  return rows.map(({ name }) => name);
}

/** Collects students until there are enough for one transaction, and reads on while that one is at work. */
class Batches<Ready> {
  private groups: StudentGroup[] = [];
  private lines = 0;
  private atWork: Promise<void> = Promise.resolve();

  constructor(
    private readonly prepare: (groups: readonly StudentGroup[]) => Ready,
    private readonly work: (ready: Ready) => Promise<void>,
  ) {}

  async add(group: StudentGroup): Promise<void> {
    this.groups.push(group);
    const photos = group.parts.filter(({ line }) => line.kind === 'photo').length;
    this.lines += 1 + group.parts.length + (A_PHOTO_IN_LINES - 1) * photos;
    if (this.lines >= LINES_AT_ONCE) await this.begin();
  }

  /** Starts on what is there once the batch before is done. */
  private async begin(): Promise<void> {
    const ready = this.prepare(this.groups);
    this.groups = [];
    this.lines = 0;
    await this.atWork;
    this.atWork = this.work(ready);
    // It is waited for with the next batch or at the end; until then nobody looks.
    this.atWork.catch(() => undefined);
  }

  async flush(): Promise<void> {
    await this.begin();
    await this.atWork;
  }
}

const emptySummary = ({ header }: FileStart): ImportSummary => ({
  academy: header.academy,
  exportedAt: header.exportedAt,
  students: { fresh: 0, known: 0, erased: 0 },
  entries: 0,
  namesakes: [],
});

const entriesIn = (groups: readonly StudentGroup[]): number =>
  groups.reduce((sum, { parts }) => sum + parts.filter(({ line }) => line.kind === 'entry').length, 0);

/** What some students would bring, added to what is told of the file. */
async function told(
  client: ClientBase,
  summary: ImportSummary,
  groups: readonly StudentGroup[],
): Promise<{ taken: StudentGroup[]; fresh: ReadonlySet<string> }> {
  const { known, erased, fresh } = await lookUp(client, groups);
  summary.students.fresh += fresh.size;
  summary.students.known += known.size;
  summary.students.erased += erased.size;
  if (summary.namesakes.length < MOST_NAMESAKES) {
    const more = await namesakesOf(client, groups, fresh);
    summary.namesakes = [...new Set([...summary.namesakes, ...more])].slice(0, MOST_NAMESAKES);
  }
  const taken = groups.filter(({ student }) => !erased.has(student.record.id));
  summary.entries += entriesIn(taken);
  return { taken, fresh };
}

/** Batches after which the planner is told anew; a file of fewer is too small to matter. */
const TELL_AT = [8, 64, 512, 4096];

/**
 * Tells the database's planner how much there is now: of tables that were empty a moment ago it knows nothing, and
 * would read them whole for every reference.
 */
async function tellPlanner(client: ClientBase): Promise<void> {
  await client.query('select records_analyze()');
}

type Bytes = AsyncIterable<Buffer>;
export type Line = RecordsHeader | RecordsLine;

/**
 * Reads a file of records and tells what it would bring into an academy, and what is wrong with it by line.
 * @param keep - is handed each line in today's shape, for `takeChecked`
 */
export async function preview(
  pool: Pool,
  chunks: Bytes,
  { academyId }: Importer,
  keep?: (line: Line) => Promise<void>,
): Promise<ImportAnswer> {
  let summary: ImportSummary | null = null;
  const batches = new Batches(
    (groups) => groups,
    (groups) =>
      inAcademy(pool, academyId, async (client) => void (await told(client, summary!, groups)), 'read only'),
  );
  const faults = await readRecords(chunks, {
    ...(keep && { line: keep }),
    start: (start) => void (summary = emptySummary(start)),
    student: (group) => batches.add(group),
  });
  if (faults.length === 0) await batches.flush();
  return { summary, faults };
}

/**
 * Takes in a file that has been checked: students come in whole, what is there already stays as it is, and nobody who
 * was erased comes back.
 */
export async function takeChecked(pool: Pool, chunks: Bytes, importer: Importer): Promise<ImportAnswer> {
  const { academyId } = importer;
  const readIn = { ...importer, at: new Date() };
  let summary: ImportSummary | null = null;
  let batch = 0;
  const batches = new Batches(
    (groups) => prepared(readIn, groups),
    (ready) =>
      inAcademy(pool, academyId, async (client) => {
        const { taken, fresh } = await told(client, summary!, ready.groups);
        // What was simulated in the academy of the file comes back as that.
        await client.query("set local pedastance.bringing_in = 'on'");
        // Whoever was erased does not come back: the others are made ready anew.
        const all = taken.length === ready.groups.length;
        if (taken.length > 0) await takeIn(client, academyId, all ? ready : prepared(readIn, taken), fresh);
        batch += 1;
        if (TELL_AT.includes(batch)) await tellPlanner(client);
      }),
  );
  const reader = {
    start: async (start: FileStart) => {
      summary = emptySummary(start);
      await inAcademy(pool, academyId, (client) => takeStart(client, importer, start));
    },
    student: (group: StudentGroup) => batches.add(group),
  };
  const faults = await readRecords(chunks, reader, true);
  await batches.flush();
  if (batch >= TELL_AT[0]!) await inAcademy(pool, academyId, tellPlanner);
  return { summary, faults };
}
