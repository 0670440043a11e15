import { Client } from 'pg';
import { QUESTIONS } from '@pedastance/core';
import { SHOULDERS_AND_NEUTRAL } from '@pedastance/core/method/presets';
import { v7 as uuidv7 } from 'uuid';
import { changedMethods } from '../store/methods';
import { applicationUrl } from '../config/settings';
import { loadDemoWhenEmpty } from '../demo/load';
import { inAcademy, openDatabase } from '../store/database';
import { migrate } from '../store/migrate';
import { landCard, landPain, landRecord, landTrial, newOwnLadder } from './bodies';
import { APPLICATION_PASSWORD, asAdmin, createDatabase, openWorld, type World } from './world';

let world: World;
let landed: Awaited<ReturnType<typeof landRecord>>;
beforeAll(async () => {
  world = await openWorld();
  landed = await landRecord(world, world.lantern);
  await landTrial(world.lantern, landed);
  const { token } = await landCard(world, world.lantern, landed);
  await landPain(world, world.lantern, landed.student.id, token);
  await world.lantern.ask('POST', '/api/ladders', newOwnLadder());
  expect((await world.lantern.ask('POST', '/api/invites', { role: 'instructor' })).status).toBe(201);
}, 60_000);
afterAll(() => world.close());

describe('row-level security, by the catalogue', () => {
  test('is enabled and forced on every table', async () => {
    const rows = await asAdmin<{ name: string; on: boolean; forced: boolean }>(
      world.adminUrl,
      `select relname as name, relrowsecurity as on, relforcerowsecurity as forced
       from pg_class join pg_namespace on pg_namespace.oid = relnamespace
       where nspname = 'public' and relkind in ('r', 'p')`,
    );
    expect(rows.length).toBeGreaterThanOrEqual(14);
    expect(rows.filter((row) => !row.on || !row.forced)).toEqual([]);
  });

  test('every table of an academy leads its key, and every reference to another, with academy_id', async () => {
    const rows = await asAdmin<{ name: string; constraint: string; first: string }>(
      world.adminUrl,
      `select relname as name, conname as constraint,
         (select attname from pg_attribute where attrelid = conrelid and attnum = conkey[1]) as first
       from pg_constraint join pg_class on pg_class.oid = conrelid
       where contype in ('p', 'f') and connamespace = 'public'::regnamespace
         and exists (select 1 from pg_attribute where attrelid = conrelid and attname = 'academy_id')`,
    );
    expect(rows.length).toBeGreaterThan(20);
    expect(rows.filter((row) => row.first !== 'academy_id')).toEqual([]);
  });

  test('nobody who owns or works can bypass it, and the application owns nothing', async () => {
    const roles = await asAdmin<{ rolname: string }>(
      world.adminUrl,
      "select rolname, rolcanlogin from pg_roles where rolname like 'pedastance%' and (rolsuper or rolbypassrls or rolcreaterole)",
    );
    // Backups are read past it, by a role as whom nobody signs in.
    expect(roles).toEqual([{ rolname: 'pedastance_backup', rolcanlogin: false }]);
    const owned = await asAdmin(
      world.adminUrl,
      "select relname from pg_class where relowner = 'pedastance_app'::regrole or relowner = (select oid from pg_roles where rolname = 'postgres') and relnamespace = 'public'::regnamespace",
    );
    expect(owned).toEqual([]);
  });

  test('the application may not update or delete the log, and may edit students alone', async () => {
    const rows = await asAdmin<{ name: string; privilege: string }>(
      world.adminUrl,
      `select table_name as name, privilege_type as privilege from information_schema.role_table_grants
       where grantee = 'pedastance_app' and privilege_type not in ('SELECT', 'INSERT')`,
    );
    expect(rows.map((row) => `${row.privilege} ${row.name}`).sort()).toEqual([
      'DELETE photo',
      'DELETE sign_in_attempts',
      'DELETE student_word',
      'UPDATE sign_in_attempts',
      'UPDATE student',
    ]);
    await expect(
      inAcademy(world.pool, world.lantern.identity.academyId, (client) =>
        client.query("update change_entry set reason = 'x'"),
      ),
    ).rejects.toThrow(/permission denied/);
    await expect(
      inAcademy(world.pool, world.lantern.identity.academyId, (client) =>
        client.query('delete from log_entry'),
      ),
    ).rejects.toThrow(/permission denied/);
  });
});

