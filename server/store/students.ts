import type { NewStudent, Person, Student, StudentEdit } from '@pedastance/contract';
import type { CautionFact } from '@pedastance/core/body';
import { searchText, wordsOf } from '@pedastance/contract/search';
import type { ClientBase } from 'pg';
import { buildFromRow, type BuildRow } from './builds';
import { consentFromRow, NEWEST_CONSENT_FIRST, type ConsentRow } from './consents';
import { behind, cursorAt, type Cursor } from './cursor';
import { PAIN_TICKS_AS_JSON } from './painAnswers';
import { insertRows, type Writer } from './rows';

/** The edit was made from an older version; `current` is what the student is now. */
export class StaleEdit extends Error {
  constructor(readonly current: Student) {
    super('the student has been changed since');
  }
}

export class NoSuchStudent extends Error {
  constructor() {
    super('no such student');
  }
}

interface StudentRow {
  id: string;
  name: string;
  hand: Person['hand'];
  birth_year: number;
  born_on: string | null;
  caution_facts: CautionFact[];
  cautions: string;
  version: number;
  made_at: Date;
  updated_at: Date;
  last_entry_at: Date | null;
  build: BuildRow | null;
  consent: ConsentRow | null;
  pain: Student['pain'] | null;
}

const studentFromRow = (row: StudentRow): Student => ({
  id: row.id,
  name: row.name,
  hand: row.hand,
  birthYear: row.birth_year,
  bornOn: row.born_on,
  facts: row.caution_facts,
  cautions: row.cautions,
  version: row.version,
  madeAt: row.made_at.toISOString(),
  updatedAt: row.updated_at.toISOString(),
  lastEntryAt: row.last_entry_at?.toISOString() ?? null,
  build: row.build && buildFromRow(row.build),
  consent: row.consent && consentFromRow(row.consent),
  pain: row.pain ?? [],
});

/** Students of a query, each with the newest build and consent: the page is cut before those are looked up. */
const withBuilds = (students: string): string => `
  select student.*, newest.build, word.consent, hurting.pain
  from (${students}) as student
  left join lateral (
    select to_jsonb(build) as build from build
    where build.academy_id = student.academy_id and build.student_id = student.id
    order by build.made_at desc, build.id desc limit 1
  ) as newest on true
  left join lateral (
    select to_jsonb(consent) as consent from consent
    where consent.academy_id = student.academy_id and consent.student_id = student.id
    order by ${NEWEST_CONSENT_FIRST} limit 1
  ) as word on true
  left join lateral (${PAIN_TICKS_AS_JSON}) as hurting on true`;

const BY_NAME = '(lower(student.name)) collate "C", student.id';
const PLACE_OF = `(select (lower(name)) collate "C", id from student where academy_id = current_academy() and id = $1)`;

/** A page of something, and whether there is more after it. */
export interface PageOf<Item> {
  items: Item[];
  more: boolean;
}

/** The first `limit` rows of a query that was asked for one more. */
export const pageOf = <Row, Item>(
  rows: readonly Row[],
  limit: number,
  item: (row: Row) => Item,
): PageOf<Item> => ({
  items: rows.slice(0, limit).map(item),
  more: rows.length > limit,
});

/** A word that so many students have at least is common: walking them by name soon comes to one who has it. */
const COMMON = 4000;

/** The range of words that begin with a word; the largest character ends it. */
const inRange = (place: string): string => `word >= ${place} and word < ${place} || chr(1114111)`;

/** Which of the words are common. One short index scan a word. */
async function commonOf(client: ClientBase, words: readonly string[]): Promise<boolean[]> {
  if (words.length === 0) return [];
  const counts = words.map(
    (_word, at) => `(select count(*) from (select from student_word
      where academy_id = current_academy() and ${inRange(`$${at + 1}`)} limit ${COMMON}) as found) as count_${at}`,
  );
  const { rows } = await client.query(`select ${counts.join(', ')}`, [...words]);
  return words.map((_word, at) => Number(rows[0][`count_${at}`]) === COMMON);
}

