import type { Express } from 'express';
import { v7 as uuidv7 } from 'uuid';
import {
  landCard,
  landPain,
  landRecord,
  newAddress,
  newBuild,
  newCardLink,
  newConsent,
  newDrill,
  newMatSession,
  newOwnLadder,
  newPainAnswer,
  newLesson,
  newMethod,
  newPhoto,
  newScreen,
  newStandIn,
  newStudent,
} from './bodies';
import { asAdmin, openWorld, type Answer, type Coach, type World } from './world';

let world: World;
let landed: Awaited<ReturnType<typeof landRecord>>;
let painTick: string;

beforeAll(async () => {
  world = await openWorld();
  landed = await landRecord(world, world.lantern);
  const { token } = await landCard(world, world.lantern, landed);
  painTick = (await landPain(world, world.lantern, landed.student.id, token)).tick.id;
}, 60_000);
afterAll(() => world.close());

/** Every route the live router answers, as "METHOD path". */
function liveRoutes(app: Express): string[] {
  const stack = (
    app as unknown as { router: { stack: { route?: { path: string; methods: Record<string, boolean> } }[] } }
  ).router.stack;
  return stack.flatMap(({ route }) =>
    route ? Object.keys(route.methods).map((method) => `${method.toUpperCase()} ${route.path}`) : [],
  );
}

interface Listed {
  path: string;
  /** What is sent; every write has a body that lands. */
  body?: () => object;
  open?: boolean;
  /** What another academy gets for the same request. */
  toOtherAcademy?: (answer: Answer) => void;
}

const nothingOf = (answer: Answer) => {
  expect(answer.status).toBe(200);
  expect(JSON.stringify(answer.body)).not.toContain(landed.student.id);
};
const nothingOfLantern = (answer: Answer) => {
  expect(answer.status).toBe(200);
  expect(JSON.stringify(answer.body)).not.toContain(world.lantern.identity.instructorId);
};
const refusedReference = (answer: Answer) => {
  expect(answer.status).toBe(422);
  expect(answer.body.faults[0].field).toMatch(/studentId|lessonId|tickId/);
};
const notFound = (answer: Answer) => expect(answer.status).toBe(404);