describe('separation', () => {
  const TABLES = [
    'student',
    'build',
    'lesson',
    'log_entry',
    'address_entry',
    'reading_entry',
    'finding',
    'choice_finding',
    'leg_screen',
    'screened_item',
    'sighting',
    'measurement',
    'change_entry',
    'trial_entry',
    'trial_cell',
    'shots_entry',
    'shot',
    'look_entry',
    'intake_entry',
    'exception_entry',
    'ladder_entry',
    'test_entry',
    'pressure_entry',
    'mat_session',
    'pain_answer',
    'own_ladder',
    'earlier_turn',
    'stand_in_shot',
    'house_method',
    'landed_write',
    'entry_check',
    'academy_counter',
    'student_word',
    'instructor',
    'invite',
  ];

  test.each(TABLES)(
    '%s: with no academy nothing is seen; with the other, nothing of this one',
    async (table) => {
      // Of instructors and invitations some columns alone are readable.
      const readable = { instructor: 'academy_id, name', invite: 'academy_id, role' }[table] ?? '*';
      const all = `select ${readable} from ${table}`;
      const none = await world.pool.query(all);
      expect(none.rows).toEqual([]);
      const { academyId } = world.lantern.identity;
      const own = await inAcademy(world.pool, academyId, (client) => client.query(all));
      expect(own.rows.length).toBeGreaterThan(0);
      const other = await inAcademy(world.pool, world.harbour.identity.academyId, (client) =>
        client.query(all),
      );
      expect(other.rows.filter((row) => row.academy_id === academyId)).toEqual([]);
    },
  );

  test('the academy is set for its transaction alone', async () => {
    const pool = await openDatabase(applicationUrl(world.adminUrl, APPLICATION_PASSWORD));
    await inAcademy(pool, world.lantern.identity.academyId, (client) => client.query('select 1'));
    const { rows } = await pool.query("select current_setting('pedastance.academy', true) as academy");
    expect(rows[0].academy || null).toBeNull();
    await pool.end();
  });

  test('a row cannot be written into another academy', async () => {
    await expect(
      inAcademy(world.pool, world.harbour.identity.academyId, (client) =>
        client.query(
          `insert into student select $1, $2, name, hand, birth_year, cautions, version, $3, made_at, received_at, updated_at
           from (values ('X', 'left', 1980, '', 1, now(), now(), now())) as v (name, hand, birth_year, cautions, version, made_at, received_at, updated_at)`,
          [world.lantern.identity.academyId, uuidv7(), world.lantern.identity.instructorId],
        ),
      ),
    ).rejects.toThrow(/row-level security/);
  });

  test('the sessions and the passwords are out of the application’s reach but for the doorman’s functions', async () => {
    await expect(world.pool.query('select * from session')).rejects.toThrow(/permission denied/);
    await expect(world.pool.query('select * from schema_migration')).rejects.toThrow(/permission denied/);
    const { rows } = await world.pool.query('select * from sign_in_lookup($1)', ['nobody@test.example']);
    expect(rows).toEqual([]);
  });
});

