import { v7 as uuidv7 } from 'uuid';
import { migrate } from '../store/migrate';
import { newPressure } from './bodies';
import { APPLICATION_PASSWORD, asAdmin, createDatabase } from './world';

/** Rows in the shapes of earlier versions, as a database of an academy has them when a newer server comes up on it. */

const id = () => `'${uuidv7()}'`;
const json = (value: unknown) => `'${JSON.stringify(value)}'`;

let database: Awaited<ReturnType<typeof createDatabase>>;
beforeAll(async () => {
  database = await createDatabase();
});
afterAll(() => database.drop());

const to = (last?: string) => migrate(database.adminUrl, APPLICATION_PASSWORD, last);

/** Puts rows in as they were; what they belong to does not matter here. */
const fill = (sql: string) => asAdmin(database.adminUrl, `set session_replication_role = replica; ${sql}`);

const { shot: _none, ...TRACE } = newPressure('').swings[0]!;
const { path: _neither, ...PATHLESS } = TRACE;
/** The goals of a judgement before it knew of the pressure, one of them short. */
const GOALS = [
  ...['turn back', 'turn through', 'sparing', 'posting', 'too much turn', 'load', 'path', 'ball'],
  ...['feet', 'knees', 'hips', 'shoulders', 'hands', 'swing', 'loft'],
];
const JUDGEMENT = {
  ...{ intakeId: null, back: null, through: null, path: null, pulledBothWays: false, leadHeelLift: 0 },
  ...{ shotIds: [], pinned: [], before: [], partings: [] },
  things: [
    {
      thing: 'lead foot',
      moves: [{ figure: 'leadFlare', from: 0, to: 15 }],
      serves: ['turn through', 'feet'],
    },
    { thing: 'face', moves: [], serves: ['path'] },
  ],
  goals: GOALS.map((goal) => ({ goal, today: 1, after: goal === 'ball' ? 1 : 0 })),
};

test('rows of earlier versions are brought to today’s shape, whichever academy they are of', async () => {
  await to('0013_not_shown.sql');
  const [academyId, studentId] = [id(), id()];
  await fill(`insert into student (academy_id, id, version, name, hand, birth_year, cautions, made_at, updated_at, received_at,
      made_by, changed)
    values (${academyId}, ${studentId}, 1, 'Of Before', 'left', 1970, '', now(), now(), now(), ${id()}, 1);
    insert into leg_screen (academy_id, id, student_id, build_id, made_by, made_at, received_at, sore_knee_lead,
      sore_knee_trail, turned_on_lead_flare, turned_on_trail_flare, changed)
    values (${academyId}, ${id()}, ${studentId}, ${id()}, ${id()}, now(), now(), false, false, 20, 5, 1)`);
  await to('0034_ladders.sql');
  await fill(`insert into ladder_entry (academy_id, student_id, id, ladder, turns)
    values (${id()}, ${id()}, ${id()}, 'trail flare', ${json([{ rung: 10, result: 'passed' }])})`);
  await to('0036_pressure.sql');
  await fill(`insert into reading_entry (academy_id, student_id, id, address_id, build_id, method_id, method_version,
      model_version, notices, judgement, note)
    values (${id()}, ${id()}, ${id()}, ${id()}, ${id()}, ${id()}, 1, '3.0.0', '[]', ${json(JUDGEMENT)}, ''),
      (${id()}, ${id()}, ${id()}, ${id()}, ${id()}, ${id()}, 1, '3.0.0', '[]', null, '');
    insert into pressure_entry (academy_id, student_id, id, club, route, source, swings, cue)
    values (${id()}, ${id()}, ${id()}, '7-iron', 'centred', 'file', ${json([TRACE, { ...TRACE, path: null }, PATHLESS])}, '')`);
  await to();
  const ask = <Row>(sql: string) => asAdmin<Row>(database.adminUrl, sql);
  expect(await ask('select hand, turned_on_toe_line as line from leg_screen')).toEqual([
    { hand: 'left', line: 0 },
  ]);
  expect(await ask('select turns from ladder_entry')).toEqual([
    { turns: [{ rung: 10, result: 'passed', measured: null }] },
  ]);
  const { goals: _told, things: _done, ...same } = JUDGEMENT;
  const byCauses = {
    ...same,
    ...{ pressure: null, rests: null, spares: null, legsUntested: false, lookNext: null, closeCall: false },
    things: [
      {
        thing: 'lead foot',
        moves: [{ figure: 'leadFlare', from: 0, to: 15 }],
        ...{ cause: 'lead leg through', figure: 'leadFlare', off: 'less', reason: null },
      },
      { thing: 'face', moves: [], cause: 'face first', figure: null, off: null, reason: null },
    ],
    waits: [{ cause: 'out of band', figure: null, off: null }],
  };
  expect(await ask('select judgement from reading_entry order by judgement is null')).toEqual([
    { judgement: byCauses },
    { judgement: null },
  ]);
  expect(await ask('select swings from pressure_entry')).toEqual([
    {
      swings: [
        { ...TRACE, shot: null },
        { ...TRACE, path: null, shot: null },
        { ...PATHLESS, path: null, shot: null },
      ],
    },
  ]);
  // The owner of the tables sees no rows once it is done.
  const loose = await ask<{ relname: string }>(
    `select relname from pg_class where relrowsecurity and not relforcerowsecurity and relnamespace = 'public'::regnamespace`,
  );
  expect(loose).toEqual([]);
}, 60_000);