/** What comes after the last student of the page before, by name; everything on the first page. */
const after = (place: string): string => `($1::uuid is null or (${place}) > ${PLACE_OF})`;

/** Walks the students by name and looks at each, which soon comes to a page of those who have common words. */
const walked = (places: readonly string[]): string => {
  // A subquery with a limit is not turned into a join.
  const having = places.map(
    (place) => `and (select true from student_word where student_word.academy_id = student.academy_id
      and student_word.student_id = student.id and ${inRange(place)} limit 1)`,
  );
  return `select * from student where academy_id = current_academy()
    and ${after(BY_NAME)} ${having.join(' ')} order by ${BY_NAME} limit $2`;
};

/** Finds students by their words, puts those found in order, and fetches a page of them one by one. */
const found = (places: readonly string[]): string => {
  const having = places.map(
    (place) =>
      `select distinct name, student_id from student_word where academy_id = current_academy() and ${inRange(place)}`,
  );
  return `select student.* from (
      select name, student_id from (${having.join(' intersect ')}) as matched
      where ${after('name, student_id')} order by name, student_id limit $2
    ) as place cross join lateral (
      select * from student where academy_id = current_academy() and id = place.student_id offset 0) as student`;
};

/**
 * A page of the academy's students by name, each with the newest build.
 * @param afterId - the last student of the page before; null for the first page
 * @param words - each has to begin one of the student's words
 */
export async function listStudents(
  client: ClientBase,
  afterId: string | null,
  words: readonly string[],
  limit: number,
): Promise<PageOf<Student>> {
  const places = words.map((_word, at) => `$${at + 3}`);
  const rare = (await commonOf(client, words)).some((common) => !common);
  const page = rare ? found(places) : walked(places);
  const { rows } = await client.query<StudentRow>(`${withBuilds(page)} order by ${BY_NAME}`, [
    afterId,
    limit + 1,
    ...words,
  ]);
  return pageOf(rows, limit, studentFromRow);
}

/** A page of students, and the place in the academy's changes that it goes up to. */
export interface ChangedStudents extends PageOf<Student> {
  through: Cursor;
}

type ChangedRow = StudentRow & { changed: string; through: string };

/** Students with the newest number of the academy's changes, all seen at one moment; one row at least. */
const changes = (condition: string, order: string) => `
  select latest.*, coalesce((select number from academy_counter where academy_id = current_academy()), 0) as through
  from (select 1) as once left join lateral (
    ${withBuilds(`select * from student where academy_id = current_academy() and ${condition} order by ${order} limit $1`)}
    order by ${order}
  ) as latest on true`;

const ofRows = (rows: readonly ChangedRow[], limit: number) => ({
  newest: behind(Number(rows[0]!.through)),
  page: pageOf(
    rows.filter(({ id }) => id !== null),
    limit,
    (row) => row,
  ),
});

/** The students that changed last, newest first. */
export async function newestStudents(client: ClientBase, limit: number): Promise<ChangedStudents> {
  const { rows } = await client.query<ChangedRow>(changes('true', 'student.changed desc, student.id desc'), [
    limit + 1,
  ]);
  const { newest, page } = ofRows(rows, limit);
  return { items: page.items.map(studentFromRow), more: page.more, through: newest };
}

/** The students that changed after a place, in the order of their changes. */
export async function changedStudents(
  client: ClientBase,
  after: Cursor,
  limit: number,
): Promise<ChangedStudents> {
  const { rows } = await client.query<ChangedRow>(
    changes('(student.changed, student.id) > ($2, $3::uuid)', 'student.changed, student.id'),
    [limit + 1, after.number, after.id],
  );
  const { newest, page } = ofRows(rows, limit);
  const through = page.more ? cursorAt(page.items.at(-1)!) : newest;
  return { items: page.items.map(studentFromRow), more: page.more, through };
}