describe('constraints guard what Zod guards', () => {
  const bad = (table: string, change: string, where = 'true') =>
    asAdmin(world.adminUrl, `update ${table} set ${change} where ${where}`);

  test.each([
    ['student', "name = ' '", 'student_name_length'],
    ['student', "hand = 'both'", 'student_hand'],
    ['student', 'birth_year = 1850', 'student_birth_year'],
    ['student', "born_on = '1981-02-03'", 'student_born_on'],
    ['student', `caution_facts = '[{"joint": "soul"}]'`, 'student_caution_facts'],
    ['student', `caution_facts = '{}'`, 'student_caution_facts'],
    ['reading_entry', 'read_hand = null', 'reading_entry_facts_named'],
    ['reading_entry', 'read_shoulder_goal = 30', 'reading_entry_shoulder_goal'],
    ['leg_screen', 'turned_on_toe_line = 60', 'leg_screen_toe_line'],
    ['earlier_turn', 'toe_line = 60', 'earlier_turn_toe_line'],
    ['earlier_turn', 'back = null, back_uncertainty = null', 'earlier_turn_whole'],
    ['earlier_turn', 'back = 120', 'earlier_turn_back'],
    ['build', 'height = 3000', 'build_height'],
    ['build', 'shoe_length = 600', 'build_shoe_length'],
    ['build', 'shoulder_breadth = 649, height = 900', 'build_shoulders_of_height'],
    ['build', "shoe_size_system = 'EU'", 'build_shoe_size_whole'],
    ['build', 'height_uncertainty = 0', 'figure_uncertainty_range'],
    ['build', "height_source = 'guessed'", 'figure_source_known'],
    ['address_entry', "club = 'putter'", 'address_entry_club'],
    ['address_entry', 'club_length_inches = 50', 'address_entry_club_length'],
    ['address_entry', 'lead_heel_x = trail_heel_x', 'address_entry_lead_is_ahead'],
    ['address_entry', 'lead_share = 101', 'percent_share_range'],
    ['address_entry', 'lead_flare = 120', 'foot_flare_range'],
    ['address_entry', "shot = 'pitch', club = 'driver'", 'address_entry_pitch'],
    [
      'finding',
      "put_forward = false, verdict = case verdict when 'in' then 'above' else 'in' end",
      'finding_verdict',
    ],
    ['finding', 'low = high + 1', 'finding_band'],
    ['finding', 'position = (position + 1) % 9', 'finding'],
    ['change_entry', "reason = ''", 'change_entry_reason'],
    ['change_entry', 'to_address_id = from_address_id', 'change_entry_changes'],
    ['finding', "unit = 'percent'", 'finding_unit'],
    ['finding', "because_item = 'ballOut'", 'finding_because'],
    ['finding', "put_forward = true, withheld = 'not this'", 'finding_put_forward'],
    ['finding', 'weight_total = -1', 'finding_weight_total'],
    ['screened_item', "tries = '{95}' , item = 'turnInTrail'", 'screened_item'],
    ['screened_item', "tries = '{1,2,3}'", 'screened_item_tries'],
    ['screened_item', "tries = '{}', pain = ''", 'screened_item_taken'],
    ['screened_item', "taken_by = 'guess'", 'screened_item_taken_by'],
    ['screened_item', 'uncertainty = 0', 'screened_item_uncertainty'],
    ['change_entry', 'lead_heel_lift = 26', 'change_entry_lead_heel_lift'],
    ['change_entry', 'shoulder_goal = 30', 'change_entry_shoulder_goal'],
    ['trial_entry', 'margin = 0', 'trial_entry_margin'],
    ['trial_entry', 'seed = 4294967296', 'trial_entry_seed'],
    ['trial_entry', 'cue_b = cue_a, address_b_id = address_a_id', 'trial_entry_differs'],
    ['trial_entry', "primary_outcome = 'luck'", 'outcome_known'],
    ['shots_entry', 'arm = null', 'shots_entry_place'],
    ['shots_entry', 'trial_id = null', 'shots_entry_place'],
    ['trial_entry', "apart = array['stanceWidth']", 'trial_entry_apart'],
    ['trial_entry', "apart = array['stanceWidth', 'luck']", 'trial_entry_apart_known'],
    ['shots_entry', 'cell = 1', 'shots_entry'],
    ['look_entry', "effects = '[]'", 'look_entry_effects'],
    ['trial_entry', "length = 'short'", 'trial_entry_length'],
    ['trial_entry', "length = 'quick'", 'trial_entry_quick'],
    ['trial_entry', "source = 'guess'", 'trial_entry_source'],
    ['shot', 'path = 31', 'shot_path'],
    ['shot', 'attack = 21', 'shot_attack'],
    ['shot', 'divot_start = 20, divot_end = 10', 'shot_divot'],
    ['reading_entry', "note = repeat('x', 2001)", 'reading_entry_note'],
    ['look_entry', "length = 'quick', look = 2", 'look_entry_quick'],
    ['shot', "strike = 'shank'", 'shot_strike'],
    ['look_entry', 'look = 4', 'look_entry_look'],
    ['exception_entry', "club = 'putter'", 'exception_entry_club'],
    ['exception_entry', 'low = high + 1', 'exception_entry_band'],
    ['exception_entry', 'high = 70', 'exception_entry_band'],
    ['exception_entry', "item = 'setback'", 'exception_entry_item'],
    ['exception_entry', "item = 'widest', low = 20, high = 300", 'exception_entry_band'],
    ['ladder_entry', "ladder = 'luck'", 'ladder_entry_ladder'],
    ['ladder_entry', "turns = '[]'", 'ladder_entry_turns'],
    ['ladder_entry', `turns = '[{"rung": 45, "result": "passed", "measured": null}]'`, 'ladder_entry_turns'],
    ['ladder_entry', `turns = '[{"rung": 10, "result": "luck", "measured": null}]'`, 'ladder_entry_turns'],
    ['ladder_entry', `turns = '[{"rung": 10, "measured": null}]'`, 'ladder_entry_turns'],
    ['ladder_entry', `turns = '[{"rung": 10, "result": "failed"}]'`, 'ladder_entry_turns'],
    ['ladder_entry', `turns = jsonb_set(turns, '{1,measured,hips}', '140')`, 'ladder_entry_turns'],
    ['ladder_entry', `turns = jsonb_set(turns, '{1,measured,stoppedBy}', '"arm"')`, 'ladder_entry_turns'],
    ['ladder_entry', "ladder = 'own'", 'ladder_entry_own'],
    ['test_entry', "test = 'luck'", 'test_entry_test'],
    ['test_entry', "tries = '[]'", 'test_entry_tries'],
    ['test_entry', `tries = '[{"luck": 1}]'`, 'test_entry_tries'],
    ['test_entry', 'tee_height = 500', 'test_entry_tee_height'],
    ['test_entry', 'club = null', 'test_entry_whole'],
    ['test_entry', `test = 'stripe', tries = '[{"top": {"lead": 1, "trail": true}}]'`, 'test_entry'],
    ['pressure_entry', "route = 'luck'", 'pressure_entry_route'],
    ['pressure_entry', "swings = '[]'", 'pressure_entry_swings'],
    ['pressure_entry', `swings = jsonb_set(swings, '{0,share,3}', '1001')`, 'pressure_entry_swings'],
    ['pressure_entry', `swings = jsonb_set(swings, '{0,share,3}', '"x"')`, 'pressure_entry_swings'],
    ['pressure_entry', `swings = jsonb_set(swings, '{0,path}', '80')`, 'pressure_entry_swings'],
    ['pressure_entry', `swings = jsonb_set(swings, '{0,load}', '[1, 2]')`, 'pressure_entry_swings'],
    ['pressure_entry', `swings = jsonb_set(swings, '{0,times,impact}', '1')`, 'pressure_entry_swings'],
    ['pressure_entry', `swings = jsonb_set(swings, '{0,times,finish}', '99999')`, 'pressure_entry_swings'],
    ['mat_session', 'lead_share = 101', 'mat_session_lead_share'],
    ['card_entry', `ladder = jsonb_set(ladder, '{step}', '0')`, 'card_entry_ladder'],
    ['card_entry', `ladder = jsonb_set(ladder, '{last}', '900')`, 'card_entry_ladder'],
    ['card_tick', 'takes_back = true, rounds = 1', 'card_tick_takes_back'],
    ['pain_answer', "found = 'maybe'", 'pain_answer_found'],
    ['pain_answer', 'tick_hurts = false', 'pain_answer_of_pain'],
    ['card_tick', 'rung_done = true, rung_at = null', 'card_tick_rung_whole'],
    ['intake_entry', "came_for = array['luck']", 'intake_entry_came_for'],
    ['intake_entry', "came_for = '{}', words = '', sore = ''", 'intake_entry_something'],
    ['address_entry', "tell_tales = array['luck']", 'address_entry_tell_tales'],
    ['address_entry', "tell_tales = '{}'", 'address_entry_tell_tales'],
    ['look_entry', "decision = 'drop'", 'look_entry_overruled'],
    ['look_entry', 'p = null', 'look_entry_evidence_whole'],
    ['look_entry', 'pain_up = true', 'look_entry_pain'],
    ['look_entry', "verdict = 'not shown', decision = 'drop'", 'look_entry_not_shown'],
    [
      'look_entry',
      'difference = null, p = null, exact = null, arrangements = null, count_a = null, count_b = null, mean_a = null, mean_b = null',
      'look_entry_evidence_whole',
    ],
    ['look_entry', "look = 3, verdict = 'not yet', decision = 'go on'", 'look_entry_last'],
    ['leg_screen', 'turned_on_lead_flare = null', 'leg_screen_turned_on_whole'],
    ['leg_screen', "stopped_back = 'both'", 'leg_screen_stopped_back'],
    ['sighting', 'value = 500', 'sighting_range'],
    ['sighting', "item = 'trailElbow'", 'sighting_range'],
    ['sighting', "way = 'guess'", 'measurement_way_known'],
    ['sighting', 'uncertainty = 0', 'measured_uncertainty_range'],
    ['measurement', "way = 'guess'", 'measurement_way_known'],
    ['measurement', 'uncertainty = 501', 'measured_uncertainty_range'],
    ['measurement', "figure = 'stanceLine'", 'measurement_figure'],
    ['address_entry', "seat = 'on a chair'", 'address_entry_seat'],
    ['address_entry', "swing_path = 'straight'", 'address_entry_swing_path'],
    ['choice_finding', 'as_taught = not as_taught', 'choice_finding_as_taught'],
    ['choice_finding', "seen = 'on a chair', as_taught = false", 'choice_finding_words'],
    ['house_method', "questions = questions - 'leadFlare'", 'house_method_sound'],
    ...[
      ['{leadFlare,answers,0,clubs,0}', '"putter"'],
      ['{leadFlare,answers,0,clubs,0}', '"3-wood"'],
      ['{leadFlare,answers,0,rule,value}', '120'],
      ['{leadFlare,answers,0,rule}', '{"kind": "no view"}'],
      ['{leadFlare,answers,0,rule}', '{"kind": "gap between shoes", "gap": 100}'],
      ['{leadFlare,answers,0,rule}', '{"kind": "by club", "values": {"driver": 20}}'],
      ['{leadFlare,answers,0,tolerance,below}', '-1'],
      ['{stanceWidth,answers,0,rule,marks,0,lengthInches}', '39'],
      ['{seat,answers,0,rule,choices}', '["on a chair"]'],
      ['{hipTurn,why}', '""'],
    ].map(([path, value]) => [
      'house_method',
      `questions = jsonb_set(questions, '${path}', '${value}')`,
      'house_method_sound',
    ]),
    ['instructor', "email = 'Upper@Case'", 'instructor_email_form'],
    ['instructor', "password_hash = 'plain'", 'instructor_password_argon2id'],
  ])('%s: %s', async (table, change, constraint) => {
    await expect(bad(table, change)).rejects.toThrow(new RegExp(constraint));
  });
});

