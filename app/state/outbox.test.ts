import type { Identity, Student } from '@pedastance/contract';
import type { LessonDraft } from '../domain/lessonDraft';
import { signIn, signOut, startAccount, useAccount } from './account';
import { deviceDatabase, KEPT_IDENTITY, NotTheOwner, writeFor } from './database';
import { useDrafts } from './drafts';
import { answering } from '../test/answering';
import {
  ChangedElsewhere,
  closeOutbox,
  discardWrite,
  NotKept,
  openOutbox,
  post,
  putOver,
  sendQueue,
  useOutbox,
  type Post,
} from './outbox';
import { MOST_FAILURES } from './queuedWrite';
import { keepDeviceKey, openSealed } from './sealing';
import { closeRecords, letGo, openRecords, useRecords } from './records';

const identity = (name: string): Identity => ({
  academyId: `academy-${name}`,
  academyName: name,
  instructorId: name,
  instructorName: name,
});
const OWNER = 'academy-ada:ada';

interface Sent {
  path: string;
  owner: string | undefined;
  body: { id: string };
}

/** A server that answers as told: with a status, something else's answer, or not at all. */
function serverAnswering(decide: (sent: Sent) => number | 'away' | Response) {
  const sent: Sent[] = [];
  globalThis.fetch = (async (path: string, request: RequestInit) => {
    const headers = request.headers as Record<string, string>;
    const queued = {
      path,
      owner: headers['x-pedastance-owner'],
      body: JSON.parse((request.body as string) ?? 'null'),
    };
    sent.push(queued);
    const status = decide(queued);
    if (status === 'away') throw new TypeError('Failed to fetch');
    if (typeof status !== 'number') return status;
    const problem = { type: '', title: 'Refused', status, detail: 'name: expected more, found less.' };
    return answering(status < 400 ? queued.body : problem, status, queued.body?.id);
  }) as typeof fetch;
  return sent;
}

const lesson = (id: string, studentId = 'student'): Post => ({
  subjectId: studentId,
  label: `Lesson ${id}`,
  writing: { route: 'lesson', body: { id, studentId, startedAt: '2026-05-01T10:00:00Z' } },
});

/** Waits until nothing is being sent any more, for two seconds at most. */
async function settle(): Promise<void> {
  const until = Date.now() + 2000;
  do await new Promise((resolve) => setTimeout(resolve, 50));
  while (useOutbox.getState().sending && Date.now() < until);
}

beforeAll(() => {
  globalThis.AbortSignal.timeout ??= () => new AbortController().signal;
});

const asCoach = async (name: string) => {
  useAccount.setState({ status: 'signed in', identity: identity(name) });
  await (await deviceDatabase()).put('device', identity(name), KEPT_IDENTITY);
};

beforeEach(async () => {
  const database = await deviceDatabase();
  for (const store of ['outbox', 'entries', 'students', 'drafts', 'sealed', 'photos'] as const)
    await database.clear(store);
  useDrafts.setState({ notKept: null });
  await asCoach('ada');
  await openRecords(OWNER);
  await openOutbox(OWNER);
});

afterEach(() => {
  closeOutbox();
  closeRecords();
});

test('queued writes go out in order, for their owner, and leave the outbox when they have landed', async () => {
  const sent = serverAnswering(() => 201);
  await post([lesson('one'), lesson('two')]);
  await settle();
  expect(sent.map((queued) => queued.body.id)).toEqual(['one', 'two']);
  expect(new Set(sent.map((queued) => queued.owner))).toEqual(new Set([OWNER]));
  expect(useOutbox.getState().queue).toEqual([]);
});

