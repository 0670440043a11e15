import type { Erasure } from '@pedastance/contract';
import type { ClientBase, Pool } from 'pg';

export type ErasureAsked = 'asked' | 'not an owner' | 'nobody' | 'waits already';

/** Asks for a student's erasure, as an owner; it waits a day. */
export async function askErasure(
  client: ClientBase,
  actor: string,
  studentId: string,
  id: string,
): Promise<ErasureAsked> {
  const { rows } = await client.query('select erasure_ask($1, $2, $3) as asked', [actor, studentId, id]);
  return rows[0].asked;
}

/** Takes an erasure back while it waits, as an owner. */
export async function takeErasureBack(
  client: ClientBase,
  actor: string,
  studentId: string,
): Promise<'taken back' | 'not an owner' | 'nobody'> {
  const { rows } = await client.query('select erasure_take_back($1, $2) as done', [actor, studentId]);
  return rows[0].done;
}

/** The erasures that wait: of one student, or all of the academy's. */
export async function openErasures(client: ClientBase, studentId: string | null = null): Promise<Erasure[]> {
  const { rows } = await client.query(
    `select erasure.student as "studentId", student.name, instructor.name as "askedBy", erasure.asked_at as "askedAt"
     from erasure
     join student on student.academy_id = erasure.academy_id and student.id = erasure.student
     join instructor on instructor.academy_id = erasure.academy_id and instructor.id = erasure.asked_by
     where erasure.academy_id = current_academy() and erasure.taken_back_at is null and erasure.erased_at is null
       and ($1::uuid is null or erasure.student = $1)
     order by erasure.asked_at`,
    [studentId],
  );
  return rows;
}

/** So many students are erased in one transaction. */
const ERASED_AT_ONCE = 5;

/** Carries out the erasures that have waited their day, academies taking turns; answers how many. */
export async function runErasures(pool: Pool): Promise<number> {
  const { rows } = await pool.query<{ academy: string }>('select erasures_due() as academy');
  let waiting = rows.map(({ academy }) => academy);
  let all = 0;
  while (waiting.length > 0) {
    const again: string[] = [];
    for (const academy of waiting) {
      const run = await pool.query<{ done: number }>('select erasures_run($1, $2) as done', [
        academy,
        ERASED_AT_ONCE,
      ]);
      all += run.rows[0]!.done;
      if (run.rows[0]!.done === ERASED_AT_ONCE) again.push(academy);
    }
    waiting = again;
  }
  return all;
}

/** The students of this academy that were erased after a number of its changes. */
export async function erasedSince(client: ClientBase, after: number): Promise<string[]> {
  const { rows } = await client.query(
    'select student from erased_student where academy_id = current_academy() and changed > $1 order by changed',
    [after],
  );
  return rows.map(({ student }) => student);
}

/** An erasure as it is kept apart from the database, so that a restored backup can replay it. */
export interface ErasedStudent {
  academy: string;
  student: string;
  erasedAt: string;
}

/** Every erasure there was, in every academy. */
export async function erasedStudents(pool: Pick<Pool, 'query'>): Promise<ErasedStudent[]> {
  const { rows } = await pool.query('select academy, student, erased_at from erased_students()');
  return rows.map(({ academy, student, erased_at }) => ({
    academy,
    student,
    erasedAt: erased_at.toISOString(),
  }));
}

/** Erases a student again in a restored database, as the owner of its tables; false where the backup had no such student. */
export async function eraseAgain(
  owner: ClientBase,
  { academy, student, erasedAt }: ErasedStudent,
): Promise<boolean> {
  await owner.query(
    `select set_config('pedastance.academy', $1, true), set_config('pedastance.change', '', true)`,
    [academy],
  );
  const { rows } = await owner.query('select erase_again($1, $2, $3) as again', [academy, student, erasedAt]);
  return rows[0].again;
}