test('versions of a method leave no gap', async () => {
  await expect(
    asAdmin(
      world.adminUrl,
      `insert into house_method (academy_id, id, version, name, summary, questions, made_at, changed)
       select academy_id, id, 3, name, summary, questions, made_at, changed from house_method limit 1`,
    ),
  ).rejects.toThrow(/house_method_previous/);
});

test('a database from before the whole read keeps its methods and findings, and what they said', async () => {
  const { adminUrl, drop } = await createDatabase();
  await migrate(adminUrl, APPLICATION_PASSWORD, '0003_lesson_log.sql');
  const asked = QUESTIONS.slice(0, 7).map((question) => [
    question,
    SHOULDERS_AND_NEUTRAL.questions[question],
  ]);
  const questions = Object.fromEntries(asked);
  const academyId = uuidv7();
  await asAdmin(adminUrl, "insert into academy (id, name, created_at) values ($1, 'Before', now())", [
    academyId,
  ]);
  await asAdmin(
    adminUrl,
    `insert into house_method (academy_id, id, version, name, summary, questions, made_at)
     values ($1, $2, 1, 'Of before', 'Seven questions.', $3, now())`,
    [academyId, uuidv7(), JSON.stringify(questions)],
  );
  await asAdmin(
    adminUrl,
    `begin; set local session_replication_role = replica;
     insert into finding (academy_id, reading_id, position, item, question, unit, measured, uncertainty, low, middle, high,
                          verdict, close, widened_by, mark, why, limits, put_forward)
     values (gen_random_uuid(), gen_random_uuid(), 7, 'trailHeelToe', 'heelToe', 'percent', 70, 5, 40, 50, 60,
             'above', false, '{}', 'starting value', 'why', 'limits', true); commit`,
  );
  await migrate(adminUrl, APPLICATION_PASSWORD);
  const pool = await openDatabase(applicationUrl(adminUrl, APPLICATION_PASSWORD));
  const [method] = await inAcademy(pool, academyId, (client) => changedMethods(client, 0));
  await pool.end();
  expect(Object.keys(method!.questions).sort()).toEqual([...QUESTIONS].sort());
  for (const question of QUESTIONS.slice(0, 7))
    expect(method!.questions[question]).toEqual(questions[question]);
  expect(method!.questions.hipBump.answers.every(({ rule }) => rule.kind === 'no view')).toBe(true);
  const [finding] = await asAdmin<Record<string, unknown>>(adminUrl, 'select * from finding');
  expect(finding).toMatchObject({
    position: 7,
    measured: 70,
    put_forward: true,
    weight_total: 0,
    withheld: null,
  });
  await drop();
}, 60_000);