test('while the server is away they stay, and each goes out once it is back', async () => {
  let away = true;
  const sent = serverAnswering(() => (away ? 'away' : 201));
  await post([lesson('one'), lesson('two')]);
  await settle();
  expect(useOutbox.getState().queue).toHaveLength(2);
  expect(useRecords.getState().serverAway).toBe(true);
  // Nothing after the first is tried while the server is away.
  expect(sent).toHaveLength(1);
  away = false;
  await sendQueue();
  expect(sent.slice(1).map((queued) => queued.body.id)).toEqual(['one', 'two']);
  expect(useOutbox.getState().queue).toEqual([]);
  expect(useRecords.getState().serverAway).toBe(false);
});

test('they are on the device as soon as they are posted, whatever becomes of the page', async () => {
  serverAnswering(() => 'away');
  await post([lesson('one')]);
  const kept = await (await deviceDatabase()).getAllFromIndex('outbox', 'byOwner', OWNER);
  expect(kept.map((queued) => queued.writing.body.id)).toEqual(['one']);
});

test('a refused write waits for the coach and holds back its student’s later ones, not another’s', async () => {
  const sent = serverAnswering(({ body }) => (body.id === 'bad' ? 422 : 201));
  await post([lesson('bad', 'a'), lesson('after', 'a'), lesson('other', 'b')]);
  await settle();
  expect(sent.map((queued) => queued.body.id)).toEqual(['bad', 'other']);
  const { queue } = useOutbox.getState();
  expect(queue.map((queued) => [queued.writing.body.id, queued.refusal?.status])).toEqual([
    ['bad', 422],
    ['after', undefined],
  ]);
  await discardWrite(queue[0]!);
  await settle();
  expect(sent.map((queued) => queued.body.id)).toEqual(['bad', 'other', 'after']);
  expect(useOutbox.getState().queue).toEqual([]);
});

test('an expired session keeps everything and sends nothing more', async () => {
  const sent = serverAnswering(() => 401);
  await post([lesson('one'), lesson('two')]);
  await settle();
  expect(useAccount.getState().status).toBe('expired');
  expect(sent).toHaveLength(1);
  await sendQueue();
  expect(sent).toHaveLength(1);
  expect(useOutbox.getState().queue).toHaveLength(2);
});

test('another coach sees none of it and sends none of it', async () => {
  const away = serverAnswering(() => 'away');
  await post([lesson('one')]);
  await settle();
  closeOutbox();
  await asCoach('bo');
  await openOutbox('academy-bo:bo');
  expect(useOutbox.getState().queue).toEqual([]);
  const sent = serverAnswering(() => 201);
  await sendQueue();
  await settle();
  expect(sent).toEqual([]);
  expect(away).toHaveLength(1);
  const kept = await (await deviceDatabase()).getAllFromIndex('outbox', 'byOwner', OWNER);
  expect(kept).toHaveLength(1);
});