/** The whole API. A route that is not listed here fails the test. */
const LISTED: Record<string, Listed> = {
  'GET /api/health': { path: '/api/health', open: true },
  'GET /api/ready': { path: '/api/ready', open: true },
  'POST /api/session': { path: '/api/session', open: true },
  'GET /api/session': { path: '/api/session', open: true },
  'DELETE /api/session': { path: '/api/session' },
  'PUT /api/privacy/seen': { path: '/api/privacy/seen' },
  'GET /api/session/place': { path: '/api/session/place', toOtherAcademy: nothingOf },
  'PUT /api/session/place': { path: '/api/session/place' },
  'POST /api/academy': { path: '/api/academy', open: true },
  'POST /api/invitation': { path: '/api/invitation', open: true },
  'POST /api/colleagues': { path: '/api/colleagues', open: true },
  'GET /api/colleagues': { path: '/api/colleagues', toOtherAcademy: nothingOfLantern },
  'PUT /api/colleagues': { path: '/api/colleagues' },
  'POST /api/invites': { path: '/api/invites' },
  'DELETE /api/invites': { path: '/api/invites' },
  'PUT /api/password': { path: '/api/password' },
  'POST /api/resets': { path: '/api/resets' },
  'POST /api/reset': { path: '/api/reset', open: true },
  'PUT /api/reset': { path: '/api/reset', open: true },
  'PUT /api/recovery': { path: '/api/recovery', open: true },
  'GET /api/recovery-codes': { path: '/api/recovery-codes' },
  'POST /api/recovery-codes': { path: '/api/recovery-codes' },
  'GET /card': { path: '/card/', open: true },
  'POST /api/card': { path: '/api/card', open: true },
  'POST /api/card/pictures': { path: '/api/card/pictures', open: true },
  'POST /api/card/seen': { path: '/api/card/seen', open: true },
  'POST /api/card/ticks': { path: '/api/card/ticks', open: true },
  'POST /api/card/calendar': { path: '/api/card/calendar', open: true },
  'POST /api/card-links': {
    path: '/api/card-links',
    body: () => newCardLink(landed.student.id, landed.card.id).link,
    toOtherAcademy: notFound,
  },
  'POST /api/drills': { path: '/api/drills', body: () => newDrill() },
  'GET /api/drills': { path: '/api/drills' },
  'POST /api/ladders': { path: '/api/ladders', body: () => newOwnLadder() },
  'GET /api/ladders': { path: '/api/ladders' },
  'POST /api/mat-sessions': {
    path: '/api/mat-sessions',
    body: () => newMatSession(landed.student.id),
    toOtherAcademy: notFound,
  },
  'GET /api/mat-sessions/:sessionId/frames': { path: '/api/mat-sessions/:sessionId/frames' },
  'DELETE /api/card-links': { path: '/api/card-links' },
  'GET /api/students/:studentId/cards': {
    path: '/api/students/:studentId/cards',
    toOtherAcademy: notFound,
  },
  'POST /api/photos': {
    path: '/api/photos',
    body: () => newPhoto(landed.student.id, landed.address.id),
    toOtherAcademy: notFound,
  },
  'DELETE /api/photos': { path: '/api/photos' },
  'GET /api/photos/:photoId': { path: '/api/photos/:photoId', toOtherAcademy: notFound },
  'GET /api/students/:studentId/photos': {
    path: '/api/students/:studentId/photos',
    toOtherAcademy: notFound,
  },
  'GET /api/today': { path: '/api/today', toOtherAcademy: nothingOf },
  'GET /api/exports/academy': { path: '/api/exports/academy', toOtherAcademy: nothingOf },
  'GET /api/exports/students/:studentId': {
    path: '/api/exports/students/:studentId',
    toOtherAcademy: notFound,
  },
  'GET /api/exports/tables/:table': { path: '/api/exports/tables/students', toOtherAcademy: nothingOf },
  'POST /api/imports': { path: '/api/imports' },
  'GET /api/privacy': { path: '/api/privacy', toOtherAcademy: nothingOf },
  'GET /api/students/:studentId/privacy': {
    path: '/api/students/:studentId/privacy',
    toOtherAcademy: notFound,
  },
  'POST /api/consents': {
    path: '/api/consents',
    body: () => newConsent(landed.student.id),
    toOtherAcademy: notFound,
  },
  'POST /api/pain-answers': {
    path: '/api/pain-answers',
    body: () => newPainAnswer(landed.student.id, painTick),
    toOtherAcademy: refusedReference,
  },
  'POST /api/erasures': {
    path: '/api/erasures',
    body: () => ({ studentId: landed.student.id, name: landed.student.name }),
    toOtherAcademy: notFound,
  },
  'DELETE /api/erasures': { path: '/api/erasures' },
  'GET /api/sessions': { path: '/api/sessions' },
  'POST /api/passkeys/options': { path: '/api/passkeys/options' },
  'POST /api/passkeys': { path: '/api/passkeys' },
  'GET /api/passkeys': { path: '/api/passkeys' },
  'DELETE /api/passkeys': { path: '/api/passkeys' },
  'POST /api/session/passkey/options': { path: '/api/session/passkey/options', open: true },
  'POST /api/session/passkey': { path: '/api/session/passkey', open: true },
  'DELETE /api/sessions': { path: '/api/sessions' },
  'GET /api/changes': { path: '/api/changes', toOtherAcademy: nothingOf },
  'GET /api/methods/:methodId': { path: '/api/methods/:methodId', toOtherAcademy: notFound },
  'POST /api/methods': { path: '/api/methods', body: () => newMethod() },
  'GET /api/students': { path: '/api/students', toOtherAcademy: nothingOf },
  'GET /api/students/:studentId': { path: '/api/students/:studentId', toOtherAcademy: notFound },
  'POST /api/students': { path: '/api/students', body: () => newStudent() },
  'PUT /api/students': {
    path: '/api/students',
    body: () => ({ ...newStudent(), studentId: landed.student.id, version: 1, name: 'Marl Testwick-Edited' }),
    toOtherAcademy: notFound,
  },
  'POST /api/builds': {
    path: '/api/builds',
    body: () => newBuild(landed.student.id),
    toOtherAcademy: refusedReference,
  },
  'POST /api/screens': {
    path: '/api/screens',
    body: () => newScreen(landed.student.id, landed.build.id),
    toOtherAcademy: (answer) => {
      expect(answer.status).toBe(422);
      expect(answer.body.faults[0].field).toBe('buildId');
    },
  },
  'POST /api/lessons': {
    path: '/api/lessons',
    body: () => newLesson(landed.student.id),
    toOtherAcademy: refusedReference,
  },
  'POST /api/entries': {
    path: '/api/entries',
    body: () => newAddress(landed.lesson.id),
    toOtherAcademy: refusedReference,
  },
  'POST /api/stand-in': {
    path: '/api/stand-in',
    body: () => newStandIn(landed.student.id),
    toOtherAcademy: notFound,
  },
  'GET /api/stand-in/:sessionId/shots': { path: '/api/stand-in/:sessionId/shots' },
};

