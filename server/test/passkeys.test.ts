import { OWNER_HEADER, ownerOf } from '@pedastance/contract';
import { sessionCookie } from './sessionCookie';
import { SoftAuthenticator, type Page } from './softAuthenticator';
import { asAdmin, openWorld, PASSWORD, type Coach, type World } from './world';

let world: World;
let page: Page;
beforeAll(async () => {
  world = await openWorld();
  // Passkeys are for a name; the test's server is reached by one here.
  page = { origin: world.origin.replace('127.0.0.1', 'localhost'), rpId: 'localhost' };
});
afterAll(() => world.close());

type Headers = Record<string, string>;

async function ask(method: string, path: string, body?: object, headers: Headers = {}) {
  const response = await fetch(`${page.origin}${path}`, {
    method,
    headers: { origin: page.origin, 'content-type': 'application/json', ...headers },
    ...(body && { body: JSON.stringify(body) }),
  });
  const text = await response.text();
  return { status: response.status, body: text ? JSON.parse(text) : null, headers: response.headers };
}

/** A coach signed in on a browser of its own. */
async function signedIn({ email, identity }: Coach, password = PASSWORD): Promise<Headers> {
  const answer = await ask('POST', '/api/session', { email, password });
  expect(answer.status).toBe(201);
  const cookie = sessionCookie(answer.headers).split(';')[0]!;
  return { cookie, [OWNER_HEADER]: ownerOf(identity) };
}

async function madeBy(headers: Headers, device = new SoftAuthenticator(), password = PASSWORD) {
  const options = await ask('POST', '/api/passkeys/options', { password }, headers);
  expect([options.status, options.body.rp]).toEqual([200, { id: 'localhost', name: 'Pedastance' }]);
  const made = device.make(options.body.challenge, page);
  const kept = await ask('POST', '/api/passkeys', made, headers);
  expect([kept.status, kept.body]).toEqual([201, { id: made.id }]);
  return { device, made };
}

const challenge = async (): Promise<string> =>
  (await ask('POST', '/api/session/passkey/options')).body.challenge;

const entered = async (device: SoftAuthenticator, on = page) =>
  ask('POST', '/api/session/passkey', device.answer(await challenge(), on));

test('made with the password, it signs in without one, is listed with when it was used, and ends', async () => {
  const headers = await signedIn(world.lantern);
  const { device } = await madeBy(headers);
  const answer = await entered(device);
  expect(answer).toMatchObject({ status: 201, body: { identity: { instructorName: 'Ada' } } });
  const cookie = sessionCookie(answer.headers).split(';')[0]!;
  const own = { ...headers, cookie };
  expect((await ask('GET', '/api/today', undefined, own)).status).toBe(200);
  const [listed] = (await ask('GET', '/api/passkeys', undefined, own)).body;
  expect(listed).toMatchObject({ usedAt: expect.any(String) });
  const foreign = await signedIn(world.harbour);
  expect((await ask('GET', '/api/passkeys', undefined, foreign)).body).toEqual([]);
  // Nobody else ends it.
  await ask('DELETE', '/api/passkeys', { id: listed.id }, foreign);
  expect((await entered(device)).status).toBe(201);
  expect((await ask('DELETE', '/api/passkeys', { id: listed.id }, own)).status).toBe(204);
  expect((await entered(device)).status).toBe(401);
  const { audit } = (await ask('GET', '/api/privacy', undefined, own)).body;
  const acts = audit.map(({ act }: { act: string }) => act);
  expect(acts.slice(0, 2)).toEqual(['passkey ended', 'passkey made']);
});

test('is not made without the password, from another’s challenge, twice, or from another page', async () => {
  const [ada, bo] = [await signedIn(world.lantern), await signedIn(world.colleague)];
  const wrong = await ask('POST', '/api/passkeys/options', { password: 'not this one' }, ada);
  expect([wrong.status, wrong.body.faults[0].field]).toEqual([422, 'password']);
  const options = await ask('POST', '/api/passkeys/options', { password: PASSWORD }, ada);
  const device = new SoftAuthenticator();
  const keep = (made: object, headers = ada) => ask('POST', '/api/passkeys', made, headers);
  expect((await keep(device.make(options.body.challenge, page), bo)).status).toBe(422);
  const elsewhere = { origin: 'https://elsewhere.example', rpId: 'elsewhere.example' };
  expect((await keep(device.make(options.body.challenge, elsewhere))).status).toBe(422);
  expect((await keep(device.make('A'.repeat(72), page))).status).toBe(422);
  const made = device.make(options.body.challenge, page);
  expect((await keep(made)).status).toBe(201);
  expect((await keep(made, ada)).status).toBe(422);
  const by = await fetch(`${world.origin}/api/passkeys/options`, {
    method: 'POST',
    headers: { ...ada, origin: world.origin, 'content-type': 'application/json' },
    body: JSON.stringify({ password: PASSWORD }),
  });
  expect(((await by.json()) as { type: string }).type).toBe('about:pedastance/no-name');
});

test('an answer signs in once, to its own challenge and page alone, and by the key it was made with', async () => {
  const { device, made } = await madeBy(await signedIn(world.colleague));
  const given = device.answer(await challenge(), page);
  const send = (body: object) => ask('POST', '/api/session/passkey', body);
  expect((await send(given)).status).toBe(201);
  expect((await send(given)).status).toBe(401);
  const elsewhere = { origin: 'https://elsewhere.example', rpId: 'elsewhere.example' };
  expect((await entered(device, elsewhere)).status).toBe(401);
  expect((await send(device.answer('A'.repeat(72), page))).status).toBe(401);
  const forged = new SoftAuthenticator().answer(await challenge(), page);
  expect((await send({ ...forged, id: made.id, rawId: made.id })).status).toBe(401);
  expect((await entered(new SoftAuthenticator())).status).toBe(401);
  expect((await send({ ...given, response: { ...given.response, signature: '!' } })).status).toBe(422);
});

test('ends with a new password, however that came, and with its coach’s access', async () => {
  const NEXT = 'another and long enough';
  const { lantern, colleague } = world;
  const change = (headers: Headers, before: string, after: string) =>
    ask('PUT', '/api/password', { before, after }, headers);

  const bo = await signedIn(colleague);
  const changed = await madeBy(bo);
  expect((await change(bo, PASSWORD, NEXT)).status).toBe(204);
  expect((await entered(changed.device)).status).toBe(401);

  const again = await madeBy(bo, new SoftAuthenticator(), NEXT);
  const { codes } = (await ask('POST', '/api/recovery-codes', { password: NEXT }, bo)).body;
  await ask('PUT', '/api/recovery', { email: colleague.email, code: codes[0], password: PASSWORD });
  expect((await entered(again.device)).status).toBe(401);

  const reset = await madeBy(await signedIn(colleague));
  const ada = await signedIn(lantern);
  const link = await ask('POST', '/api/resets', { id: colleague.identity.instructorId }, ada);
  await ask('PUT', '/api/reset', { code: link.body.code, password: NEXT });
  expect((await entered(reset.device)).status).toBe(401);

  const left = await madeBy(await signedIn(colleague, NEXT), new SoftAuthenticator(), NEXT);
  const { instructorId: id } = colleague.identity;
  await ask('PUT', '/api/colleagues', { id, role: 'instructor', ends: true }, ada);
  expect((await entered(left.device)).status).toBe(401);
  const [kept] = await asAdmin<{ count: number }>(
    world.adminUrl,
    'select count(*)::integer as count from passkey where instructor_id = $1',
    [id],
  );
  expect(kept!.count).toBe(0);
});
