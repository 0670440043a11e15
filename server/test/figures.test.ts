import {
  CHANGES,
  FIGURE_QUESTION_NAMES,
  FIGURE_QUESTIONS,
  FIGURES,
  ITEMS,
  MEASUREMENT_WAYS,
  PLACED_FIGURES,
  POSTURE_FIGURES,
  QUESTIONS,
  questionOf,
  upgradedSetup,
  type Setup,
} from '@pedastance/core';
import { Client } from 'pg';
import { v7 as uuidv7 } from 'uuid';
import { applicationUrl } from '../config/settings';
import { inAcademy, openDatabase } from '../store/database';
import { listEntries } from '../store/lessons';
import { migrate } from '../store/migrate';
import { APPLICATION_PASSWORD, asAdmin, createDatabase } from './world';

let database: Awaited<ReturnType<typeof createDatabase>>;
let client: Client;
beforeAll(async () => {
  database = await createDatabase('migrated');
  await migrate(database.adminUrl, APPLICATION_PASSWORD);
  client = new Client({ connectionString: database.adminUrl });
  await client.connect();
}, 60_000);
afterAll(async () => {
  await client.end();
  await database.drop();
});

const ask = async <Row>(sql: string, values: unknown[] = []): Promise<Row> =>
  (await client.query(sql, values)).rows[0] as Row;

/** What a named check says of a row that is given as columns with their types and values. */
async function checkSays(
  name: string,
  row: Record<string, [type: string, value: unknown]>,
): Promise<boolean> {
  const { expression } = await ask<{ expression: string }>(
    'select pg_get_expr(conbin, conrelid) as expression from pg_constraint where conname = $1',
    [name],
  );
  const columns = Object.entries(row).map(([column, [type]], at) => `$${at + 1}::${type} as ${column}`);
  const { holds } = await ask<{ holds: boolean }>(
    `select (${expression}) as holds from (select ${columns.join(', ')}) as given`,
    Object.values(row).map(([, value]) => value),
  );
  return holds;
}

const fits = (type: string, value: unknown): Promise<boolean> =>
  ask('select $1::text::' + type, [String(value)]).then(
    () => true,
    () => false,
  );

const JUST = 0.001;

describe('PostgreSQL checks what the table of figures says', () => {
  test.each(POSTURE_FIGURES)('%s: its range', async (figure) => {
    const { least, most } = FIGURES[figure].range;
    const says = (value: number) =>
      checkSays('sighting_range', { item: ['text', figure], value: ['float8', value] });
    expect([await says(least), await says(most)]).toEqual([true, true]);
    expect([await says(least - JUST), await says(most + JUST)]).toEqual([false, false]);
  });

  test('flares and loads: their domains', async () => {
    for (const [domain, figure] of [
      ['foot_flare', 'leadFlare'],
      ['percent_share', 'leadShare'],
    ] as const) {
      const { least, most } = FIGURES[figure].range;
      expect([await fits(domain, least), await fits(domain, most)]).toEqual([true, true]);
      expect([await fits(domain, least - JUST), await fits(domain, most + JUST)]).toEqual([false, false]);
    }
    const lift = (value: number) =>
      checkSays('change_entry_lead_heel_lift', { lead_heel_lift: ['float8', value] });
    expect([await lift(0), await lift(FIGURES.leadHeelLift.range.most)]).toEqual([true, true]);
    expect(await lift(FIGURES.leadHeelLift.range.most + JUST)).toBe(false);
  });

  test.each(FIGURE_QUESTION_NAMES)('%s: what a method may ask for', async (question) => {
    const { least, most } = FIGURE_QUESTIONS[question].range;
    const says = async (value: number) =>
      (
        await ask<{ holds: boolean }>('select house_figure_in_range($1, to_jsonb($2::float8)) as holds', [
          question,
          value,
        ])
      ).holds;
    expect([await says(least), await says(most)]).toEqual([true, true]);
    expect([await says(least - JUST), await says(most + JUST)]).toEqual([false, false]);
  });

  test('the same items in the same places, with the same questions and units', async () => {
    for (const [position, item] of ITEMS.entries()) {
      const row = { item: ['text', item], position: ['int', position] } as Record<string, [string, unknown]>;
      expect([item, await checkSays('finding_item', row)]).toEqual([item, true]);
      expect(await checkSays('finding_question', { ...row, question: ['text', questionOf(item)] })).toBe(
        true,
      );
      expect(await checkSays('finding_unit', { ...row, unit: ['text', FIGURES[item].unit] })).toBe(true);
    }
    expect(await checkSays('finding_position', { position: ['int', ITEMS.length] })).toBe(false);
  });

  test('the same questions, changes, measured figures and ways', async () => {
    const { questions } = await ask<{ questions: string[] }>('select house_questions() as questions');
    expect(questions.sort()).toEqual([...QUESTIONS].sort());
    const changes = (names: readonly string[]) =>
      checkSays('trial_entry_apart_known', { apart: ['text[]', names] });
    expect([await changes(CHANGES), await changes(['stanceLine'])]).toEqual([true, false]);
    for (const figure of PLACED_FIGURES) {
      expect(await checkSays('measurement_figure', { figure: ['text', figure] })).toBe(true);
    }
    for (const way of MEASUREMENT_WAYS) expect(await fits('measurement_way', way)).toBe(true);
    expect(await fits('measurement_way', 'guess')).toBe(false);
  });
});

