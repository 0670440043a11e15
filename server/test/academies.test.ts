import { OWNER_HEADER, ownerOf, type Identity } from '@pedastance/contract';
import { PRESETS } from '@pedastance/core/method/presets';
import { ACADEMIES_PER_ADDRESS, openAttempts, TooManyAttempts } from '../accounts/attempts';
import { isCommonPassword } from '../accounts/commonPasswords';
import { sessionCookie } from './sessionCookie';
import { asAdmin, openWorld, type Answer, type World } from './world';

// Passwords are hashed slowly on purpose.
let world: World;
beforeAll(async () => (world = await openWorld()), 60_000);
afterAll(() => world.close());

const LONG = 'a stance as wide as it takes';

const starter = (over: object = {}) => ({
  academyName: 'Windy Tee',
  name: 'Dot Example',
  email: 'dot@windy.example',
  password: LONG,
  method: 'free-the-hips',
  ...over,
});

/** The headers of a session that an answer opened. */
function headersOf(answer: Answer): Record<string, string> {
  const identity = answer.body.identity as Identity;
  return {
    cookie: sessionCookie(answer.headers).split(';')[0]!,
    [OWNER_HEADER]: ownerOf(identity),
  };
}

const start = (over: object = {}) => world.ask('POST', '/api/academy', starter(over));

/** A new academy with its owner's headers. */
async function academy(email: string): Promise<{ headers: Record<string, string>; identity: Identity }> {
  const answer = await start({ email });
  expect(answer.status).toBe(201);
  return { headers: headersOf(answer), identity: answer.body.identity };
}

async function inviteCode(headers: Record<string, string>, role = 'instructor'): Promise<string> {
  const answer = await world.ask('POST', '/api/invites', { role }, headers);
  expect(answer.status).toBe(201);
  return answer.body.code as string;
}

const join = (code: string, email: string) =>
  world.ask('POST', '/api/colleagues', { code, name: 'Eve Example', email, password: LONG });

describe('an academy of one’s own', () => {
  test('begins at once, signed in, with every school and the chosen one first', async () => {
    const answer = await start({ email: 'first@windy.example' });
    expect(answer).toMatchObject({
      status: 201,
      body: { identity: { academyName: 'Windy Tee', instructorName: 'Dot Example', role: 'owner' } },
    });
    const changes = await world.ask('GET', '/api/changes', undefined, headersOf(answer));
    expect(changes.body.students).toEqual([]);
    expect(changes.body.methods).toHaveLength(PRESETS.length);
    const chosen = PRESETS.find(({ key }) => key === 'free-the-hips')!;
    expect(changes.body.methods[0].name).toBe(chosen.contents.name);
    expect((await world.signIn('first@windy.example', LONG)).status).toBe(201);
  });

  test('sees nothing of another, and another nothing of it', async () => {
    const { headers } = await academy('apart@windy.example');
    expect((await world.ask('GET', '/api/students', undefined, headers)).body.students).toEqual([]);
    const people = await world.ask('GET', '/api/colleagues', undefined, headers);
    expect(people.body.colleagues.map(({ name }: { name: string }) => name)).toEqual(['Dot Example']);
    const lantern = await world.lantern.ask('GET', '/api/colleagues');
    expect(lantern.body.colleagues.map(({ name }: { name: string }) => name)).not.toContain('Dot Example');
  });

  test.each([
    ['a known address', { email: 'ada@test.example' }, 409, 'has an account already'],
    ['a short password', { password: 'tee4two' }, 422, ''],
    ['a common password', { password: 'qwertyuiop' }, 422, ''],
    ['a school that is none', { method: 'luck' }, 422, ''],
    ['no name', { name: ' ' }, 422, ''],
    ['no address', { email: 'somebody' }, 422, ''],
  ])('%s is refused, and nothing begun', async (_what, over, status, title) => {
    const before = await asAdmin<{ n: string }>(world.adminUrl, 'select count(*) as n from academy');
    const answer = await start({ email: 'none@windy.example', ...over });
    expect(answer.status).toBe(status);
    expect(answer.body.title).toContain(title);
    expect(await asAdmin(world.adminUrl, 'select count(*) as n from academy')).toEqual(before);
  });

  test('tries at a known address are limited as at the sign-in', async () => {
    const statuses: number[] = [];
    for (let tried = 0; tried < 7; tried += 1)
      statuses.push((await start({ email: 'bo@test.example' })).status);
    expect(statuses.slice(0, 5)).toEqual([409, 409, 409, 409, 409]);
    expect(statuses.at(-1)).toBe(429);
  });

  test('academies begun from one address are limited, and one too many begins nothing', async () => {
    const attempts = openAttempts(world.pool);
    for (let begun = 0; begun < ACADEMIES_PER_ADDRESS; begun += 1) await attempts.begun('192.0.2.7');
    await expect(attempts.begun('192.0.2.7')).rejects.toThrow(TooManyAttempts);
    await attempts.begun('192.0.2.8');
  });

  test('a password is common when many have it, or when it is one written twice', () => {
    expect(['password123', 'QWERTYUIOP', 'aaaaaaaaaa', 'dragondragon'].map(isCommonPassword)).toEqual([
      true,
      true,
      true,
      true,
    ]);
    expect(isCommonPassword(LONG)).toBe(false);
  });
});