describe('what would stop the outbox', () => {
  const ids = () => useOutbox.getState().queue.map(({ writing }) => writing.body.id);

  test('a write the server fails at is set aside after a few tries, and holds back its own student alone', async () => {
    const sent = serverAnswering(({ body }) => (body.id === 'poison' ? 500 : 201));
    await post([lesson('poison', 'a'), lesson('after', 'a'), lesson('other', 'b')]);
    await settle();
    expect(ids()).toEqual(['poison', 'after']);
    expect(useOutbox.getState().queue[0]!.refusal).toBeNull();
    for (let round = 1; round < MOST_FAILURES; round += 1) await sendQueue();
    expect(sent.filter(({ body }) => body.id === 'poison')).toHaveLength(MOST_FAILURES);
    expect(useOutbox.getState().queue[0]!.refusal).toMatchObject({ status: 500, title: 'Refused' });
    await sendQueue();
    expect(sent.filter(({ body }) => body.id === 'poison')).toHaveLength(MOST_FAILURES);
    await discardWrite(useOutbox.getState().queue[0]!);
    await settle();
    expect(ids()).toEqual([]);
  });

  test.each([502, 503, 504])(
    '%i is the server being away: all of it stays, and nothing is set aside',
    async (status) => {
      serverAnswering(() => status);
      await post([lesson('one')]);
      for (let round = 0; round < MOST_FAILURES + 1; round += 1) await sendQueue();
      expect(useOutbox.getState().queue.map(({ refusal }) => refusal)).toEqual([null]);
      expect(useRecords.getState()).toMatchObject({
        serverAway: true,
        awayReason: expect.stringContaining('Refused'),
      });
    },
  );

  const elsewhere = (value: object | string): Response =>
    ({
      ok: true,
      status: 200,
      headers: { get: () => null },
      text: async () => JSON.stringify(value),
    }) as unknown as Response;
  const cutOff = (): Response =>
    ({
      ...answering({}, 201, 'one'),
      text: () => Promise.reject(new TypeError('network error')),
    }) as unknown as Response;

  test.each([
    ['a sign-in page of a hotspot', () => elsewhere('<html>Welcome</html>')],
    ['JSON of somebody else’s', () => elsewhere({ id: 'one' })],
    ['an answer to another write', () => answering({ id: 'two' }, 201, 'two')],
    ['an answer cut off in its body', cutOff],
  ])('%s removes nothing, and the write goes out later', async (_name, strange) => {
    let away = true;
    serverAnswering(() => (away ? strange() : 201));
    await post([lesson('one')]);
    await settle();
    expect(ids()).toEqual(['one']);
    expect(useOutbox.getState().sending).toBe(false);
    expect(useRecords.getState().serverAway).toBe(true);
    away = false;
    await sendQueue();
    expect(ids()).toEqual([]);
  });
});

describe('edits of one student made offline', () => {
  const student: Student = {
    id: 'student',
    name: 'First',
    hand: 'right',
    birthYear: 1980,
    bornOn: null,
    cautions: '',
    facts: [],
    version: 1,
    madeAt: '2026-05-01T10:00:00Z',
    updatedAt: '2026-05-01T10:00:00Z',
    consent: null,
    build: null,
    lastEntryAt: null,
  };
  const edit = (id: string, name: string, version: number): Post => ({
    subjectId: 'student',
    label: name,
    writing: {
      route: 'student edit',
      body: {
        id,
        studentId: 'student',
        version,
        name,
        hand: 'right',
        birthYear: 1980,
        bornOn: null,
        cautions: '',
        facts: [],
        madeAt: student.madeAt,
      },
    },
  });
  /** A server that keeps the student and refuses an edit from another version. */
  function keepingServer() {
    let kept = student;
    const versions: number[] = [];
    globalThis.fetch = (async (_path: string, { body }: RequestInit) => {
      const { id, name, version } = JSON.parse(body as string) as {
        id: string;
        name: string;
        version: number;
      };
      versions.push(version);
      const problem = {
        type: 'about:pedastance/stale',
        title: 'Stale',
        status: 409,
        detail: '',
        current: kept,
      };
      if (version !== kept.version) return answering(problem, 409);
      kept = { ...kept, name, version: version + 1 };
      return answering(kept, 201, id);
    }) as typeof fetch;
    return {
      versions,
      now: () => kept,
      edited: (name: string) => (kept = { ...kept, name, version: kept.version + 1 }),
    };
  }

  beforeEach(() => useRecords.setState({ students: { student } }));
  const shown = () => useRecords.getState().students.student!.name;

  test('go out as one chain; the answer to the first leaves the others shown', async () => {
    serverAnswering(() => 'away');
    await post([edit('1', 'Second', 1)]);
    await post([edit('2', 'Third', 2)]);
    await post([edit('3', 'Fourth', 3)]);
    expect(shown()).toBe('Fourth');
    const server = keepingServer();
    const names = new Set<string>();
    const stop = useRecords.subscribe(() => names.add(shown()));
    await sendQueue();
    stop();
    expect([...names]).toEqual(['Fourth']);
    expect(server.versions).toEqual([1, 2, 3]);
    expect(server.now()).toMatchObject({ name: 'Fourth', version: 4 });
    expect(useOutbox.getState().queue).toEqual([]);
  });

  test('one thrown away, or put over a colleague’s: those made after it follow on', async () => {
    serverAnswering(() => 'away');
    await post([edit('1', 'Second', 1), edit('2', 'Third', 2), edit('3', 'Fourth', 3)]);
    const server = keepingServer();
    server.edited('A colleague’s');
    await sendQueue();
    expect(useOutbox.getState().queue[0]!.refusal?.status).toBe(409);
    await putOver(useOutbox.getState().queue[0]!, 2);
    await settle();
    expect(server.now()).toMatchObject({ name: 'Fourth', version: 5 });
    expect(useOutbox.getState().queue).toEqual([]);
  });
});

