import type { NewStudent, Person, Student, StudentEdit } from '@pedastance/contract';
import type { ClientBase } from 'pg';
import { buildFromRow, type BuildRow } from './builds';
import { insertRow, type Writer } from './rows';

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
  cautions: string;
  version: number;
  made_at: Date;
  updated_at: Date;
  last_entry_at: Date | null;
  build: BuildRow | null;
}

const studentFromRow = (row: StudentRow): Student => ({
  id: row.id,
  name: row.name,
  hand: row.hand,
  birthYear: row.birth_year,
  cautions: row.cautions,
  version: row.version,
  madeAt: row.made_at.toISOString(),
  updatedAt: row.updated_at.toISOString(),
  lastEntryAt: row.last_entry_at?.toISOString() ?? null,
  build: row.build && buildFromRow(row.build),
});

const SELECT_STUDENTS = `
  select student.*, newest.build,
    (select max(made_at) from log_entry where log_entry.academy_id = student.academy_id and log_entry.student_id = student.id) as last_entry_at
  from student
  left join lateral (
    select to_jsonb(build) as build from build
    where build.academy_id = student.academy_id and build.student_id = student.id
    order by build.made_at desc, build.id desc limit 1
  ) as newest on true`;

/** All students of the academy, by name, each with the newest build. */
export async function listStudents(client: ClientBase): Promise<Student[]> {
  const { rows } = await client.query<StudentRow>(
    `${SELECT_STUDENTS} order by lower(student.name), student.id`,
  );
  return rows.map(studentFromRow);
}

/** @throws NoSuchStudent when this academy has none of that id. */
export async function findStudent(client: ClientBase, id: string): Promise<Student> {
  const { rows } = await client.query<StudentRow>(`${SELECT_STUDENTS} where student.id = $1`, [id]);
  if (!rows[0]) throw new NoSuchStudent();
  return studentFromRow(rows[0]);
}

export async function addStudent(client: ClientBase, student: NewStudent, writer: Writer): Promise<Student> {
  await insertRow(client, 'student', {
    academy_id: writer.academyId,
    id: student.id,
    name: student.name,
    hand: student.hand,
    birth_year: student.birthYear,
    cautions: student.cautions,
    version: 1,
    made_by: writer.instructorId,
    made_at: student.madeAt,
    received_at: writer.receivedAt,
    updated_at: student.madeAt,
  });
  return findStudent(client, student.id);
}

/** @throws StaleEdit when the student is no longer at the version the edit was made from. */
export async function editStudent(client: ClientBase, edit: StudentEdit): Promise<Student> {
  const { rowCount } = await client.query(
    `update student set name = $3, hand = $4, birth_year = $5, cautions = $6, version = version + 1, updated_at = $7
     where id = $1 and version = $2`,
    [edit.studentId, edit.version, edit.name, edit.hand, edit.birthYear, edit.cautions, edit.madeAt],
  );
  const current = await findStudent(client, edit.studentId);
  if (rowCount === 0) throw new StaleEdit(current);
  return current;
}
