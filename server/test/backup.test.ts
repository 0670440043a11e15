import { spawn, type ChildProcess } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { runErasures } from '../store/erasures';
import { erasuresIn, keepErasuresApart } from '../store/erasuresFile';
import { landCard, landRecord, landTrial, newStudent } from './bodies';
import { asAdmin, openWorld, PASSWORD, type World } from './world';

jest.setTimeout(120_000);

const ROOT = join(__dirname, '../..');

let world: World;
let folder: string;
let elsewhere: { url: string; process: ChildProcess };

/** Runs one of the administrator's commands on a database. */
function command(
  script: string,
  argument: string,
  databaseUrl: string,
): Promise<{ code: number | null; output: string }> {
  const child = spawn(process.execPath, [join(ROOT, 'scripts', script), argument], {
    cwd: ROOT,
    env: { ...process.env, DATABASE_URL: databaseUrl, ERASURES_FILE: join(folder, 'erasures.jsonl') },
  });
  let output = '';
  child.stdout.on('data', (data: Buffer) => (output += data.toString()));
  child.stderr.on('data', (data: Buffer) => (output += data.toString()));
  return new Promise((resolve) => child.on('close', (code) => resolve({ code, output })));
}

/** Another cluster, in which nothing of this product has ever been. */
function emptyCluster(): Promise<typeof elsewhere> {
  const program = `
    import { openThrowawayCluster } from './scripts/database.mjs';
    const { adminUrl, stop } = await openThrowawayCluster();
    process.send(adminUrl);
    process.on('disconnect', () => void stop().then(() => process.exit(0)));`;
  const child = spawn(process.execPath, ['--input-type=module', '-e', program], {
    cwd: ROOT,
    stdio: ['ignore', 'ignore', 'inherit', 'ipc'],
  });
  return new Promise((resolve, reject) => {
    child.once('message', (url: string) => resolve({ url, process: child }));
    child.once('exit', () => reject(new Error('the other cluster did not start')));
  });
}

/** Every row of every table, as text. */
async function everything(adminUrl: string): Promise<Record<string, string[]>> {
  const tables = await asAdmin<{ name: string }>(
    adminUrl,
    `select relname as name from pg_class where relkind = 'r' and relnamespace = 'public'::regnamespace order by 1`,
  );
  const all: Record<string, string[]> = {};
  for (const { name } of tables) {
    const rows = await asAdmin<{ text: string }>(
      adminUrl,
      `select row::text as text from ${name} as row order by 1`,
    );
    all[name] = rows.map(({ text }) => text);
  }
  return all;
}

/** Who owns the schema of the tables, and who may do what in it. */
const schemaOf = (adminUrl: string) =>
  asAdmin(
    adminUrl,
    `select nspowner::regrole::text as owner, nspacl::text as grants, obj_description(oid) as said
     from pg_namespace where nspname = 'public'`,
  );

beforeAll(async () => {
  [world, elsewhere] = await Promise.all([openWorld(), emptyCluster()]);
  folder = mkdtempSync(join(tmpdir(), 'pedastance-backup-'));
}, 60_000);
afterAll(async () => {
  const gone = new Promise((resolve) => elsewhere.process.once('exit', resolve));
  elsewhere.process.disconnect();
  await gone;
  rmSync(folder, { recursive: true, force: true });
  await world.close();
});

