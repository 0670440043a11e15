/** Ten thousand bad bodies over HTTP: what they are answered, and whether anything half was written. */
import { Client } from 'pg';
import { v7 as uuidv7 } from 'uuid';
import { badBodies } from '../../server/test/badBodies';
import * as bodies from '../../server/test/bodies';
import type { World } from '../../server/test/world';
import { ADMIN_URL, report, signedIn } from './coach';

const COUNT = 10_000;
const AT_ONCE = 8;

const TABLES = ['student', 'build', 'leg_screen', 'lesson', 'log_entry', 'house_method', 'landed_write'];
/** What an entry of each kind has besides its row in log_entry. */
const HALVES = `select count(*)::int as count from log_entry as entry where not exists (
  select from address_entry where id = entry.id union all select from reading_entry where id = entry.id
  union all select from change_entry where id = entry.id union all select from trial_entry where id = entry.id
  union all select from shots_entry where id = entry.id union all select from look_entry where id = entry.id
  union all select from intake_entry where id = entry.id)`;

async function main(): Promise<void> {
  const { coach, method } = await signedIn();
  const world = { method } as World;
  const landed = await bodies.landRecord(world, coach);
  const tried = await bodies.landTrial(coach, landed);
  const sound: [string, string, object][] = [
    ['POST', '/api/students', bodies.newStudent()],
    ['PUT', '/api/students', { ...bodies.newStudent(), studentId: landed.student.id, version: 1 }],
    ['POST', '/api/builds', bodies.newBuild(landed.student.id)],
    ['POST', '/api/screens', bodies.newScreen(landed.student.id, landed.build.id)],
    ['POST', '/api/methods', bodies.newMethod()],
    ['POST', '/api/lessons', bodies.newLesson(landed.student.id)],
    ['POST', '/api/entries', { ...landed.address, id: uuidv7() }],
    ['POST', '/api/entries', { ...landed.reading, id: uuidv7() }],
    ['POST', '/api/entries', { ...landed.change, id: uuidv7() }],
    ['POST', '/api/entries', { ...tried.trial, id: uuidv7() }],
    ['POST', '/api/entries', { ...tried.apart, id: uuidv7() }],
    ['POST', '/api/entries', { ...tried.look, id: uuidv7() }],
    ['POST', '/api/entries', bodies.newShots(tried.trial)],
    ['POST', '/api/stand-in', bodies.newStandIn(landed.student.id)],
    ['POST', '/api/session', { email: 'nobody@test.example', password: 'wrong' }],
  ];
  const database = new Client({ connectionString: ADMIN_URL });
  await database.connect();
  const rows = async () => {
    const counts = TABLES.map((table) => `(select count(*) from ${table})`).join(' + ');
    return (await database.query(`select (${counts})::int as n`)).rows[0].n as number;
  };
  const before = await rows();
  const statuses: Record<number, number> = {};
  const unnamed = new Set<string>();
  let made = 0;
  const each = sound.map(([verb, path, body], at) => ({
    verb,
    path,
    bad: badBodies([body], Math.ceil(COUNT / sound.length), 1000 + at),
  }));
  const send = async ({ verb, path, bad }: (typeof each)[number]) => {
    for (const { text, at, to } of bad) {
      const answer = await coach.ask(verb, path, text);
      statuses[answer.status] = (statuses[answer.status] ?? 0) + 1;
      if (answer.status === 201) made += 1;
      const told = `${path} ${at} ← ${to}: ${answer.status} ${answer.body.detail ?? ''}`.slice(0, 300);
      if (answer.status >= 500 && answer.body?.type !== 'about:pedastance/busy') unnamed.add(told);
      const faults = (answer.body?.faults ?? []) as { field: string; expected: string }[];
      const named =
        faults.length > 0 && faults.every(({ field, expected }) => field && !/allows$/.test(expected));
      if ([400, 413, 422].includes(answer.status) && !named) unnamed.add(told);
    }
  };
  const waiting = [...each];
  await Promise.all(
    Array.from({ length: AT_ONCE }, async () => {
      for (let next = waiting.pop(); next; next = waiting.pop()) await send(next);
    }),
  );
  const halves = (await database.query(HALVES)).rows[0].count as number;
  const added = (await rows()) - before;
  await database.end();
  report({
    sent: Object.values(statuses).reduce((sum, n) => sum + n, 0),
    failed: Object.entries(statuses).reduce((sum, [status, n]) => sum + (status === '500' ? n : 0), 0),
    statuses,
    unnamed: [...unnamed].slice(0, 40),
    unnamedCount: unnamed.size,
    halves,
    made,
    added,
  });
}

void main();