describe('starting', () => {
  test('two servers that start at once both come up, and each migration ran once', async () => {
    const { adminUrl, drop } = await createDatabase();
    const ran = await Promise.all([1, 2, 3].map(() => migrate(adminUrl, APPLICATION_PASSWORD)));
    expect(ran.flat().sort()).toEqual([...new Set(ran.flat())].sort());
    const rows = await asAdmin<{ name: string }>(adminUrl, 'select name from schema_migration');
    expect(rows).toHaveLength(ran.flat().length);
    expect(await migrate(adminUrl, APPLICATION_PASSWORD)).toEqual([]);
    await drop();
  }, 60_000);

  test('a second database of the cluster, with a password of its own, leaves the first alone', async () => {
    const { adminUrl, drop } = await createDatabase();
    await migrate(adminUrl, 'quite another password');
    const first = await openDatabase(applicationUrl(world.adminUrl, APPLICATION_PASSWORD));
    const second = await openDatabase(applicationUrl(adminUrl, 'quite another password'));
    await Promise.all([first.end(), second.end()]);
    await drop();
  }, 60_000);

  test('the demo is loaded whole, once, when servers start together', async () => {
    const { adminUrl, drop } = await createDatabase();
    await migrate(adminUrl, APPLICATION_PASSWORD);
    const loaded = await Promise.all(
      [1, 2].map(() => loadDemoWhenEmpty(adminUrl, new Date('2026-06-01T09:00:00Z'))),
    );
    expect(loaded.sort()).toEqual([false, true]);
    const [counts] = await asAdmin<Record<string, string>>(
      adminUrl,
      `select (select count(*) from academy) as academies, (select count(*) from student) as students,
         (select count(*) from student where hand = 'left') as left_handed,
         (select count(*) from change_entry) as changes, (select count(*) from finding) as findings,
         (select count(*) from sighting) as sightings, (select count(*) from house_method) as methods`,
    );
    expect(Number(counts!.academies)).toBe(2);
    expect(Number(counts!.students)).toBe(9);
    expect(Number(counts!.left_handed)).toBe(2);
    expect(Number(counts!.changes)).toBeGreaterThanOrEqual(10);
    expect(Number(counts!.findings)).toBeGreaterThan(9 * 15);
    expect(Number(counts!.sightings)).toBeGreaterThan(3);
    expect(Number(counts!.methods)).toBe(5);
    await drop();
  }, 60_000);

  test('the server refuses to work as a role that row-level security does not bind', async () => {
    await expect(openDatabase(world.adminUrl)).rejects.toThrow(/not bound by row-level security/);
  });

  test('a database that is not there is an error at once', async () => {
    const url = new URL(world.adminUrl);
    url.pathname = '/no_such_database';
    await expect(migrate(url.href, APPLICATION_PASSWORD)).rejects.toThrow(/does not exist/);
  });
});

test('a write that fails half-way leaves nothing', async () => {
  const { academyId } = world.lantern.identity;
  await expect(
    inAcademy(world.pool, academyId, async (client) => {
      await client.query(
        'insert into lesson select academy_id, gen_random_uuid(), student_id, instructor_id, started_at, received_at from lesson limit 1',
      );
      throw new Error('half-way');
    }),
  ).rejects.toThrow('half-way');
  const client = new Client({ connectionString: world.adminUrl });
  await client.connect();
  const { rows } = await client.query('select count(*)::int as lessons from lesson where academy_id = $1', [
    academyId,
  ]);
  await client.end();
  expect(rows[0].lessons).toBe(1);
  expect(landed.lesson.id).toBeTruthy();
});