describe('colleagues', () => {
  test('join once, by a link that says where it leads', async () => {
    const { headers, identity } = await academy('host@windy.example');
    const code = await inviteCode(headers);
    const to = await world.ask('POST', '/api/invitation', { code });
    expect(to.body).toEqual({ academyName: 'Windy Tee', invitedBy: 'Dot Example', role: 'instructor' });
    const joined = await join(code, 'eve@windy.example');
    expect(joined).toMatchObject({
      status: 201,
      body: { identity: { academyId: identity.academyId, role: 'instructor' } },
    });
    expect((await join(code, 'late@windy.example')).status).toBe(410);
    expect((await world.ask('POST', '/api/invitation', { code })).status).toBe(410);
    const people = (await world.ask('GET', '/api/colleagues', undefined, headers)).body;
    expect(people.colleagues.map(({ role }: { role: string }) => role)).toEqual(['owner', 'instructor']);
    expect(people.invites).toEqual([]);
  });

  test('an invitation ends, is withdrawn, and its secret is kept as a hash alone', async () => {
    const { headers } = await academy('ends@windy.example');
    const ended = await inviteCode(headers);
    await asAdmin(
      world.adminUrl,
      `update invite set made_at = made_at - interval '8 days', expires_at = expires_at - interval '8 days'`,
    );
    expect((await join(ended, 'too-late@windy.example')).status).toBe(410);
    const withdrawn = await inviteCode(headers);
    const [open] = (await world.ask('GET', '/api/colleagues', undefined, headers)).body.invites;
    expect((await world.ask('DELETE', '/api/invites', { id: open.id }, headers)).status).toBe(204);
    expect((await join(withdrawn, 'not-now@windy.example')).status).toBe(410);
    const rows = await asAdmin<{ text: string }>(world.adminUrl, 'select invite::text as text from invite');
    expect(rows.some(({ text }) => text.includes(withdrawn))).toBe(false);
  });

  test('an address that is known cannot join; the invitation stays open', async () => {
    const { headers } = await academy('again@windy.example');
    const code = await inviteCode(headers);
    expect((await join(code, 'cy@test.example')).status).toBe(409);
    expect((await join(code, 'fresh@windy.example')).status).toBe(201);
  });

  test('an instructor invites nobody and changes nobody', async () => {
    const { headers, identity } = await academy('only@windy.example');
    const eve = headersOf(await join(await inviteCode(headers), 'only-eve@windy.example'));
    expect((await world.ask('POST', '/api/invites', { role: 'owner' }, eve)).status).toBe(403);
    const ends = { id: identity.instructorId, role: 'instructor', ends: true };
    expect((await world.ask('PUT', '/api/colleagues', ends, eve)).status).toBe(403);
  });

  test('ended access ends every session at once, and the last owner stays', async () => {
    const { headers, identity } = await academy('boss@windy.example');
    const joined = await join(await inviteCode(headers), 'leaver@windy.example');
    const leaver = headersOf(joined);
    const id = joined.body.identity.instructorId as string;
    expect((await world.ask('GET', '/api/students', undefined, leaver)).status).toBe(200);
    const change = { id, role: 'instructor', ends: true };
    expect((await world.ask('PUT', '/api/colleagues', change, headers)).status).toBe(204);
    const gone = { status: 401, body: { type: 'about:pedastance/access-ended' } };
    expect(await world.ask('GET', '/api/students', undefined, leaver)).toMatchObject(gone);
    // A device that opens asks with the cookie it has, and says whose it is; without that it learns nothing.
    expect(await world.ask('GET', '/api/session', undefined, leaver)).toMatchObject(gone);
    const { [OWNER_HEADER]: _named, ...unnamed } = leaver;
    expect(await world.ask('GET', '/api/session', undefined, unnamed)).toMatchObject({
      status: 200,
      body: null,
    });
    const stranger = { ...unnamed, [OWNER_HEADER]: `${identity.academyId}:${identity.instructorId}` };
    expect((await world.ask('GET', '/api/session', undefined, stranger)).status).toBe(200);
    expect((await world.signIn('leaver@windy.example', LONG)).status).toBe(401);
    expect((await world.ask('PUT', '/api/colleagues', change, headers)).status).toBe(422);
    const self = { id: identity.instructorId, role: 'instructor', ends: false };
    expect((await world.ask('PUT', '/api/colleagues', self, headers)).body.title).toBe(
      'An academy needs an owner',
    );
  });

  test('another academy’s people are nobody here', async () => {
    const { headers } = await academy('wall@windy.example');
    const change = { id: world.harbour.identity.instructorId, role: 'instructor', ends: true };
    expect((await world.ask('PUT', '/api/colleagues', change, headers)).status).toBe(422);
    expect((await world.harbour.ask('GET', '/api/students')).status).toBe(200);
  });
});