const pathOf = ({ path }: Listed): string =>
  path.replace(':studentId', landed.student.id).replace(':photoId', landed.photo.id);

const call = (ask: Coach['ask'], name: string, listed: Listed, body = listed.body?.()) =>
  ask(name.split(' ')[0]!, pathOf(listed), body);

test('every live route is listed, and every listed route is live', () => {
  expect(liveRoutes(world.app).sort()).toEqual(Object.keys(LISTED).sort());
});

describe.each(Object.entries(LISTED).filter(([, listed]) => !listed.open))('%s', (name, listed) => {
  test('with no session: 401, as problem details', async () => {
    const answer = await call(world.ask, name, listed);
    expect(answer.status).toBe(401);
    expect(answer.headers.get('content-type')).toMatch('application/problem+json');
    expect(answer.body).toMatchObject({ status: 401, title: 'Sign in first' });
  });

  test('made for somebody else than is signed in: 401', async () => {
    const method = name.split(' ')[0]!;
    const answer = await world.lantern.ask(method, pathOf(listed), listed.body?.(), {
      'x-pedastance-owner': `${world.harbour.identity.academyId}:${world.harbour.identity.instructorId}`,
    });
    expect(answer.status).toBe(401);
    expect(answer.body.type).toMatch('another-owner');
  });

  if (listed.toOtherAcademy) {
    test('from the other academy: nothing of this one', async () => {
      listed.toOtherAcademy!(await call(world.harbour.ask, name, listed));
    });
  }
});

const WRITES = Object.entries(LISTED).filter(([, listed]) => listed.body);

describe.each(WRITES)('%s', (name, listed) => {
  test('a bad body names each field, what was expected and what was found, and writes nothing', async () => {
    const before = await count();
    const good = listed.body!();
    for (const field of Object.keys(good)) {
      const answer = await call(world.lantern.ask, name, listed, { ...good, [field]: { not: 'this' } });
      expect([answer.status, field]).toEqual([422, field]);
      const fault = answer.body.faults[0];
      expect(`${fault.field} ${fault.expected}`).toContain(field);
      expect(fault.expected).not.toBe('');
      expect(answer.body.detail).toContain('expected');
    }
    const strange = await call(world.lantern.ask, name, listed, { ...good, stray: 1 });
    expect(strange.body.faults).toEqual([{ field: 'body', expected: 'only known fields', found: 'stray' }]);
    expect((await call(world.lantern.ask, name, listed, '{"half": ' as never)).status).toBe(400);
    expect(await count()).toEqual(before);
  });

  test('from another origin, or from none: 403', async () => {
    const method = name.split(' ')[0]!;
    const other = await world.lantern.ask(method, listed.path, listed.body!(), {
      origin: 'https://elsewhere.example',
    });
    expect(other.status).toBe(403);
    const none = await world.lantern.ask(method, listed.path, listed.body!(), { origin: '' });
    expect(none.status).toBe(403);
  });

  test('a body over the limit: 413', async () => {
    const answer = await call(world.lantern.ask, name, listed, {
      ...listed.body!(),
      cautions: 'x'.repeat(700_000),
    });
    expect(answer.status).toBe(413);
  });
});