/**
 * A student, held until the transaction ends: what is decided by their consent is not overtaken by another answer.
 * @throws NoSuchStudent
 */
export async function heldStudent(client: ClientBase, id: string): Promise<Student> {
  await client.query('select 1 from student where academy_id = current_academy() and id = $1 for update', [
    id,
  ]);
  return findStudent(client, id);
}

/** @throws NoSuchStudent when this academy has none of that id. */
export async function findStudent(client: ClientBase, id: string): Promise<Student> {
  const { rows } = await client.query<StudentRow>(
    withBuilds('select * from student where academy_id = current_academy() and id = $1'),
    [id],
  );
  if (!rows[0]) throw new NoSuchStudent();
  return studentFromRow(rows[0]);
}

/** A new student as the table keeps it. */
export function studentRow(student: NewStudent, writer: Writer): Record<string, unknown> {
  return {
    academy_id: writer.academyId,
    id: student.id,
    name: student.name,
    hand: student.hand,
    birth_year: student.birthYear,
    born_on: student.bornOn,
    caution_facts: student.facts,
    cautions: student.cautions,
    version: 1,
    made_by: writer.instructorId,
    made_at: student.madeAt,
    received_at: writer.receivedAt,
    updated_at: student.madeAt,
  };
}

export async function addStudent(client: ClientBase, student: NewStudent, writer: Writer): Promise<Student> {
  await insertRows(client, 'student', [studentRow(student, writer)]);
  await indexWords(client, writer.academyId, [{ id: student.id, person: student }]);
  return findStudent(client, student.id);
}

type Findable = Pick<Person, 'name' | 'hand' | 'cautions'>;

/** Writes the words that students are found by. */
export async function indexWords(
  client: ClientBase,
  academyId: string,
  students: readonly { id: string; person: Findable }[],
): Promise<void> {
  const words = students.flatMap(({ id, person }) =>
    wordsOf(searchText(person)).map((word) => ({ id, word, name: person.name })),
  );
  await client.query(
    `insert into student_word (academy_id, student_id, word, name)
     select $1, id, word, lower(name) from unnest($2::uuid[], $3::text[], $4::text[]) as found (id, word, name)`,
    [academyId, words.map(({ id }) => id), words.map(({ word }) => word), words.map(({ name }) => name)],
  );
}

/** Indexes students from before there was a search by words. */
export async function indexMissingWords(owner: ClientBase): Promise<void> {
  const { rows } = await owner.query(
    `select academy_id, id, name, hand, cautions from student where not exists (
       select from student_word where student_word.academy_id = student.academy_id and student_word.student_id = student.id)`,
  );
  for (const { academy_id, id, ...person } of rows)
    await indexWords(owner, academy_id, [{ id, person: person as Findable }]);
}

/** @throws StaleEdit when the student is no longer at the version the edit was made from. */
export async function editStudent(client: ClientBase, edit: StudentEdit, writer: Writer): Promise<Student> {
  const { rowCount } = await client.query(
    `update student set name = $3, hand = $4, birth_year = $5, cautions = $6, version = version + 1, updated_at = $7,
       born_on = case when $8::jsonb is null then born_on else $9::date end,
       caution_facts = coalesce($8::jsonb, caution_facts), changed = this_change()
     where academy_id = current_academy() and id = $1 and version = $2`,
    [
      edit.studentId,
      edit.version,
      edit.name,
      edit.hand,
      edit.birthYear,
      edit.cautions,
      edit.madeAt,
      edit.facts && JSON.stringify(edit.facts),
      edit.bornOn,
    ],
  );
  const current = await findStudent(client, edit.studentId);
  if (rowCount === 0) throw new StaleEdit(current);
  await client.query('delete from student_word where academy_id = current_academy() and student_id = $1', [
    edit.studentId,
  ]);
  await indexWords(client, writer.academyId, [{ id: edit.studentId, person: edit }]);
  return current;
}