/** An address, a posture and a trial in the shape from before the migration. */
async function fillBefore(adminUrl: string): Promise<{ academyId: string; studentId: string }> {
  const [academyId, studentId, lessonId, addressId, otherId, trialId, instructorId] = Array.from(
    { length: 7 },
    () => uuidv7(),
  ) as [string, string, string, string, string, string, string];
  const run = (sql: string, values: unknown[]) => asAdmin(adminUrl, sql, values);
  await run("insert into academy (id, name, created_at) values ($1, 'Before', now())", [academyId]);
  await run(
    `insert into instructor (academy_id, id, name, email, password_hash, created_at, demo)
     values ($1, $2, 'Of Before', 'of@before.example', '$argon2id$v=19$m=1,t=1,p=1$YQ$YQ', now(), false)`,
    [academyId, instructorId],
  );
  await run(
    `insert into student (academy_id, id, version, name, hand, birth_year, cautions, made_at, updated_at, received_at, made_by)
     values ($1, $2, 1, 'Of Before', 'left', 1970, '', now(), now(), now(), $3)`,
    [academyId, studentId, instructorId],
  );
  await run(
    `insert into lesson (academy_id, id, student_id, instructor_id, started_at, received_at)
     values ($1, $2, $3, $4, now(), now())`,
    [academyId, lessonId, studentId, instructorId],
  );
  for (const [id, kind] of [
    [addressId, 'address'],
    [otherId, 'address'],
    [trialId, 'trial'],
  ]) {
    await run(
      `insert into log_entry (academy_id, id, student_id, lesson_id, instructor_id, kind, made_at, received_at)
       values ($1, $2, $3, $4, $5, $6, now(), now())`,
      [academyId, id, studentId, lessonId, instructorId, kind],
    );
  }
  for (const id of [addressId, otherId]) {
    await run(
      `insert into address_entry (academy_id, student_id, id, standing, club, club_length_inches, shot, shoe_length,
         shoe_breadth, lead_heel_x, lead_heel_y, lead_flare, trail_heel_x, trail_heel_y, trail_flare, lead_share,
         lead_heel_toe, trail_heel_toe)
       values ($1, $2, $3, 'today', '7-iron', 37, 'full', 290, 105, 50, -900, 15, -400, -900, 5, 50, 50, 50)`,
      [academyId, studentId, id],
    );
  }
  await run(
    `insert into sighting (academy_id, student_id, address_id, item, value, seen_by)
     values ($1, $2, $3, 'hipBump', 25, 'eye'), ($1, $2, $3, 'clubFace', 2, 'measured')`,
    [academyId, studentId, addressId],
  );
  await run(
    `insert into trial_entry (academy_id, student_id, id, address_a_id, address_b_id, cue_a, cue_b, primary_outcome,
       margin, scatter, mishits, warm_ups, block_size, seed, source, apart)
     values ($1, $2, $3, $4, $5, '', '', 'carry', 5, 7, 'left out', 4, 2, 1, 'by hand', '{stanceWidth,ballOut}')`,
    [academyId, studentId, trialId, addressId, otherId],
  );
  return { academyId, studentId };
}

test('addresses from before are measured as they were meant, and nothing of them is lost', async () => {
  const { adminUrl, drop } = await createDatabase();
  await migrate(adminUrl, APPLICATION_PASSWORD, '0007_trials.sql');
  const { academyId, studentId } = await fillBefore(adminUrl);
  await migrate(adminUrl, APPLICATION_PASSWORD);
  const pool = await openDatabase(applicationUrl(adminUrl, APPLICATION_PASSWORD));
  const { entries } = await inAcademy(pool, academyId, (client) =>
    listEntries(client, studentId, 'newest', 100),
  );
  await pool.end();
  await drop();
  const setups = entries.flatMap((entry) => (entry.kind === 'address' ? [entry.setup] : []));
  const before = {
    address: {
      shoe: { length: 290, breadth: 105 },
      lead: { heel: { x: 50, y: -900 }, flare: 15 },
      trail: { heel: { x: -400, y: -900 }, flare: 5 },
    },
    balance: { leadShare: 50, leadHeelToe: 50, trailHeelToe: 50 },
    posture: {
      figures: { hipBump: { value: 25, by: 'eye' }, clubFace: { value: 2, by: 'measured' } },
      choices: {},
    },
  };
  // A device brings what it holds to the same shape by itself.
  expect(setups).toContainEqual(upgradedSetup(before as unknown as Setup));
  const trials = entries.flatMap((entry) => (entry.kind === 'trial' ? [entry.apart?.changes] : []));
  expect(trials).toEqual([['stanceWidth', 'leadToeOut']]);
}, 60_000);
