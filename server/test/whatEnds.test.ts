import { tokenHash } from '../accounts/sessions';
import { landRecord, newCardLink, newConsent, newPhoto } from './bodies';
import { bothPictures } from './pictures';
import { sessionCookie } from './sessionCookie';
import { asAdmin, openWorld, PASSWORD, type Coach, type World } from './world';

let world: World;
beforeAll(async () => (world = await openWorld()), 60_000);
afterAll(() => world.close());

const NEW_PASSWORD = 'another and long enough';
const CODE = 'a'.repeat(43);

/** A coach signed in anew, as one who knows the password now. */
async function asOf(email: string, password = PASSWORD): Promise<Record<string, string>> {
  const answer = await world.signIn(email, password);
  expect(answer.status).toBe(201);
  return { cookie: sessionCookie(answer.headers).split(';')[0]! };
}

/** What somebody who knew the password made for later: codes, a session, an invitation, a link for a colleague. */
async function thief(coach: Coach, password = PASSWORD) {
  const headers = { ...coach.headers, ...(await asOf(coach.email, password)) };
  const ask = (method: string, path: string, body?: object) => world.ask(method, path, body, headers);
  const codes = (await ask('POST', '/api/recovery-codes', { password })).body.codes as string[];
  const invitation = await ask('POST', '/api/invites', { role: 'owner' });
  return { ask, codes, code: invitation.body.code as string };
}

const recovered = (email: string, code: string, password = NEW_PASSWORD) =>
  world.ask('PUT', '/api/recovery', { email, code, password });
const opened = (code: string) => world.ask('POST', '/api/invitation', { code });

const changePassword = (coach: Coach, before: string, after: string) =>
  coach.ask('PUT', '/api/password', { before, after });

describe('with a password ends whatever was made beside it', () => {
  test('changed: codes, invitations and every other session; the session that changed it stays', async () => {
    const { lantern } = world;
    const { ask, codes, code } = await thief(lantern);
    expect((await opened(code)).status).toBe(200);
    expect((await changePassword(lantern, PASSWORD, NEW_PASSWORD)).status).toBe(204);
    expect((await recovered(lantern.email, codes[0]!)).status).toBe(401);
    expect((await opened(code)).status).toBe(410);
    expect((await ask('GET', '/api/today')).status).toBe(401);
    expect((await lantern.ask('GET', '/api/today')).status).toBe(200);
    expect((await lantern.ask('GET', '/api/recovery-codes')).body).toEqual({ left: 0 });
    expect((await changePassword(lantern, NEW_PASSWORD, PASSWORD)).status).toBe(204);
    const { audit } = (await lantern.ask('GET', '/api/privacy')).body;
    expect(audit.map(({ act }: { act: string }) => act)).toEqual(
      expect.arrayContaining(['password changed', 'recovery codes made']),
    );
  });

  test('set by a recovery code: the other codes, links to and by the account, invitations and all sessions', async () => {
    const { colleague, lantern } = world;
    const { ask, codes, code } = await thief(colleague);
    const link = await ask('POST', '/api/resets', { id: lantern.identity.instructorId });
    expect(link.status).toBe(201);
    expect((await recovered(colleague.email, codes[0]!)).status).toBe(204);
    expect((await recovered(colleague.email, codes[1]!)).status).toBe(401);
    expect((await opened(code)).status).toBe(410);
    expect((await world.ask('POST', '/api/reset', { code: link.body.code })).status).toBe(410);
    expect((await ask('GET', '/api/today')).status).toBe(401);
    expect((await world.signIn(colleague.email)).status).toBe(401);
    await asOf(colleague.email, NEW_PASSWORD);
  });
});

describe('a link is worth what its maker may do when it is opened', () => {
  const owner = async (role: 'owner' | 'instructor') =>
    world.lantern.ask('PUT', '/api/colleagues', {
      id: world.colleague.identity.instructorId,
      role,
      ends: false,
    });

  test('of an owner who is one no more nobody becomes an owner, nor gets a new password', async () => {
    const headers = { ...world.colleague.headers, ...(await asOf(world.colleague.email, NEW_PASSWORD)) };
    const ask = (method: string, path: string, body?: object) => world.ask(method, path, body, headers);
    const { code } = (await ask('POST', '/api/invites', { role: 'owner' })).body;
    expect((await opened(code)).status).toBe(200);
    expect((await owner('instructor')).status).toBe(204);
    expect((await opened(code)).status).toBe(410);
    const joining = { code, name: 'Eve', email: 'eve@test.example', password: NEW_PASSWORD };
    expect((await world.ask('POST', '/api/colleagues', joining)).status).toBe(410);
    // Made an owner again, what was handed out before stays ended.
    expect((await owner('owner')).status).toBe(204);
    expect((await opened(code)).status).toBe(410);
    // Were the invitation left open by mistake, it is still worth nothing.
    await asAdmin(world.adminUrl, 'update invite set withdrawn_at = null where code_hash = $1', [
      tokenHash(code),
    ]);
    expect((await owner('instructor')).status).toBe(204);
    await asAdmin(world.adminUrl, 'update invite set withdrawn_at = null where code_hash = $1', [
      tokenHash(code),
    ]);
    expect((await world.ask('POST', '/api/colleagues', joining)).status).toBe(410);
    expect((await owner('owner')).status).toBe(204);
  });
});