/** How many rows there are of what the writes write. */
async function count() {
  const { students, methods } = (await world.lantern.ask('GET', '/api/changes')).body;
  const log = await world.lantern.ask('GET', `/api/students/${landed.student.id}`);
  const { builds, screens, entries } = log.body;
  return [students, builds, screens, entries, methods].map((rows) => rows.length);
}

const NOT_LANDING = ['PUT /api/students', 'POST /api/erasures'];
const LANDING = WRITES.filter(([name]) => !NOT_LANDING.includes(name));

describe.each(LANDING)('%s', (name, listed) => {
  test('sent twice: the original answer, once in the database', async () => {
    const body = listed.body!();
    const first = await call(world.lantern.ask, name, listed, body);
    const rows = await count();
    const second = await call(world.lantern.ask, name, listed, body);
    expect([first.status, second.status]).toEqual([201, 200]);
    expect(second.body).toEqual(first.body);
    expect(await count()).toEqual(rows);
  });

  test('sent eight times at once: lands once, and all get the one answer', async () => {
    const body = listed.body!();
    const rows = await count();
    const answers = await Promise.all(
      Array.from({ length: 8 }, () => call(world.lantern.ask, name, listed, body)),
    );
    expect(answers.filter((answer) => answer.status === 201)).toHaveLength(1);
    expect(answers.filter((answer) => answer.status === 200)).toHaveLength(7);
    expect(new Set(answers.map((answer) => JSON.stringify(sorted(answer.body)))).size).toBe(1);
    const grown =
      (await count()).reduce((sum, value) => sum + value, 0) - rows.reduce((sum, value) => sum + value, 0);
    expect(grown).toBe(
      /lessons|stand-in|consents|pain-answers|card-links|drills|ladders|mat-sessions|photos/.test(name)
        ? 0
        : 1,
    );
  });

  test('the same id with another body: 409, and what landed first stands', async () => {
    const body = listed.body!() as { id: string };
    await call(world.lantern.ask, name, listed, body);
    const other = { ...(listed.body!() as object), id: body.id, madeAt: '2026-06-06T06:06:06.000Z' };
    if (name.includes('lessons'))
      Object.assign(other, { startedAt: '2026-06-06T06:06:06.000Z', madeAt: undefined });
    const answer = await call(world.lantern.ask, name, listed, JSON.parse(JSON.stringify(other)));
    expect(answer.status).toBe(409);
    expect(answer.body.type).toMatch('conflict');
  });

  test('the same id and body from a colleague is a conflict too', async () => {
    const body = listed.body!();
    await call(world.lantern.ask, name, listed, body);
    expect((await call(world.colleague.ask, name, listed, body)).status).toBe(409);
  });
});

function sorted(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(sorted);
  if (!value || typeof value !== 'object') return value;
  const fields = Object.entries(value).sort();
  return Object.fromEntries(fields.map(([key, inner]) => [key, sorted(inner)]));
}

