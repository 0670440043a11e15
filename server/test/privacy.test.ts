import { inAcademy } from '../store/database';
import { runErasures } from '../store/erasures';
import { keepHouse } from '../store/housekeeping';
import {
  landCard,
  landPain,
  landRecord,
  landTrial,
  newAddress,
  newBuild,
  newConsent,
  newLesson,
  newStudent,
} from './bodies';
import { messages as keptMessages } from '../../app/features/privacy/KeptScreen.messages';
import { rowsOf, studentTables, WITHOUT_STUDENTS } from './catalogue';
import { asAdmin, openWorld, type World } from './world';

let world: World;
beforeAll(async () => (world = await openWorld()), 60_000);
afterAll(() => world.close());

/** A student with rows in every table that has any of a student. */
async function wholeStudent() {
  const record = await landRecord(world, world.lantern);
  const trial = await landTrial(world.lantern, record);
  const { token } = await landCard(world, world.lantern, record);
  await landPain(world, world.lantern, record.student.id, token);
  const consent = newConsent(record.student.id);
  expect((await world.lantern.ask('POST', '/api/consents', consent)).status).toBe(201);
  return { ...record, ...trial, consent };
}

const ask = (studentId: string, name: string) =>
  world.lantern.ask('POST', '/api/erasures', { studentId, name });

/** Makes an erasure look as if it had waited. */
const waited = (studentId: string, hours: number) =>
  asAdmin(
    world.adminUrl,
    `update erasure set asked_at = asked_at - make_interval(hours => $2) where student = $1`,
    [studentId, hours],
  );

async function erase(studentId: string, name: string): Promise<void> {
  expect((await ask(studentId, name)).status).toBe(201);
  await waited(studentId, 25);
  expect(await runErasures(world.pool)).toBe(1);
}

describe('consent', () => {
  test('of a minor is a guardian’s, by name; the newest word stands with the student', async () => {
    const student = newStudent({ birthYear: 2014, name: 'Small Testwick' });
    await world.lantern.ask('POST', '/api/students', student);
    const alone = newConsent(student.id, { by: 'student', guardian: '' });
    expect(await world.lantern.ask('POST', '/api/consents', alone)).toMatchObject({
      status: 422,
      body: { faults: [{ field: 'by', expected: 'a guardian, for a minor' }] },
    });
    const nameless = newConsent(student.id, { guardian: '' });
    expect((await world.lantern.ask('POST', '/api/consents', nameless)).body.faults[0].field).toBe(
      'guardian',
    );
    const given = newConsent(student.id, { photos: true });
    const withdrawn = newConsent(student.id, { given: false, madeAt: '2026-06-01T10:00:00.000Z' });
    for (const consent of [given, withdrawn])
      expect((await world.lantern.ask('POST', '/api/consents', consent)).status).toBe(201);
    const page = await world.lantern.ask('GET', `/api/students/${student.id}`);
    expect(page.body.student.consent).toEqual(withdrawn);
    const privacy = await world.lantern.ask('GET', `/api/students/${student.id}/privacy`);
    expect(privacy.body).toEqual({ consents: [withdrawn, given], erasure: null });
  });
});

/** By which words “What is kept where” tells of each table that has anything of a student. */
const TOLD_AS: Record<string, string> = {
  ...{ student: 'Name, hand', student_word: 'Name, hand', build: 'build and shoe', consent: 'Who said yes' },
  ...{
    leg_screen: 'Tests of the legs',
    screened_item: 'Tests of the legs',
    earlier_turn: 'Tests of the legs',
  },
  ...{ lesson: 'who taught', log_entry: 'who taught', entry_check: 'reading', exception_entry: 'change' },
  ...{ intake_entry: 'What they came for', address_entry: 'every address', measurement: 'every address' },
  ...{ sighting: 'every address', reading_entry: 'reading', finding: 'reading', choice_finding: 'reading' },
  ...{ change_entry: 'change', trial_entry: 'trial', trial_cell: 'trial', look_entry: 'trial' },
  ...{ shots_entry: 'shot', shot: 'shot', stand_in_shot: 'shot' },
  ...{ ladder_entry: 'ladders', test_entry: 'other field tests' },
  ...{ pressure_entry: 'swings on a pressure mat', mat_session: 'swings on a pressure mat' },
  ...{ card_entry: 'Cards to take home', card_link: 'the links to them', card_tick: 'what was ticked' },
  pain_answer: 'whether somebody asked',
  ...{ photo: 'Photos of the feet', landed_write: 'A fingerprint of each thing' },
};