describe('an owner is told in the day what was done with keys, access and consent', () => {
  const acts = async (coach: Coach): Promise<number> => (await coach.ask('GET', '/api/today')).body.acts;
  const look = async (coach: Coach): Promise<string[]> => {
    const { audit } = (await coach.ask('GET', '/api/privacy')).body;
    expect((await coach.ask('PUT', '/api/privacy/seen', { newest: audit[0].id })).status).toBe(204);
    return audit.map(({ act }: { act: string }) => act);
  };

  test('by others, and what lets in to one’s own account; once looked through it is told no more', async () => {
    const { lantern } = world;
    const colleague = {
      ...world.colleague,
      headers: { ...world.colleague.headers, ...(await asOf(world.colleague.email, NEW_PASSWORD)) },
    };
    colleague.ask = (method, path, body) => world.ask(method, path, body, colleague.headers);
    await look(lantern);
    await look(colleague);
    expect([await acts(lantern), await acts(colleague)]).toEqual([0, 0]);
    // Reading students in and out is no matter of keys: it stands in the list alone.
    expect((await colleague.ask('GET', '/api/exports/academy')).status).toBe(200);
    expect((await colleague.ask('POST', '/api/invites', { role: 'instructor' })).status).toBe(201);
    expect([await acts(lantern), await acts(colleague)]).toEqual([1, 0]);
    const codes = await colleague.ask('POST', '/api/recovery-codes', { password: NEW_PASSWORD });
    expect(codes.status).toBe(201);
    expect([await acts(lantern), await acts(colleague)]).toEqual([2, 1]);
    const { student } = await landRecord(world, lantern);
    const no = { by: 'student', guardian: '', given: false, photos: false, sharing: false } as const;
    expect((await lantern.ask('POST', '/api/consents', newConsent(student.id, no))).status).toBe(201);
    expect([await acts(lantern), await acts(colleague)]).toEqual([2, 2]);
    expect((await look(lantern)).slice(0, 3)).toEqual([
      'consent withdrawn',
      'recovery codes made',
      'invited',
    ]);
    expect([await acts(lantern), await acts(colleague)]).toEqual([0, 2]);
    // An act of another academy is no place to have looked to, and whoever is no owner is told nothing.
    await world.harbour.ask('POST', '/api/invites', { role: 'instructor' });
    const foreign = (await world.harbour.ask('GET', '/api/privacy')).body.audit[0].id as string;
    expect((await colleague.ask('PUT', '/api/privacy/seen', { newest: foreign })).status).toBe(204);
    expect(await acts(colleague)).toBe(2);
    const { instructorId } = colleague.identity;
    const demoted = { id: instructorId, role: 'instructor', ends: false };
    expect((await lantern.ask('PUT', '/api/colleagues', demoted)).status).toBe(204);
    expect(await acts(colleague)).toBe(0);
    expect((await lantern.ask('PUT', '/api/colleagues', { ...demoted, role: 'owner' })).status).toBe(204);
  });
});

