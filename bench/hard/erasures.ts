/** Erasures that are due, many in one academy at once, each of a student with a log. */
import { Client, Pool } from 'pg';
import { runErasures } from '../../server/store/erasures';
import { ADMIN_URL } from './coach';

export const ERASURES_DUE = 1200;
const ENTRIES_EACH = 10;

/** Copies the academy's student until there are so many, each with a lesson and entries, and with an erasure that has waited. */
const FILL = `
  set session_replication_role = replica;
  create temporary table due as
    select one.academy_id, one.made_by, at, ('01900000-0000-7000-9000-' || lpad(to_hex(at), 12, '0'))::uuid as id
    from (select * from student where id = $student) as one, generate_series(1, ${ERASURES_DUE}) as at;
  insert into student select (jsonb_populate_record(null::student, to_jsonb(one) || jsonb_build_object('id', due.id))).*
    from due, (select * from student where id = $student) as one;
  insert into lesson (academy_id, id, student_id, instructor_id, started_at, received_at)
    select academy_id, id, id, made_by, now(), now() from due;
  create temporary table landing as
    select due.*, gen_random_uuid() as entry from due, generate_series(1, ${ENTRIES_EACH});
  insert into log_entry (academy_id, student_id, id, lesson_id, instructor_id, kind, made_at, received_at, changed)
    select academy_id, id, entry, id, made_by, 'intake', now(), now(), 1 from landing;
  insert into intake_entry (academy_id, student_id, id, came_for, sore, words, sport)
    select academy_id, id, entry, array['thin'], '', '', '' from landing;
  insert into erasure (academy_id, id, student, asked_by, asked_at)
    select academy_id, gen_random_uuid(), id, made_by, now() - interval '2 days' from due;
  set session_replication_role = origin;
  analyze;`;

/** Makes them due. */
export async function makeErasuresDue(studentId: string): Promise<void> {
  const database = new Client({ connectionString: ADMIN_URL });
  await database.connect();
  await database.query(FILL.replaceAll('$student', database.escapeLiteral(studentId)));
  await database.end();
}

/** Carries them out as housekeeping does, by the application's role; answers how many there were. */
export async function eraseMany(): Promise<number> {
  const pool = new Pool({ connectionString: ADMIN_URL, max: 1, options: '-c role=pedastance_app' });
  try {
    return await runErasures(pool);
  } finally {
    await pool.end();
  }
}
