import { OWNER_HEADER, ownerOf } from '@pedastance/contract';
import { FREE_GUESSES, waitAfter } from '../accounts/attempts';
import { hashPassword } from '../accounts/passwords';
import { knownDevices } from '../accounts/knownDevices';
import { sessionCookie } from './sessionCookie';
import { asAdmin, openWorld, type World } from './world';

let world: World;
beforeAll(async () => (world = await openWorld()), 60_000);
afterAll(() => world.close());

test('passwords are kept by argon2id', async () => expect(await hashPassword('x')).toMatch(/^\$argon2id\$/));

describe('signing in', () => {
  test('answers who it is, with a cookie that no script reads', async () => {
    const answer = await world.signIn(world.lantern.email);
    expect(answer).toMatchObject({ status: 201, body: { identity: world.lantern.identity } });
    expect(Buffer.from(answer.body.deviceKey, 'base64')).toHaveLength(32);
    expect(sessionCookie(answer.headers)).toMatch(
      /^pedastance=.*; Path=\/; Expires=.*; HttpOnly; SameSite=Lax$/,
    );
  });

  test('a wrong password and an unknown address are told apart by nobody', async () => {
    const wrong = await world.signIn(world.lantern.email, 'wrong');
    const unknown = await world.signIn('nobody@test.example', 'wrong');
    expect(wrong.status).toBe(401);
    expect(unknown.body).toEqual(wrong.body);
  });

  test('a new session at each sign-in; the token is kept as a hash alone', async () => {
    const first = sessionCookie((await world.signIn(world.lantern.email)).headers);
    const second = sessionCookie((await world.signIn(world.lantern.email)).headers);
    expect(first).not.toBe(second);
    const token = decodeURIComponent(/pedastance=([^;]+)/.exec(first)![1]!)
      .slice(2)
      .split('.')[0]!;
    const rows = await asAdmin<{ text: string }>(world.adminUrl, 'select session::text as text from session');
    expect(rows.length).toBeGreaterThan(1);
    expect(rows.some((row) => row.text.includes(token))).toBe(false);
  });

  test('signing out ends the session', async () => {
    const cookie = sessionCookie((await world.signIn(world.colleague.email)).headers).split(';')[0]!;
    const headers = { cookie, [OWNER_HEADER]: ownerOf(world.colleague.identity) };
    expect((await world.ask('GET', '/api/students', undefined, headers)).status).toBe(200);
    expect((await world.ask('DELETE', '/api/session', undefined, headers)).status).toBe(204);
    expect((await world.ask('GET', '/api/students', undefined, headers)).status).toBe(401);
    expect((await world.ask('GET', '/api/session', undefined, { cookie })).body).toBeNull();
  });

  test('an expired session is no session', async () => {
    const cookie = sessionCookie((await world.signIn(world.colleague.email)).headers).split(';')[0]!;
    await asAdmin(world.adminUrl, "update session set expires_at = now() - interval '1 second'");
    expect((await world.ask('GET', '/api/students', undefined, { cookie })).status).toBe(401);
  });

  test('waits grow with wrong guesses, counted in the database for all servers', async () => {
    const email = 'limited@test.example';
    for (let tried = 0; tried <= FREE_GUESSES; tried += 1) {
      expect((await world.signIn(email, 'wrong')).status).toBe(401);
    }
    const refused = await world.signIn(email, 'wrong');
    expect(refused).toMatchObject({ status: 429 });
    expect(refused.body.detail).toMatch(/Try again in \d+ seconds/);
    expect([4, 5, 6, 7, 12, 40].map(waitAfter)).toEqual([0, 5, 10, 20, 640, 900]);
    const rows = await asAdmin<{ key: string }>(world.adminUrl, 'select key from sign_in_attempts');
    expect(rows.some((row) => row.key.includes('limited'))).toBe(false);
  });
});

test('with a public origin the demo accounts do not sign in, and all goes over HTTPS alone', async () => {
  const outside = await openWorld({ publicOrigin: 'https://pedastance.example' });
  try {
    const headers = { origin: 'https://pedastance.example', 'x-forwarded-proto': 'https' };
    const demo = await outside.ask(
      'POST',
      '/api/session',
      { email: 'demo@test.example', password: 'right-and-long' },
      headers,
    );
    expect(demo).toMatchObject({
      status: 403,
      body: { title: 'The demo accounts sign in on this machine only' },
    });
    const coach = await outside.ask(
      'POST',
      '/api/session',
      { email: 'ada@test.example', password: 'right-and-long' },
      headers,
    );
    expect(coach.status).toBe(201);
    expect(sessionCookie(coach.headers)).toMatch(/; Secure/);
    expect(coach.headers.get('strict-transport-security')).toBeTruthy();
    const local = await outside.ask('POST', '/api/session', {
      email: 'ada@test.example',
      password: 'right-and-long',
    });
    expect(local.status).toBe(403);
    const plain = await fetch(`${outside.origin}/students?x=1`, { redirect: 'manual' });
    expect([plain.status, plain.headers.get('location')]).toEqual([
      308,
      'https://pedastance.example/students?x=1',
    ]);
  } finally {
    await outside.close();
  }
}, 60_000);

test('a device that has signed in is known by a cookie for that account alone, and by none that it made itself', async () => {
  const answer = await world.signIn(world.lantern.email);
  const cookie = answer.headers
    .getSetCookie()
    .find((each) => each.startsWith('pedastance-known='))!
    .split(';')[0]!;
  const { isKnown } = knownDevices('x'.repeat(40), false);
  const from = (sent: string) => ({ get: () => sent }) as unknown as Parameters<typeof isKnown>[0];
  expect(isKnown(from(cookie), world.lantern.email)).toBe(true);
  expect(isKnown(from(cookie), world.colleague.email)).toBe(false);
  for (const made of ['', 'pedastance-known=', 'pedastance-known=..', `${cookie.slice(0, -1)}!`])
    expect(isKnown(from(made), world.lantern.email)).toBe(false);
});