describe('keys', () => {
  test('a new password ends every other session, and the old one opens nothing', async () => {
    const { headers } = await academy('keys@windy.example');
    const other = headersOf(await world.signIn('keys@windy.example', LONG));
    const wrong = { before: 'not this one', after: 'another long one' };
    expect((await world.ask('PUT', '/api/password', wrong, headers)).status).toBe(422);
    const common = { before: LONG, after: 'password1234' };
    expect((await world.ask('PUT', '/api/password', common, headers)).status).toBe(422);
    const right = { before: LONG, after: 'heels under the hips' };
    expect((await world.ask('PUT', '/api/password', right, headers)).status).toBe(204);
    expect((await world.ask('GET', '/api/students', undefined, headers)).status).toBe(200);
    expect((await world.ask('GET', '/api/students', undefined, other)).status).toBe(401);
    expect((await world.signIn('keys@windy.example', LONG)).status).toBe(401);
    expect((await world.signIn('keys@windy.example', 'heels under the hips')).status).toBe(201);
  });

  test('sessions of one’s own are listed, and another one ended', async () => {
    const { headers } = await academy('list@windy.example');
    const other = headersOf(await world.signIn('list@windy.example', LONG));
    const listed = (await world.ask('GET', '/api/sessions', undefined, headers)).body;
    expect(listed.map(({ here }: { here: boolean }) => here).sort()).toEqual([false, true]);
    const here = listed.find((each: { here: boolean }) => each.here);
    const there = listed.find((each: { here: boolean }) => !each.here);
    expect((await world.ask('DELETE', '/api/sessions', { id: here.id }, headers)).status).toBe(422);
    expect((await world.ask('DELETE', '/api/sessions', { id: there.id }, headers)).status).toBe(204);
    expect((await world.ask('GET', '/api/students', undefined, other)).status).toBe(401);
  });

  test('an owner lets a colleague set a new password, once; every session and every other link ends', async () => {
    const { headers, identity } = await academy('forgot@windy.example');
    const joined = await join(await inviteCode(headers), 'forgetful@windy.example');
    const eve = headersOf(joined);
    const id = joined.body.identity.instructorId as string;
    const link = async () => (await world.ask('POST', '/api/resets', { id }, headers)).body.code as string;
    const [code, second] = [await link(), await link()];
    expect((await world.ask('POST', '/api/reset', { code })).body).toEqual({
      academyName: 'Windy Tee',
      instructorName: 'Eve Example',
    });
    expect((await world.ask('PUT', '/api/reset', { code, password: 'password1234' })).status).toBe(422);
    const password = 'one shoe and a quarter back';
    expect((await world.ask('PUT', '/api/reset', { code, password })).status).toBe(204);
    expect((await world.ask('GET', '/api/students', undefined, eve)).status).toBe(401);
    expect((await world.signIn('forgetful@windy.example', LONG)).status).toBe(401);
    expect((await world.signIn('forgetful@windy.example', password)).status).toBe(201);
    for (const used of [code, second])
      expect((await world.ask('PUT', '/api/reset', { code: used, password })).status).toBe(410);
    // Nobody makes a link for oneself, for another academy's people, or as an instructor.
    const again = headersOf(await world.signIn('forgetful@windy.example', password));
    const refused = async (whom: string, by: Record<string, string>) =>
      (await world.ask('POST', '/api/resets', { id: whom }, by)).status;
    expect(await refused(identity.instructorId, headers)).toBe(422);
    expect(await refused(world.harbour.identity.instructorId, headers)).toBe(422);
    expect(await refused(identity.instructorId, again)).toBe(403);
  });

  test('a link that has ended, or whose owner has left, sets nothing', async () => {
    const { headers, identity } = await academy('owner-one@windy.example');
    const two = await join(await inviteCode(headers, 'owner'), 'owner-two@windy.example');
    const id = two.body.identity.instructorId as string;
    const late = (await world.ask('POST', '/api/resets', { id }, headers)).body.code as string;
    await asAdmin(
      world.adminUrl,
      `update reset_link set made_at = made_at - interval '2 days', expires_at = expires_at - interval '2 days'`,
    );
    const password = 'one shoe and a quarter back';
    expect((await world.ask('PUT', '/api/reset', { code: late, password })).status).toBe(410);
    const left = (await world.ask('POST', '/api/resets', { id }, headers)).body.code as string;
    const ends = { id: identity.instructorId, role: 'owner', ends: true };
    expect((await world.ask('PUT', '/api/colleagues', ends, headersOf(two))).status).toBe(204);
    expect((await world.ask('PUT', '/api/reset', { code: left, password })).status).toBe(410);
  });

  test('the demo’s printed password stays as it is', async () => {
    const demo = headersOf(await world.signIn('demo@test.example'));
    const change = { before: 'right-and-long', after: 'heels under the hips' };
    expect((await world.ask('PUT', '/api/password', change, demo)).status).toBe(403);
  });
});

