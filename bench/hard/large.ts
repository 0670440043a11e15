/** An academy of 20,000 students and 300,000 entries beside a small one: what the same requests take. */
import { Client } from 'pg';
import { ADMIN_URL, LANTERN, ranked, report, signedIn } from './coach';

const STUDENTS = 20_000;
const ENTRIES = 300_000;
const LONG_LOG = 3_000;
const LARGE = 'coach@large.example';

/** Fills it in SQL: the rows are the ones the product writes, made faster. */
const FILL = `
  set session_replication_role = replica;
  insert into academy (id, name, created_at) values ('01900000-0000-7000-8000-00000000000a', 'Large', now());
  insert into instructor (academy_id, id, email, name, password_hash, demo, role, created_at)
    select '01900000-0000-7000-8000-00000000000a', '01900000-0000-7000-8000-00000000000b', '${LARGE}', 'Lar Ge',
      password_hash, demo, role, now() from instructor where email = '${LANTERN}';
  create temporary table person as
    select at, md5('student' || at)::uuid as raw,
      (array['Tam','Wyn','Odile','Pip','Gunnar','Ferris','Ruben','Marl','Ister','Quill'])[1 + at % 10] as first,
      initcap(translate(substr(md5('name' || at % 4999), 1, 8), '0123456789', 'aeioulnrst')) as last
    from generate_series(1, ${STUDENTS}) as at;
  alter table person add column id uuid;
  update person set id = (substr(raw::text, 1, 14) || '7' || substr(raw::text, 16, 3) || '-8' || substr(raw::text, 21))::uuid;
  insert into student (academy_id, id, name, hand, birth_year, cautions, version, made_by, made_at, received_at,
    updated_at, changed, last_entry_at)
    select '01900000-0000-7000-8000-00000000000a', id, first || ' ' || last, case when at % 9 = 0 then 'left' else 'right' end, 1950 + at % 60, '', 1,
      '01900000-0000-7000-8000-00000000000b', now(), now(), now(), at, now() from person;
  insert into student_word (academy_id, student_id, word, name)
    select distinct '01900000-0000-7000-8000-00000000000a'::uuid, id, word, lower(first || ' ' || last) from person,
      unnest(array[lower(first), lower(last), case when at % 9 = 0 then 'left' else 'right' end, 'handed']) as word;
  insert into build
    select (jsonb_populate_record(null::build, to_jsonb(one) || jsonb_build_object(
      'academy_id', '01900000-0000-7000-8000-00000000000a', 'student_id', person.id, 'id', person.id, 'changed', person.at))).*
    from person, (select * from build limit 1) as one;
  insert into lesson
    select (jsonb_populate_record(null::lesson, to_jsonb(one) || jsonb_build_object(
      'academy_id', '01900000-0000-7000-8000-00000000000a', 'student_id', person.id, 'id', person.id))).*
    from person, (select * from lesson limit 1) as one;
  create temporary table landing as
    select at, case when at <= ${LONG_LOG} then 1 else 2 + at % (${STUDENTS} - 1) end as student_at,
      gen_random_uuid() as id from generate_series(1, ${ENTRIES}) as at;
  insert into log_entry (academy_id, student_id, id, lesson_id, instructor_id, kind, made_at, received_at, changed)
    select '01900000-0000-7000-8000-00000000000a', person.id, landing.id, person.id, '01900000-0000-7000-8000-00000000000b', 'shots',
      now() - landing.at * interval '1 second', now(), landing.at
    from landing join person on person.at = landing.student_at;
  insert into shots_entry (academy_id, student_id, id, address_id, source, sitting, warm_up)
    select '01900000-0000-7000-8000-00000000000a', person.id, landing.id, landing.id, 'file', 0, false
    from landing join person on person.at = landing.student_at;
  insert into shot (academy_id, student_id, entry_id, position, path, carry, mishit)
    select '01900000-0000-7000-8000-00000000000a', person.id, landing.id, 0, -2, 140, false
    from landing join person on person.at = landing.student_at;
  insert into academy_counter (academy_id, number) values ('01900000-0000-7000-8000-00000000000a', ${ENTRIES});
  set session_replication_role = origin;
  vacuum analyze;`;

const LONG_STUDENT = `select id from student where academy_id = '01900000-0000-7000-8000-00000000000a' and changed = 1`;
const TIMES = 60;

async function main(): Promise<void> {
  const database = new Client({ connectionString: ADMIN_URL });
  await database.connect();
  for (const statement of FILL.split(';')
    .map((each) => each.trim())
    .filter(Boolean))
    await database.query(statement);
  const long = (await database.query(LONG_STUDENT)).rows[0].id as string;
  await database.end();
  const large = (await signedIn(LARGE)).coach;
  const small = (await signedIn()).coach;
  const ofSmall = (await small.ask('GET', '/api/students')).body.students[0].id as string;
  const changesOf = async (coach: typeof large) =>
    (await coach.ask('GET', '/api/changes')).body.through as string;
  const paths: Record<string, [string, string]> = {
    'first page': ['/api/students', '/api/students'],
    'search of a word': ['/api/students?search=aeio', '/api/students?search=odi'],
    'search of one letter': ['/api/students?search=t', '/api/students?search=t'],
    'search of a word that nearly all have': ['/api/students?search=right', '/api/students?search=right'],
    'search of two words': ['/api/students?search=tam%20s', '/api/students?search=odi%20b'],
    'a student with 3,000 entries': [`/api/students/${long}`, `/api/students/${ofSmall}`],
    'changes since': [
      `/api/changes?after=${await changesOf(large)}`,
      `/api/changes?after=${await changesOf(small)}`,
    ],
  };
  const timed = async (coach: typeof large, path: string) => {
    const startedAt = performance.now();
    const answer = await coach.ask('GET', path);
    if (answer.status !== 200) throw new Error(`${path}: ${answer.status}`);
    return performance.now() - startedAt;
  };
  const figures: Record<string, { large: number; small: number }> = {};
  for (const [what, [largePath, smallPath]] of Object.entries(paths)) {
    const [ofLarge, ofSmallOne]: [number[], number[]] = [[], []];
    for (let time = 0; time < TIMES; time += 1) {
      ofLarge.push(await timed(large, largePath));
      ofSmallOne.push(await timed(small, smallPath));
    }
    figures[what] = { large: ranked(ofLarge.slice(10)).median, small: ranked(ofSmallOne.slice(10)).median };
  }
  report({ figures });
}

void main();