describe('a no to records and pictures', () => {
  const own = { by: 'student', guardian: '' } as const;
  const said = (studentId: string, over: object) =>
    world.lantern.ask('POST', '/api/consents', newConsent(studentId, { ...own, ...over }));
  const consentOf = async (id: string) =>
    (await world.lantern.ask('GET', `/api/students/${id}`)).body.student.consent;
  const YES = { given: true, photos: true, sharing: true };
  const NO = { given: false, photos: false, sharing: false };

  test('wins over a yes that is dated later, and over one that was said before it and came after', async () => {
    const { student } = await landRecord(world, world.lantern);
    const known = (await consentOf(student.id)).id;
    const tomorrow = new Date(Date.now() + 20 * 60 * 60 * 1000).toISOString();
    expect((await said(student.id, { ...YES, after: known, madeAt: tomorrow })).status).toBe(201);
    const last = (await consentOf(student.id)).id;
    // By a clock that is behind.
    expect((await said(student.id, { ...NO, madeAt: '2026-01-01T10:00:00.000Z' })).status).toBe(201);
    expect(await consentOf(student.id)).toMatchObject(NO);
    const late = await said(student.id, { ...YES, after: last, madeAt: tomorrow });
    expect(late).toMatchObject({ status: 409, body: { type: expect.stringMatching(/consent-meanwhile/) } });
    expect(await consentOf(student.id)).toMatchObject(NO);
    const asked = (await consentOf(student.id)).id;
    expect((await said(student.id, { ...YES, after: asked })).status).toBe(201);
    expect(await consentOf(student.id)).toMatchObject(YES);
  });

  test('closes pictures at once: of photos, and of cards that were handed out', async () => {
    const record = await landRecord(world, world.lantern);
    const { id: known } = await consentOf(record.student.id);
    expect((await said(record.student.id, { ...YES, after: known })).status).toBe(201);
    const { token, link } = newCardLink(record.student.id, record.card.id, {
      pictures: await bothPictures(),
    });
    expect((await world.lantern.ask('POST', '/api/card-links', link)).status).toBe(201);
    const picture = () => world.lantern.ask('GET', `/api/photos/${record.photo.id}`);
    expect((await picture()).status).toBe(200);
    expect((await world.ask('POST', '/api/card/pictures', { token })).body.pictures).not.toBeNull();
    expect((await said(record.student.id, NO)).status).toBe(201);
    expect((await picture()).status).toBe(404);
    expect((await world.ask('POST', '/api/card/pictures', { token })).body).toEqual({ pictures: null });
  });

  test('raced by links with pictures leaves none of them showing any', async () => {
    const pictures = async (token: string) =>
      (await world.ask('POST', '/api/card/pictures', { token })).body.pictures;
    for (let round = 0; round < 5; round += 1) {
      const record = await landRecord(world, world.lantern);
      const { id: known } = await consentOf(record.student.id);
      expect((await said(record.student.id, { ...YES, after: known })).status).toBe(201);
      const both = await bothPictures();
      const links = Array.from({ length: 5 }, () =>
        newCardLink(record.student.id, record.card.id, { pictures: both }),
      );
      const first = links.pop()!;
      expect((await world.lantern.ask('POST', '/api/card-links', first.link)).status).toBe(201);
      expect(await pictures(first.token)).toBeTruthy();
      await Promise.all([
        ...links.map(({ link }) => world.lantern.ask('POST', '/api/card-links', link)),
        said(record.student.id, NO),
      ]);
      for (const { token } of [first, ...links]) expect((await pictures(token)) ?? null).toBeNull();
    }
  });

  test('a minor’s own yes is none on the day of age by the device’s word alone', async () => {
    const { student } = await landRecord(world, world.lantern);
    const year = new Date().getUTCFullYear() - 17;
    await asAdmin(world.adminUrl, 'update student set birth_year = $2, born_on = null where id = $1', [
      ...[student.id, year],
    ]);
    const known = (await consentOf(student.id)).id;
    const ofAge = `${year + 18}-12-31`;
    const early = (await said(student.id, { ...YES, after: known, on: ofAge })).body.faults[0].field;
    expect(early).toBe(ofAge > new Date(Date.now() + 86_400_000).toISOString().slice(0, 10) ? 'on' : 'by');
    const today = new Date().toISOString().slice(0, 10);
    expect((await said(student.id, { ...YES, after: known, on: today })).body.faults[0].field).toBe('by');
  });

  test('a photo that was deleted does not come back, whoever sends it again', async () => {
    const record = await landRecord(world, world.lantern);
    const { photo, address, student } = record;
    expect((await world.lantern.ask('DELETE', '/api/photos', { id: photo.id })).status).toBe(204);
    await asAdmin(world.adminUrl, 'delete from landed_write where id = $1', [photo.id]);
    await world.lantern.ask('POST', '/api/photos', newPhoto(student.id, address.id, { id: photo.id }));
    expect((await world.lantern.ask('GET', `/api/photos/${photo.id}`)).status).toBe(404);
  });
});

test('a code that nobody made opens nothing', async () => {
  expect((await opened(CODE)).status).toBe(410);
});

test('an address whose access was ended may be invited again, and begin an academy of its own', async () => {
  const email = 'twice@test.example';
  const invited = async () =>
    (await world.lantern.ask('POST', '/api/invites', { role: 'instructor' })).body.code;
  const join = async () =>
    world.ask('POST', '/api/colleagues', {
      ...{ code: await invited(), name: 'Twice Over', email, password: NEW_PASSWORD },
    });
  const first = await join();
  expect(first.status).toBe(201);
  // While access stands the address is taken.
  expect((await join()).status).toBe(409);
  const { instructorId: id } = first.body.identity;
  const ended = await world.lantern.ask('PUT', '/api/colleagues', { id, role: 'instructor', ends: true });
  expect(ended.status).toBe(204);
  expect((await world.signIn(email, NEW_PASSWORD)).status).toBe(401);
  expect((await join()).status).toBe(201);
  const own = (await world.signIn(email, NEW_PASSWORD)).body.identity;
  expect(own.instructorId).not.toBe(id);
});