describe('screens', () => {
  test('come back as they were sent, newest first', async () => {
    const { student, build, screen } = await landRecord(world, world.lantern);
    const later = newScreen(student.id, build.id, {
      madeAt: '2026-05-02T10:00:00.000Z',
      turnedOn: null,
      items: [{ item: 'trunkBack', tries: [44], by: 'typed', uncertainty: null, pain: '', takenAt: null }],
    });
    await world.lantern.ask('POST', '/api/screens', later);
    const { body } = await world.lantern.ask('GET', `/api/students/${student.id}`);
    expect(body.screens).toEqual([later, screen]);
  });

  test('with a build of another student are refused', async () => {
    const one = await landRecord(world, world.lantern);
    const other = await landRecord(world, world.lantern);
    const answer = await world.lantern.ask('POST', '/api/screens', newScreen(one.student.id, other.build.id));
    expect([answer.status, answer.body.faults[0].field]).toEqual([422, 'buildId']);
  });

  test('a turn-in of 95 degrees, a third try, and a turn on unknown feet are refused by name', async () => {
    const fault = async (over: Parameters<typeof newScreen>[2]) => {
      const body = newScreen(landed.student.id, landed.build.id, over);
      const answer = await world.lantern.ask('POST', '/api/screens', body);
      expect(answer.status).toBe(422);
      return answer.body.faults[0];
    };
    const item = (tries: number[]) => [
      {
        item: 'turnInTrail' as const,
        tries,
        by: 'typed' as const,
        uncertainty: null,
        pain: '',
        takenAt: null,
      },
    ];
    expect(await fault({ items: item([95]) })).toEqual({
      field: 'items.0.tries.0',
      expected: 'at most 70',
      found: '95',
    });
    expect((await fault({ items: item([5, 6, 7]) })).expected).toBe('at most 2 of them');
    expect((await fault({ items: item([]) })).field).toBe('items.0.tries');
    expect((await fault({ turnedOn: null })).field).toBe('turnedOn');
  });
});

describe('edits', () => {
  test('from a stale version: 409 with what the student is now; sent again the first answer', async () => {
    const { student } = await landRecord(world, world.lantern);
    const edit = (version: number, name: string) => ({
      ...newStudent({ name }),
      studentId: student.id,
      version,
    });
    const first = edit(1, 'Marl the First');
    const landedFirst = await world.lantern.ask('PUT', '/api/students', first);
    expect(landedFirst).toMatchObject({ status: 201, body: { version: 2, name: 'Marl the First' } });
    const stale = await world.colleague.ask('PUT', '/api/students', edit(1, 'Marl the Other'));
    expect(stale).toMatchObject({ status: 409, body: { current: { version: 2, name: 'Marl the First' } } });
    expect(await world.lantern.ask('PUT', '/api/students', first)).toMatchObject({
      status: 200,
      body: { version: 2 },
    });
    expect((await world.lantern.ask('GET', `/api/students/${student.id}`)).body.student.name).toBe(
      'Marl the First',
    );
  });

  test('of a student that is not there: 404', async () => {
    const body = { ...newStudent(), studentId: uuidv7(), version: 1 };
    expect((await world.lantern.ask('PUT', '/api/students', body)).status).toBe(404);
  });
});

