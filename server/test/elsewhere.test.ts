import { OWNER_HEADER, ownerOf, type Identity } from '@pedastance/contract';
import { networkOf } from '../accounts/networks';
import { newStudent } from './bodies';
import { sessionCookie } from './sessionCookie';
import { openWorld, PASSWORD, type World } from './world';

const SITE = 'https://club.example';
const HOME = { browser: 'Range/1.0', address: '203.0.113.7' };
const ELSEWHERE = { browser: 'Other/9.0', address: '198.51.100.20' };
type Place = typeof HOME;

let world: World;
beforeAll(async () => (world = await openWorld({ publicOrigin: SITE })), 60_000);
afterAll(() => world.close());

const from = ({ browser, address }: Place) => ({
  ...{ origin: SITE, 'x-forwarded-proto': 'https' },
  ...{ 'user-agent': browser, 'x-forwarded-for': address },
});

/** A coach signed in at home, who asks from anywhere by the same cookie. */
async function signedInAtHome() {
  const { email } = world.lantern;
  const answer = await world.ask('POST', '/api/session', { email, password: PASSWORD }, from(HOME));
  expect(answer.status).toBe(201);
  const identity = answer.body.identity as Identity;
  const known = { cookie: sessionCookie(answer.headers).split(';')[0]!, [OWNER_HEADER]: ownerOf(identity) };
  return {
    identity,
    ask: (place: Place, method: string, path: string, body?: object) =>
      world.ask(method, path, body, { ...known, ...from(place) }),
  };
}

const REFUSED = { status: 403, body: { type: expect.stringMatching(/confirm-session$/) as unknown } };

describe('a session that is used in another browser and from another network', () => {
  test('reads and writes students, but hands out no file, changes nobody’s access and erases nobody', async () => {
    const { identity, ask } = await signedInAtHome();
    const student = newStudent();
    expect((await ask(ELSEWHERE, 'POST', '/api/students', student)).status).toBe(201);
    expect((await ask(ELSEWHERE, 'GET', `/api/students/${student.id}`)).status).toBe(200);
    const guarded: [string, string, object?][] = [
      ['GET', '/api/exports/academy'],
      ['GET', `/api/exports/students/${student.id}`],
      ['GET', '/api/exports/tables/students'],
      ['PUT', '/api/colleagues', { id: identity.instructorId, role: 'owner', ends: false }],
      ['POST', '/api/invites', { role: 'owner' }],
      ['POST', '/api/resets', { id: identity.instructorId }],
      ['POST', '/api/erasures', { studentId: student.id, name: student.name }],
    ];
    for (const [method, path, body] of guarded)
      expect(await ask(ELSEWHERE, method, path, body)).toMatchObject(REFUSED);
    expect((await ask(ELSEWHERE, 'GET', '/api/session/place')).body).toEqual({ elsewhere: true });
    expect((await ask(HOME, 'GET', '/api/exports/academy')).status).toBe(200);
  });

  test('is asked nothing where one of both is the same: a phone changes networks, a browser its version', async () => {
    const { ask } = await signedInAtHome();
    for (const place of [
      { ...HOME, address: ELSEWHERE.address },
      { ...HOME, browser: ELSEWHERE.browser },
    ]) {
      expect((await ask(place, 'GET', '/api/session/place')).body).toEqual({ elsewhere: false });
      expect((await ask(place, 'GET', '/api/exports/academy')).status).toBe(200);
    }
  });

  test('is at home there once the password was shown, and wrong guesses are counted', async () => {
    const { ask } = await signedInAtHome();
    const wrong = await ask(ELSEWHERE, 'PUT', '/api/session/place', { password: 'another' });
    expect(wrong).toMatchObject({ status: 422, body: { faults: [{ field: 'password' }] } });
    expect(await ask(ELSEWHERE, 'GET', '/api/exports/academy')).toMatchObject(REFUSED);
    expect((await ask(ELSEWHERE, 'PUT', '/api/session/place', { password: PASSWORD })).status).toBe(204);
    expect((await ask(ELSEWHERE, 'GET', '/api/exports/academy')).status).toBe(200);
    // Where it was before is elsewhere now.
    expect(await ask(HOME, 'GET', '/api/exports/academy')).toMatchObject(REFUSED);
  });
});

test('a network is an address of IPv4, and the first half of one of IPv6', () => {
  expect(networkOf('203.0.113.7')).not.toBe(networkOf('203.0.113.8'));
  expect(networkOf('::ffff:203.0.113.7')).toBe(networkOf('203.0.113.7'));
  expect(networkOf('2001:db8:1:2::5')).toBe(networkOf('2001:db8:1:2:aaaa:bbbb:cccc:dddd'));
  expect(networkOf('2001:db8:1:2::5')).not.toBe(networkOf('2001:db8:1:3::5'));
  expect(networkOf('')).toBe('');
});