describe('erasure', () => {
  test('is an owner’s, meant by name, and can be taken back while it waits a day', async () => {
    const { student } = await landRecord(world, world.lantern);
    await asAdmin(
      world.adminUrl,
      `update instructor set role = 'instructor' where email = 'bo@test.example'`,
    );
    const refused = await world.colleague.ask('POST', '/api/erasures', {
      studentId: student.id,
      name: student.name,
    });
    expect(refused.status).toBe(403);
    expect((await world.colleague.ask('GET', '/api/privacy')).status).toBe(403);
    await asAdmin(world.adminUrl, `update instructor set role = 'owner' where email = 'bo@test.example'`);
    expect((await ask(student.id, 'Somebody Else')).body.faults[0].field).toBe('name');
    expect((await ask(student.id, student.name)).status).toBe(201);
    expect((await ask(student.id, student.name)).status).toBe(409);
    await waited(student.id, 23);
    expect(await runErasures(world.pool)).toBe(0);
    const waiting = await world.colleague.ask('GET', '/api/privacy');
    expect(waiting.body.erasures).toMatchObject([
      { studentId: student.id, name: student.name, askedBy: 'Ada' },
    ]);
    const back = await world.colleague.ask('DELETE', '/api/erasures', { studentId: student.id });
    expect(back.status).toBe(204);
    await waited(student.id, 48);
    expect(await runErasures(world.pool)).toBe(0);
    expect((await world.lantern.ask('GET', `/api/students/${student.id}`)).status).toBe(200);
    expect((await world.colleague.ask('DELETE', '/api/erasures', { studentId: student.id })).status).toBe(
      422,
    );
  });

  test('removes the student from every table that the catalogue says is a student’s, and nobody else', async () => {
    const [gone, stays] = [await wholeStudent(), await wholeStudent()];
    const before = await rowsOf(world.adminUrl, gone.student.id);
    // What has no row cannot show that it is removed.
    expect(Object.entries(before).filter(([, count]) => count === 0)).toEqual([]);
    const others = await rowsOf(world.adminUrl, stays.student.id);
    await erase(gone.student.id, gone.student.name);
    const after = await rowsOf(world.adminUrl, gone.student.id);
    expect(Object.entries(after).filter(([, count]) => count > 0)).toEqual([]);
    expect(await rowsOf(world.adminUrl, stays.student.id)).toEqual(others);
  });

  test('every table is a student’s or is named as one that holds nothing of them', async () => {
    const all = await asAdmin<{ name: string }>(
      world.adminUrl,
      `select relname as name from pg_class where relkind = 'r' and relnamespace = 'public'::regnamespace`,
    );
    const students = (await studentTables(world.adminUrl)).map(({ name }) => name);
    const named = [...students, ...Object.keys(WITHOUT_STUDENTS)].sort();
    expect(named).toEqual(all.map(({ name }) => name).sort());
  });

  test('the planner is told anew of every table of a student once many records came in', async () => {
    const stale = async (): Promise<string[]> => {
      const rows = await asAdmin<{ name: string }>(
        world.adminUrl,
        'select relname as name from pg_stat_user_tables where last_analyze is null',
      );
      return rows.map(({ name }) => name);
    };
    const students = (await studentTables(world.adminUrl)).map(({ name }) => name);
    expect(students.some((name) => name.startsWith('pressure'))).toBe(true);
    await inAcademy(world.pool, world.lantern.identity.academyId, (client) =>
      client.query('select records_analyze()'),
    );
    // What was analysed is counted a moment after it is committed.
    for (let tries = 0; tries < 50 && (await stale()).some((name) => students.includes(name)); tries += 1)
      await new Promise((resolve) => setTimeout(resolve, 100));
    const forgotten = await stale();
    expect(students.filter((name) => forgotten.includes(name))).toEqual([]);
  });

  test('every table of a student is told of in “What is kept where”', async () => {
    const told = keptMessages.parts.flatMap(({ lines }) => lines).join(' ');
    for (const { name } of await studentTables(world.adminUrl)) {
      expect([name, TOLD_AS[name]]).toEqual([name, expect.any(String)]);
      expect(told).toContain(TOLD_AS[name]);
    }
  });

  test('leaves nothing of the name anywhere in the database', async () => {
    const record = await landRecord(world, world.lantern);
    const name = 'Quillemina Onceonly';
    const edit = { ...newStudent({ name }), studentId: record.student.id, version: 1 };
    expect((await world.lantern.ask('PUT', '/api/students', edit)).status).toBe(201);
    await erase(record.student.id, name);
    const tables = await asAdmin<{ name: string }>(
      world.adminUrl,
      `select relname as name from pg_class where relkind = 'r' and relnamespace = 'public'::regnamespace`,
    );
    for (const table of tables) {
      const [found] = await asAdmin<{ count: number }>(
        world.adminUrl,
        `select count(*)::integer as count from ${table.name} as row where row::text ilike '%onceonly%'`,
      );
      expect([table.name, found!.count]).toEqual([table.name, 0]);
    }
  });

  test('is told to devices once, and what comes late is answered "gone" and changes nothing', async () => {
    const { student, lesson, build } = await landRecord(world, world.lantern);
    const { through } = (await world.lantern.ask('GET', '/api/changes')).body;
    await erase(student.id, student.name);
    const told = await world.lantern.ask('GET', `/api/changes?after=${through}`);
    expect(told.body.erased).toEqual([student.id]);
    const later = await world.lantern.ask('GET', `/api/changes?after=${told.body.through}`);
    expect(later.body.erased).toEqual([]);
    const late: [string, object][] = [
      ['/api/students', student],
      ['/api/builds', build],
      ['/api/builds', newBuild(student.id)],
      ['/api/lessons', newLesson(student.id)],
      ['/api/entries', newAddress(lesson.id)],
      ['/api/consents', newConsent(student.id)],
    ];
    for (const [path, body] of late) {
      const answer = await world.lantern.ask('POST', path, body);
      expect([path, answer.status, answer.body.type]).toEqual([path, 410, 'about:pedastance/erased']);
    }
    const edit = { ...newStudent(), studentId: student.id, version: 1 };
    expect((await world.lantern.ask('PUT', '/api/students', edit)).status).toBe(410);
    expect((await rowsOf(world.adminUrl, student.id)).student).toBe(0);
  });

  test('is not for the application to do by itself: no function of its erases what has not waited', async () => {
    const { student } = await landRecord(world, world.lantern);
    const academy = world.lantern.identity.academyId;
    const client = await world.pool.connect();
    try {
      await client.query(`select set_config('pedastance.academy', $1, false)`, [academy]);
      await expect(client.query('select erase_student($1, now())', [student.id])).rejects.toThrow(
        'permission denied',
      );
      await expect(client.query('delete from student where id = $1', [student.id])).rejects.toThrow(
        'permission denied',
      );
      await expect(client.query(`update erasure set asked_at = now() - interval '2 days'`)).rejects.toThrow(
        'permission denied',
      );
      await expect(client.query('delete from audit_entry')).rejects.toThrow('permission denied');
    } finally {
      client.release(true);
    }
  });

  test('is in the owners’ list, with who asked, and no name of the student', async () => {
    const { student } = await landRecord(world, world.lantern);
    await world.lantern.ask('GET', `/api/exports/students/${student.id}`);
    await erase(student.id, student.name);
    const { audit } = (await world.lantern.ask('GET', '/api/privacy')).body;
    expect(audit.slice(0, 3)).toMatchObject([
      { act: 'student erased', by: 'Ada', student: null },
      { act: 'erasure asked', by: 'Ada', student: null },
      { act: 'student exported', by: 'Ada', student: null },
    ]);
  });

  test('comes with the housekeeping of every hour', async () => {
    const { student } = await landRecord(world, world.lantern);
    await ask(student.id, student.name);
    await waited(student.id, 25);
    await keepHouse(world.pool, new Date());
    expect((await rowsOf(world.adminUrl, student.id)).student).toBe(0);
  });
});