test('a record made on another contract version is sent as it was made', async () => {
  const body = {
    id: 'old',
    lessonId: 'lesson',
    madeAt: '2026-05-01T10:00:00Z',
    replaces: null,
    kind: 'change',
  };
  const queued = { owner: OWNER, subjectId: 'a', label: '', refusal: null, contract: 1 };
  await (await deviceDatabase()).add('outbox', { ...queued, writing: { route: 'entry', body } } as never);
  const sent = serverAnswering(() => 201);
  await openOutbox(OWNER);
  expect(useOutbox.getState().queue[0]!.writing.body).toMatchObject({ shoulderGoal: 90 });
  await sendQueue();
  expect(sent[0]!.body).toEqual({ ...body, contract: 1 });
});

describe('two tabs', () => {
  test('the same shot heard twice is one record, queued or landed', async () => {
    serverAnswering(() => 'away');
    await post([lesson('one')]);
    await post([
      {
        ...lesson('one'),
        writing: { route: 'lesson', body: { id: 'one', studentId: 's', startedAt: 'later' } },
      },
    ]);
    const queue = await (await deviceDatabase()).getAllFromIndex('outbox', 'byOwner', OWNER);
    expect(queue.map(({ writing }) => (writing.body as { startedAt: string }).startedAt)).toEqual([
      '2026-05-01T10:00:00Z',
    ]);
  });

  test('a lesson that another tab recorded is not recorded again, and nothing is written', async () => {
    serverAnswering(() => 'away');
    const draft = (recorded: number) =>
      ({ id: 'draft', recorded: Array(recorded).fill({}) }) as unknown as LessonDraft;
    await (await deviceDatabase()).put('drafts', { owner: OWNER, id: 'draft', value: draft(1) });
    await expect(post([lesson('one')], { before: draft(0), after: draft(1) })).rejects.toThrow(
      ChangedElsewhere,
    );
    expect(await (await deviceDatabase()).count('outbox')).toBe(0);
  });
});

test('a full device says so, and neither the records nor the lesson are half written', async () => {
  serverAnswering(() => 'away');
  const original = IDBObjectStore.prototype.put;
  IDBObjectStore.prototype.put = function full(this: IDBObjectStore, ...given: Parameters<typeof original>) {
    if (this.name === 'drafts') throw new DOMException('full', 'QuotaExceededError');
    return original.apply(this, given);
  };
  const draft = { id: 'draft', recorded: [] } as unknown as LessonDraft;
  try {
    await expect(post([lesson('one')], { before: draft, after: draft })).rejects.toThrow(NotKept);
  } finally {
    IDBObjectStore.prototype.put = original;
  }
  expect(await (await deviceDatabase()).count('outbox')).toBe(0);
  expect(useDrafts.getState().notKept).toContain('no room left');
});