describe('house methods', () => {
  const post = (coach: Coach, body: object) => coach.ask('POST', '/api/methods', body);

  test('the next version is added beside the old one, which is not touched', async () => {
    const first = newMethod();
    expect((await post(world.lantern, first)).status).toBe(201);
    const second = newMethod({ methodId: first.methodId, version: 2, name: 'Of our own, again' });
    expect((await post(world.lantern, second)).status).toBe(201);
    const { body } = await world.lantern.ask('GET', `/api/methods/${first.methodId}`);
    expect(body.map((each: { version: number; name: string }) => [each.version, each.name])).toEqual([
      [2, 'Of our own, again'],
      [1, 'Of our own'],
    ]);
  });

  test('a version made from an older one: 409 with the newest there is', async () => {
    const first = newMethod();
    await post(world.lantern, first);
    const { methodId } = first;
    await post(world.lantern, newMethod({ methodId, version: 2, name: 'Mine' }));
    const stale = await post(world.colleague, newMethod({ methodId, version: 2, name: 'Theirs' }));
    expect(stale).toMatchObject({ status: 409, body: { current: { version: 2, name: 'Mine' } } });
    const gap = await post(world.lantern, newMethod({ methodId, version: 5 }));
    expect(gap.status).toBe(409);
    const nowhere = await post(world.lantern, newMethod({ version: 3 }));
    expect(nowhere).toMatchObject({ status: 409, body: { current: null } });
  });

  test('two coaches at once: one lands, the other is told what is there', async () => {
    const first = newMethod();
    await post(world.lantern, first);
    const next = (name: string) => newMethod({ methodId: first.methodId, version: 2, name });
    const answers = await Promise.all([
      post(world.lantern, next('Mine')),
      post(world.colleague, next('Theirs')),
    ]);
    expect(answers.map((answer) => answer.status).sort()).toEqual([201, 409]);
    const refused = answers.find((answer) => answer.status === 409)!;
    expect(refused.body.current.version).toBe(2);
  });

  test('of the other academy are not seen and not continued', async () => {
    const first = newMethod();
    await post(world.lantern, first);
    const { body } = await world.harbour.ask('GET', '/api/changes');
    expect(body.methods.some((each: { id: string }) => each.id === first.methodId)).toBe(false);
    expect((await world.harbour.ask('GET', `/api/methods/${first.methodId}`)).status).toBe(404);
    const next = await post(world.harbour, newMethod({ methodId: first.methodId, version: 2 }));
    expect(next).toMatchObject({ status: 409, body: { current: null } });
  });

  test.each([
    ['a band upside down', (method: Sent) => (answerOf(method).tolerance.below = -5), /tolerance.below/],
    ['an unknown club', (method: Sent) => answerOf(method).clubs.push('putter' as never), /clubs/],
    ['a missing answer', (method: Sent) => answerOf(method).clubs.pop(), /leadFlare.answers/],
    ['a flare of 120', (method: Sent) => Object.assign(answerOf(method).rule, { value: 120 }), /rule.value/],
  ])('%s is refused whole, and the place is named', async (_what, spoil, field) => {
    const sent: Sent = JSON.parse(JSON.stringify(newMethod()));
    spoil(sent);
    const before = await count();
    const answer = await post(world.lantern, sent);
    expect(answer.status).toBe(422);
    expect(answer.body.faults[0].field).toMatch(field);
    expect(await count()).toEqual(before);
  });
});

type Sent = ReturnType<typeof newMethod>;
const answerOf = (method: Sent) => method.questions.leadFlare.answers[0]!;

