import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { request } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { applicationUrl } from '../config/settings';
import { newStudent } from './bodies';
import { APPLICATION_PASSWORD, openWorld, type World } from './world';

let world: World;
let server: ChildProcess;
let output = '';
let origin = '';

beforeAll(async () => {
  world = await openWorld();
  const webRoot = mkdtempSync(join(tmpdir(), 'pedastance-web-'));
  writeFileSync(join(webRoot, 'index.html'), '<!doctype html><title>shell</title>');
  server = spawn(process.execPath, ['--import', 'tsx', join(__dirname, '..', 'main.ts')], {
    cwd: join(__dirname, '../..'),
    env: {
      ...process.env,
      PORT: '0',
      DATABASE_URL: applicationUrl(world.adminUrl, APPLICATION_PASSWORD),
      SESSION_SECRET: 'x'.repeat(40),
      WEB_ROOT: webRoot,
    },
  });
  await new Promise<void>((resolve) => {
    server.stdout!.on('data', (data: Buffer) => {
      output += data.toString();
      const ready = /Ready at (\S+)/.exec(output);
      if (ready) resolve(void (origin = ready[1]!));
    });
    server.stderr!.on('data', (data: Buffer) => (output += data.toString()));
  });
}, 60_000);
afterAll(async () => {
  server.kill('SIGKILL');
  await world.close();
});

/** Starts a write and sends half of it; `finish` sends the rest and answers the status. */
function halfSent(body: string) {
  const half = Math.floor(body.length / 2);
  const sent = request(`${origin}/api/students`, {
    method: 'POST',
    headers: {
      ...world.lantern.headers,
      origin,
      'content-type': 'application/json',
      'content-length': body.length,
    },
  });
  const answered = new Promise<number>((resolve, reject) => {
    sent.on('response', (response) => resolve(response.resume().statusCode!));
    sent.on('error', reject);
  });
  sent.write(body.slice(0, half));
  return {
    finish: () => {
      sent.end(body.slice(half));
      return answered;
    },
  };
}

test('each request has a line with an identifier that its answer carries, and nothing of what was sent', async () => {
  const student = newStudent({ name: 'Nobody Toldofhere' });
  const answer = await fetch(`${origin}/api/students`, {
    method: 'POST',
    headers: { ...world.lantern.headers, origin, 'content-type': 'application/json' },
    body: JSON.stringify(student),
  });
  expect(answer.status).toBe(201);
  const requestId = answer.headers.get('x-request-id')!;
  await fetch(`${origin}/api/students/${student.id}`, { headers: world.lantern.headers });
  // A line is written once the answer has left.
  for (const until = Date.now() + 5_000; !output.includes(':studentId') && Date.now() < until;)
    await new Promise((resolve) => setTimeout(resolve, 20));
  const lines = output
    .split('\n')
    .filter((line) => line.startsWith('{'))
    .map((line) => JSON.parse(line) as object);
  expect(lines).toContainEqual(
    expect.objectContaining({ level: 30, requestId, method: 'POST', route: '/api/students', status: 201 }),
  );
  expect(lines).toContainEqual(expect.objectContaining({ method: 'GET', route: '/api/students/:studentId' }));
  expect(output).not.toContain('Toldofhere');
  expect(output).not.toContain(student.id);
});

test('it says that it lives, and that it is ready', async () => {
  expect(await (await fetch(`${origin}/api/health`)).json()).toEqual({ status: 'up' });
  expect(await (await fetch(`${origin}/api/ready`)).json()).toEqual({ status: 'ready' });
});

test('told to stop, it answers what it has in hand, takes nothing more, and ends', async () => {
  const writing = halfSent(JSON.stringify(newStudent()));
  await new Promise((resolve) => setTimeout(resolve, 200));
  const ended = new Promise<number | null>((resolve) => server.once('exit', resolve));
  server.kill('SIGTERM');
  await new Promise((resolve) => setTimeout(resolve, 200));
  await expect(fetch(`${origin}/api/health`)).rejects.toThrow();
  expect(await writing.finish()).toBe(201);
  expect(await ended).toBe(0);
});