describe('recovery codes', () => {
  const renew = (headers: Record<string, string>, password = LONG) =>
    world.ask('POST', '/api/recovery-codes', { password }, headers);
  const recover = (email: string, code: string, password = 'another one that is long') =>
    world.ask('PUT', '/api/recovery', { email, code, password });

  test('are made by the password, shown once; one lets in once, and ends every session and the others', async () => {
    const email = 'codes@windy.example';
    const { headers } = await academy(email);
    expect((await renew(headers, 'not this one')).body.faults[0].field).toBe('password');
    const { codes } = (await renew(headers)).body as { codes: string[] };
    expect(new Set(codes).size).toBe(8);
    expect(codes[0]).toMatch(/^[A-Z2-7]{4}(-[A-Z2-7]{4}){3}$/);
    const left = () => world.ask('GET', '/api/recovery-codes', undefined, headers);
    expect((await left()).body).toEqual({ left: 8 });
    // As it may be typed: small letters and gaps.
    expect((await recover(email, codes[0]!.toLowerCase().replaceAll('-', ' '))).status).toBe(204);
    expect((await left()).status).toBe(401);
    expect((await world.signIn(email, LONG)).status).toBe(401);
    const again = headersOf(await world.signIn(email, 'another one that is long'));
    expect((await world.ask('GET', '/api/recovery-codes', undefined, again)).body).toEqual({ left: 0 });
    expect((await recover(email, codes[0]!)).status).toBe(401);
    expect((await recover(email, codes[1]!)).status).toBe(401);
  });

  test('new ones end the old ones', async () => {
    const email = 'renewed@windy.example';
    const { headers } = await academy(email);
    const { codes: old } = (await renew(headers)).body as { codes: string[] };
    await renew(headers);
    expect((await recover(email, old[0]!)).status).toBe(401);
  });

  test('are kept as hashes, and answer known and unknown addresses alike', async () => {
    const email = 'alike@windy.example';
    const { headers } = await academy(email);
    const { codes } = (await renew(headers)).body as { codes: string[] };
    const kept = await asAdmin<{ text: string }>(
      world.adminUrl,
      'select row::text as text from recovery_code as row',
    );
    expect(kept.some(({ text }) => codes.some((code) => text.includes(code.replaceAll('-', ''))))).toBe(
      false,
    );
    const wrong = await recover(email, 'AAAA-BBBB-CCCC-DDDD');
    const unknown = await recover('nobody@windy.example', codes[1]!);
    expect([wrong.status, wrong.body]).toEqual([unknown.status, unknown.body]);
    expect((await recover(email, 'short')).body.faults[0].field).toBe('code');
  });

  test('are not for the demo, whose password is printed', async () => {
    const answer = await world.signIn('demo@test.example');
    expect((await renew(headersOf(answer))).status).toBe(403);
  });
});