describe('a photo that waits', () => {
  const bytes = Uint8Array.from([255, 216, 7, 0, 255]);
  const jpeg = btoa(String.fromCharCode(...bytes));
  const photo = (id: string): Post => ({
    subjectId: 'student',
    label: 'Photo',
    writing: { route: 'photo', body: { id, studentId: 'student', jpeg } as never },
  });
  const pictures = async () => (await deviceDatabase()).count('photos');

  test('has its picture apart from the queue, goes out with it, and leaves nothing behind', async () => {
    let away = true;
    const sent = serverAnswering(() => (away ? 'away' : 201));
    await post([photo('one'), photo('two')]);
    await settle();
    const kept = await (await deviceDatabase()).getAllFromIndex('outbox', 'byOwner', OWNER);
    expect(JSON.stringify([kept, useOutbox.getState().queue])).not.toContain(jpeg);
    expect(await pictures()).toBe(2);
    away = false;
    await sendQueue();
    await settle();
    expect(sent.at(-1)!.body).toMatchObject({ id: 'two', jpeg });
    expect([useOutbox.getState().queue.length, await pictures()]).toEqual([0, 0]);
  });

  test('goes with its picture where it is discarded, and where its student was erased', async () => {
    serverAnswering(({ body }) => (body.id === 'refused' ? 422 : 410));
    await post([photo('refused')]);
    await settle();
    await discardWrite(useOutbox.getState().queue[0]!);
    await settle();
    expect(await pictures()).toBe(0);
    await post([photo('kept')]);
    await letGo(OWNER, ['student']);
    expect(await pictures()).toBe(0);
  });
});

describe('signing out', () => {
  const KEY = btoa(String.fromCharCode(...new Uint8Array(32).fill(9)));
  const raw = async (): Promise<string> => {
    const database = await deviceDatabase();
    const stores = [
      'device',
      'outbox',
      'drafts',
      'students',
      'builds',
      'screens',
      'entries',
      'methods',
    ] as const;
    const rows = await Promise.all(stores.map((store) => database.getAll(store as 'device')));
    return JSON.stringify(rows);
  };

  test('with no signal is not undone by the next opening, leaves nothing readable, and loses nothing', async () => {
    let signedIn = true;
    let away = true;
    globalThis.fetch = (async (path: string, { method }: RequestInit) => {
      if (away) throw new TypeError('Failed to fetch');
      if (method === 'DELETE') signedIn = false;
      if (method === 'POST') signedIn = true;
      const session = { identity: identity('ada'), deviceKey: KEY };
      return answering(path === '/api/session' && signedIn ? session : null);
    }) as typeof fetch;
    await keepDeviceKey(KEY);
    const database = await deviceDatabase();
    await post([lesson('secret lesson')]);
    await database.put('students', { owner: OWNER, id: 's', value: { cautions: 'secret back' } as never });
    const jpeg = Uint8Array.from([255, 216, 7, 0, 255]).buffer;
    await database.put('photos', { owner: OWNER, id: 'p', lessonId: 'l', jpeg });
    await signOut();
    expect(useAccount.getState().status).toBe('signed out');
    expect(await raw()).not.toContain('secret');
    expect(await database.count('photos')).toBe(0);
    // A refresh that was on its way writes nothing back.
    await expect(writeFor(OWNER, ['students'], async () => undefined)).rejects.toThrow(NotTheOwner);
    // Opened again, still with no signal, and then with one: the session ends first.
    await startAccount();
    expect(useAccount.getState().status).toBe('signed out');
    away = false;
    await startAccount();
    expect([useAccount.getState().status, signedIn]).toEqual(['signed out', false]);
    // Another coach's key opens nothing; the owner's next sign-in opens all.
    await asCoach('bo');
    await keepDeviceKey(btoa('x'.repeat(32)));
    await openSealed('academy-bo:bo');
    await openSealed(OWNER);
    expect(await raw()).not.toContain('secret');
    await signIn({ email: '', password: '' });
    await openSealed(OWNER);
    const [back] = await database.getAllFromIndex('outbox', 'byOwner', OWNER);
    expect(back!.writing.body.id).toBe('secret lesson');
    expect(await database.count('sealed')).toBe(0);
    const [photo] = await database.getAllFromIndex('photos', 'byLesson', [OWNER, 'l']);
    expect([...new Uint8Array(photo!.jpeg)]).toEqual([255, 216, 7, 0, 255]);
  });
});