test('a backup is restored in an empty cluster, every row of it, and whom it brings back is erased again', async () => {
  const record = await landRecord(world, world.lantern);
  await landTrial(world.lantern, record);
  await landCard(world, world.lantern, record);
  const stays = await landRecord(world, world.harbour);
  const file = join(folder, 'whole.backup');
  const made = await command('backup.mjs', file, world.adminUrl);
  expect([made.code, made.output]).toEqual([0, expect.stringContaining('Backed up to')]);
  expect(statSync(file).mode & 0o077).toBe(0);
  const before = await everything(world.adminUrl);

  const restored = await command('restore.mjs', file, elsewhere.url);
  expect([restored.code, restored.output]).toEqual([0, expect.stringContaining('Restored.')]);
  expect(await everything(elsewhere.url)).toEqual(before);

  // Another database of that cluster, once there was an erasure since the backup, and a student since.
  const later = newStudent();
  await world.lantern.ask('POST', '/api/students', later);
  for (const { id, name } of [record.student, later]) {
    await world.lantern.ask('POST', '/api/erasures', { studentId: id, name });
    await asAdmin(
      world.adminUrl,
      `update erasure set asked_at = asked_at - interval '25 hours' where student = $1`,
      [id],
    );
  }
  expect(await runErasures(world.pool)).toBe(2);
  const kept = join(folder, 'erasures.jsonl');
  await keepErasuresApart(world.pool, kept);
  await keepErasuresApart(world.pool, kept);
  expect(readFileSync(kept, 'utf8').trim().split('\n')).toHaveLength(2);
  // The last line cut off by a crash, anywhere: passed over on reading, and mended with the next erasure.
  const whole = readFileSync(kept, 'utf8');
  for (let cut = whole.indexOf('\n') + 2; cut < whole.length - 1; cut += 9) {
    writeFileSync(kept, whole.slice(0, cut));
    const { erased, torn } = await erasuresIn(kept);
    expect([erased.length, torn]).toEqual([1, whole.slice(whole.indexOf('\n') + 1, cut)]);
    await keepErasuresApart(world.pool, kept);
    expect(readFileSync(kept, 'utf8')).toBe(whole);
  }
  writeFileSync(kept, whole.replace(later.id.slice(0, 4), 'ffff'));
  await expect(erasuresIn(kept)).rejects.toThrow('line');
  await asAdmin(elsewhere.url, 'create database again');
  const again = elsewhere.url.replace(/postgres$/, 'again');
  // One that cannot be replayed: nobody erased comes back with the rest, and the schema is a new one's.
  const untouched = await schemaOf(again);
  writeFileSync(
    kept,
    `${JSON.stringify({ academy: stays.student.id, student: stays.student.id, erasedAt: 'never' })}\n`,
  );
  const failed = await command('restore.mjs', file, again);
  expect([failed.code, failed.output]).toEqual([1, expect.stringContaining('The backup was not restored')]);
  expect(await everything(again)).toEqual({});
  expect(await schemaOf(again)).toEqual(untouched);
  writeFileSync(kept, whole);
  expect((await command('restore.mjs', file, again)).output).toContain('erased again: 1');
  const left = await everything(again);
  expect(JSON.stringify(left)).not.toContain(record.address.id);
  expect(left.student!.join()).toContain(stays.student.id);
  expect(left.erased_student).toHaveLength(2);
});

test('what cannot be done says why, and changes nothing', async () => {
  const file = join(folder, 'there.backup');
  writeFileSync(file, 'no backup');
  expect((await command('backup.mjs', file, world.adminUrl)).output).toContain('is there already');
  expect((await command('backup.mjs', join(folder, 'no', 'such'), world.adminUrl)).code).not.toBe(0);
  expect(existsSync(join(folder, 'no'))).toBe(false);
  const full = await command('restore.mjs', file, world.adminUrl);
  expect([full.code, full.output]).toEqual([1, expect.stringContaining('into an empty database alone')]);
  await asAdmin(elsewhere.url, 'create database broken');
  const broken = elsewhere.url.replace(/postgres$/, 'broken');
  expect((await command('restore.mjs', file, broken)).output).toContain('nothing was restored');
  expect((await command('restore.mjs', join(folder, 'missing'), broken)).output).toContain('is not there');
});

test('an owner whom nobody else can let in gets a link from the administrator, once', async () => {
  const { output } = await command('resetOwner.mjs', 'ada@test.example', world.adminUrl);
  const code = /\/reset#([\w-]{43})/.exec(output)![1]!;
  const password = 'a wide stance for a windy tee';
  expect((await world.ask('PUT', '/api/reset', { code, password })).status).toBe(204);
  expect((await world.ask('PUT', '/api/reset', { code, password })).status).toBe(410);
  expect((await world.signIn('ada@test.example', PASSWORD)).status).toBe(401);
  expect((await world.signIn('ada@test.example', password)).status).toBe(201);
  expect((await command('resetOwner.mjs', 'nobody@test.example', world.adminUrl)).output).toContain(
    'no owner who is in has the address',
  );
  expect((await command('resetOwner.mjs', 'ada', world.adminUrl)).output).toContain('Usage');
});
