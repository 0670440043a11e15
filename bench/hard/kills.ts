/** A thousand writes while the server, the database and its connections are ended: each landed, and once. */
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { Client } from 'pg';
import { newStudent } from '../../server/test/bodies';
import { ADMIN_URL, ORIGIN, ranked, report, signedIn } from './coach';

const WRITES = 1000;
const WRITERS = 8;
const EVENTS = [
  ...Array<'server'>(30).fill('server'),
  ...Array<'database'>(27).fill('database'),
  ...Array<'connections'>(22).fill('connections'),
];
const FOLDER = process.env.FOLDER!;
const SUPERVISOR = process.env.SUPERVISOR!;
const BACK_WITHIN_MS = 60_000;

const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

const serverPid = (): number | undefined =>
  readdirSync('/proc')
    .filter((name) => /^\d+$/.test(name))
    .map(Number)
    .find((pid) => {
      try {
        const parent = / \(.*\) \S (\d+) /.exec(readFileSync(`/proc/${pid}/stat`, 'utf8'))?.[1];
        return parent === SUPERVISOR && readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes('main.ts');
      } catch {
        return false;
      }
    });

async function end(what: (typeof EVENTS)[number]): Promise<void> {
  if (what === 'server') process.kill(serverPid()!, 'SIGKILL');
  if (what === 'database') {
    process.kill(Number(readFileSync(join(FOLDER, 'postmaster.pid'), 'utf8').split('\n')[0]), 'SIGKILL');
  }
  if (what !== 'connections') return;
  const client = new Client({ connectionString: ADMIN_URL });
  await client.connect();
  await client.query(
    "select pg_terminate_backend(pid) from pg_stat_activity where usename like 'pedastance_app%' and pid <> pg_backend_pid()",
  );
  await client.end();
}

const isUp = () =>
  fetch(`${ORIGIN}/api/ready`, { signal: AbortSignal.timeout(2000) }).then(
    ({ ok }) => ok,
    () => false,
  );

async function main(): Promise<void> {
  const { coach } = await signedIn();
  const bodies = Array.from({ length: WRITES }, (_, at) => newStudent({ name: `Write ${at}` }));
  const waiting = [...bodies];
  let ended = 0;
  const conflicts: number[] = [];
  const write = async () => {
    for (let body = waiting.pop(); body; body = waiting.pop()) {
      // As many writes as events, so that the last event still has some to hit.
      while (WRITES - waiting.length > ((ended + 1) / EVENTS.length) * WRITES) await pause(20);
      for (;;) {
        const status = await coach.ask('POST', '/api/students', body).then(
          (answer) => answer.status,
          () => 0,
        );
        if (status === 201 || status === 200) break;
        if (status !== 0 && status !== 503) conflicts.push(status);
        await pause(100);
      }
    }
  };
  const writers = Array.from({ length: WRITERS }, write);
  const back: number[] = [];
  let stayedAway = 0;
  for (const what of EVENTS) {
    const startedAt = Date.now();
    await end(what);
    await pause(30);
    while (!(await isUp()) && Date.now() - startedAt < BACK_WITHIN_MS) await pause(50);
    if (await isUp()) back.push(Date.now() - startedAt);
    else stayedAway += 1;
    ended += 1;
    await pause(150);
  }
  ended = EVENTS.length;
  await Promise.all(writers);
  const database = new Client({ connectionString: ADMIN_URL });
  await database.connect();
  const { rows } = await database.query(
    "select count(*)::int as kept, count(distinct name)::int as names from student where name like 'Write %'",
  );
  await database.end();
  report({
    lost: WRITES - rows[0].names,
    doubled: rows[0].kept - rows[0].names,
    stayedAway,
    conflicts: conflicts.length,
    ...ranked(back),
  });
}

void main();