describe('the log', () => {
  test('comes back exactly as it was sent, newest first, with both clocks', async () => {
    const record = await landRecord(world, world.lantern);
    const { body } = await world.lantern.ask('GET', `/api/students/${record.student.id}`);
    const byId = Object.fromEntries(body.entries.map((entry: { id: string }) => [entry.id, entry]));
    for (const sent of [record.address, record.reading, record.agreed, record.change]) {
      const { receivedAt, studentId, check, ...entry } = byId[sent.id];
      expect(check?.verdict).toBe(sent.kind === 'reading' ? 'agrees' : undefined);
      expect(entry).toEqual(sent);
      expect(studentId).toBe(record.student.id);
      expect(Math.abs(Date.parse(receivedAt) - Date.now())).toBeLessThan(60_000);
    }
    const times = body.entries.map((entry: { madeAt: string }) => entry.madeAt);
    expect(times).toEqual([...times].sort().reverse());
  });

  test('a correction is a new entry that names the one it replaces', async () => {
    const { student, change } = await landRecord(world, world.lantern);
    const correction = { ...change, id: uuidv7(), reason: 'Said better.', replaces: change.id };
    expect((await world.lantern.ask('POST', '/api/entries', correction)).status).toBe(201);
    const { body } = await world.lantern.ask('GET', `/api/students/${student.id}`);
    const changes = body.entries.filter((entry: { kind: string }) => entry.kind === 'change');
    expect(changes.map((entry: { reason: string }) => entry.reason).sort()).toEqual([
      'Lead foot square.',
      'Said better.',
    ]);
  });

  test('an entry cannot refer to another student’s address, build or reading', async () => {
    const one = await landRecord(world, world.lantern);
    const other = await landRecord(world, world.lantern);
    const foreign = [
      [{ ...one.reading, id: uuidv7(), addressId: other.address.id }, 'addressId'],
      [{ ...one.reading, id: uuidv7(), buildId: other.build.id }, 'buildId'],
      [{ ...one.reading, id: uuidv7(), methodVersion: 99 }, 'methodVersion'],
      [{ ...one.reading, id: uuidv7(), screenId: other.screen.id }, 'screenId'],
      [
        {
          ...one.reading,
          id: uuidv7(),
          judgement: { ...one.reading.judgement!, shotIds: [other.address.id] },
        },
        'shotIds',
      ],
      [{ ...one.change, id: uuidv7(), readingId: other.reading.id }, 'readingId'],
      [{ ...one.change, id: uuidv7(), toAddressId: other.agreed.id }, 'toAddressId'],
      [{ ...one.change, id: uuidv7(), replaces: other.change.id }, 'replaces'],
      [{ ...one.change, id: uuidv7(), toAddressId: one.change.fromAddressId }, 'toAddressId'],
    ] as const;
    for (const [body, field] of foreign) {
      const answer = await world.lantern.ask('POST', '/api/entries', body);
      expect([answer.status, answer.body.faults?.[0].field]).toEqual([422, field]);
    }
  });
});

describe('the web app', () => {
  test('any page opens the app, with nothing inline allowed', async () => {
    const answer = await world.ask('GET', '/students/anything', undefined, { accept: 'text/html' });
    expect(answer.status).toBe(200);
    expect(answer.body).toContain('shell');
    const policy = answer.headers.get('content-security-policy')!;
    expect(policy).toContain("default-src 'self'");
    expect(policy).not.toContain('unsafe-inline');
    // WebAssembly alone may be compiled; no text is run as script.
    expect(policy).not.toContain("'unsafe-eval'");
    expect(policy).toContain("frame-ancestors 'none'");
  });

  test('an address in the API that is none: 404 as problem details', async () => {
    expect(await world.ask('GET', '/api/nothing')).toMatchObject({ status: 404, body: { status: 404 } });
  });
});

describe('what is an owner’s', () => {
  const role = (name: 'owner' | 'instructor') =>
    asAdmin(world.adminUrl, `update instructor set role = $1 where email = 'bo@test.example'`, [name]);
  beforeAll(() => role('instructor'));
  afterAll(() => role('owner'));

  const about = () => ({ studentId: landed.student.id, name: landed.student.name });
  const OWNERS_ONLY: [string, string, () => object | undefined][] = [
    ['GET', '/api/exports/academy', () => undefined],
    ['GET', '/api/exports/tables/students', () => undefined],
    ['POST', '/api/imports?step=preview', () => undefined],
    ['GET', '/api/privacy', () => undefined],
    ['POST', '/api/erasures', about],
    ['DELETE', '/api/erasures', () => ({ studentId: landed.student.id })],
    ['POST', '/api/invites', () => ({ role: 'owner' })],
    ['DELETE', '/api/invites', () => ({ id: uuidv7() })],
    [
      'PUT',
      '/api/colleagues',
      () => ({ id: world.lantern.identity.instructorId, role: 'instructor', ends: true }),
    ],
    ['POST', '/api/resets', () => ({ id: world.lantern.identity.instructorId })],
  ];
  test.each(OWNERS_ONLY)('%s %s: refused to an instructor', async (method, path, body) => {
    const answer = await world.colleague.ask(method, path, body());
    expect([answer.status, answer.body.type]).toEqual([403, 'about:pedastance/owners-only']);
  });
});
