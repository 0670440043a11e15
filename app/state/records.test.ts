import type { LogEntry, NewBuild, NewConsent, NewStudent, Student } from '@pedastance/contract';
import { build as figures } from '../../core/test/example';
import { useAccount } from './account';
import type { LessonDraft } from '../domain/lessonDraft';
import { deviceDatabase, KEPT_IDENTITY } from './database';
import { answering } from '../test/answering';
import { noteContact } from './erased';
import { closeOutbox, openOutbox, post, useOutbox } from './outbox';
import {
  closeRecords,
  followChanges,
  openRecords,
  openStudent,
  refreshStudent,
  refreshStudents,
  searchStudents,
  useRecords,
} from './records';

const OWNER = 'academy:ada';
const identity = { academyId: 'academy', academyName: '', instructorId: 'ada', instructorName: '' };

const student: NewStudent = {
  id: 'student',
  madeAt: '2026-05-01T10:00:00Z',
  name: 'Marl Testwick',
  hand: 'left',
  birthYear: 1980,
  bornOn: null,
  cautions: '',
  facts: [],
};
const build: NewBuild = {
  id: 'build',
  studentId: 'student',
  madeAt: '2026-05-01T10:00:01Z',
  figures: figures(),
  estimateAs: 'not said',
  shoeSize: null,
};

const landedStudent = (over: Partial<Student> = {}): Student => ({
  ...student,
  version: 1,
  updatedAt: student.madeAt,
  build: null,
  consent: null,
  lastEntryAt: null,
  ...over,
});

/** A server that lands what is written, and whose list of students is let out when the test says. */
function slowList(list: Student[]) {
  let letOut: () => void = () => undefined;
  const waiting = new Promise<void>((resolve) => (letOut = resolve));
  globalThis.fetch = (async (path: string, { method, body }: RequestInit) => {
    if (method === 'GET') {
      await waiting;
      return answering({ students: list, methods: [], more: false, through: '7' });
    }
    const written = JSON.parse(body as string);
    return answering(path === '/api/students' ? landedStudent(written) : written, 201, written.id);
  }) as typeof fetch;
  return letOut;
}

const settle = () => new Promise((resolve) => setTimeout(resolve, 60));

beforeAll(() => {
  globalThis.AbortSignal.timeout ??= () => new AbortController().signal;
});
beforeEach(async () => {
  const database = await deviceDatabase();
  for (const store of ['device', 'outbox', 'students', 'builds', 'entries', 'drafts'] as const)
    await database.clear(store);
  useAccount.setState({ status: 'signed in', identity });
  await database.put('device', identity, KEPT_IDENTITY);
  await openRecords(OWNER);
  await openOutbox(OWNER);
});
afterEach(() => {
  closeOutbox();
  closeRecords();
});

const queue = [
  { subjectId: 'student', label: '', writing: { route: 'student' as const, body: student } },
  { subjectId: 'student', label: '', writing: { route: 'build' as const, body: build } },
];

test('a list that left the server before a build arrived there takes no build back', async () => {
  const letOut = slowList([landedStudent()]);
  const refreshed = refreshStudents(OWNER);
  await post(queue);
  await settle();
  letOut();
  await refreshed;
  expect(useRecords.getState().students.student!.build!.id).toBe('build');
  // And so it is when the device is opened again with no server.
  closeRecords();
  await openRecords(OWNER);
  expect(useRecords.getState().students.student!.build!.id).toBe('build');
});

test('a list that left before the student was there does not lose the student', async () => {
  const letOut = slowList([]);
  const refreshed = refreshStudents(OWNER);
  await post(queue);
  await settle();
  letOut();
  await refreshed;
  expect(useRecords.getState().students.student).toMatchObject({
    name: 'Marl Testwick',
    build: { id: 'build' },
  });
});

test('a yes to less than the newest, given before it was known, is shown at once; a yes to more is not', async () => {
  const consent = (id: string, over: object) => ({
    ...{
      id,
      studentId: 'student',
      madeAt: '2026-05-02T10:00:00Z',
      given: true,
      photos: true,
      sharing: false,
    },
    ...{ by: 'student' as const, guardian: '', on: '2026-05-02', after: null, ...over },
  });
  const said = (body: NewConsent) => ({
    subjectId: 'student',
    label: '',
    writing: { route: 'consent' as const, body },
  });
  const shown = () => useRecords.getState().students.student!.consent;
  const newest = { ...consent('newest', {}) } as Student['consent'];
  let letOut: () => void = () => undefined;
  const waiting = new Promise<void>((resolve) => (letOut = resolve));
  // The server keeps what is written waiting, so that the device alone decides what it shows.
  globalThis.fetch = (async (_path: string, { method, body }: RequestInit) => {
    if (method === 'GET')
      return answering({
        students: [landedStudent({ consent: newest })],
        methods: [],
        more: false,
        through: '7',
      });
    await waiting;
    return answering(JSON.parse(body as string), 201);
  }) as typeof fetch;
  await refreshStudents(OWNER);
  expect(shown()).toMatchObject({ id: 'newest', photos: true });
  await post([said(consent('more', { sharing: true }))]);
  expect(shown()).toMatchObject({ id: 'newest', sharing: false });
  await post([said(consent('less', { photos: false }))]);
  expect(shown()).toMatchObject({ id: 'less', photos: false });
  letOut();
  await settle();
});

test('a list with an older version of a student does not undo a newer one', async () => {
  const letOut = slowList([landedStudent({ name: 'Before', version: 1 })]);
  const refreshed = refreshStudents(OWNER);
  useRecords.setState({ students: { student: landedStudent({ name: 'After', version: 2 }) } });
  letOut();
  await refreshed;
  expect(useRecords.getState().students.student!.name).toBe('After');
});

describe('a large academy', () => {
  const many = (count: number): Student[] =>
    Array.from({ length: count }, (_, at) => landedStudent({ id: `s${at}`, name: `Student ${at}` }));
  const entry = (id: string): LogEntry =>
    ({ id, studentId: 's0', kind: 'change', madeAt: student.madeAt, receivedAt: '' }) as unknown as LogEntry;

  /** A server with more students than a device keeps unasked, and a log of three pages. */
  function largeServer() {
    const paths: string[] = [];
    const log = (entries: string[], first: string | null, more: boolean) => ({
      student: many(1)[0],
      builds: [],
      screens: [],
      entries: entries.map(entry),
      first,
      last: entries.length > 0 ? '9' : null,
      more,
    });
    const answers: Record<string, unknown> = {
      '/api/changes': { students: many(3), methods: [], more: true, through: '5' },
      '/api/changes?after=5': { students: [], methods: [], more: false, through: '5' },
      '/api/students?search=tam': { students: [landedStudent({ id: 'tam', name: 'Tam' })], more: false },
      '/api/students/s0': log(['e3'], '3', true),
      '/api/students/s0?before=3': log(['e2'], '2', true),
      '/api/students/s0?before=2': log(['e1'], '1', false),
      '/api/students/s0?after=9': log([], null, false),
    };
    globalThis.fetch = (async (path: string) => {
      paths.push(path);
      return answering(answers[path] ?? null, answers[path] ? 200 : 404);
    }) as typeof fetch;
    return paths;
  }

  test('keeps the newest, follows what changes, and finds the others by search', async () => {
    const paths = largeServer();
    await refreshStudents(OWNER);
    await refreshStudents(OWNER);
    expect(paths).toEqual(['/api/changes', '/api/changes?after=5']);
    expect(useRecords.getState().complete).toBe(false);
    await searchStudents(OWNER, 'tam');
    closeRecords();
    await openRecords(OWNER);
    expect(Object.keys(useRecords.getState().students).sort()).toEqual(['s0', 's1', 's2', 'tam']);
    expect(useRecords.getState().complete).toBe(false);
  });

  test('a long log comes page by page, once, and of it only what is new after that', async () => {
    const paths = largeServer();
    await openStudent(OWNER, 's0');
    expect(Object.keys(useRecords.getState().entries).sort()).toEqual(['e1', 'e2', 'e3']);
    await refreshStudent(OWNER, 's0');
    expect(paths).toEqual([
      '/api/students/s0',
      '/api/students/s0?before=3',
      '/api/students/s0?before=2',
      '/api/students/s0?after=9',
    ]);
    // Only what is looked at is read from the device.
    closeRecords();
    await openRecords(OWNER);
    expect(useRecords.getState().entries).toEqual({});
    await openStudent(OWNER, 's0');
    expect(Object.keys(useRecords.getState().entries)).toHaveLength(3);
  });
});

describe('a student who was erased', () => {
  const draft = { id: 'draft', studentId: 'student', recorded: [], updatedAt: '' } as unknown as LessonDraft;

  /** The student with a build, a lesson in progress, and another student beside; all that is kept of each. */
  async function known(): Promise<void> {
    const database = await deviceDatabase();
    for (const value of [landedStudent(), landedStudent({ id: 'other', name: 'Olive Otherwise' })])
      await database.put('students', { owner: OWNER, id: value.id, value });
    await database.put('builds', { owner: OWNER, id: 'build', studentId: 'student', value: build });
    await database.put('drafts', { owner: OWNER, id: 'draft', value: draft });
    await openRecords(OWNER);
  }

  async function leftOnDevice(): Promise<unknown[]> {
    const database = await deviceDatabase();
    const rows = await Promise.all(
      (['students', 'builds', 'entries', 'screens', 'drafts', 'outbox'] as const).map((store) =>
        database.getAll(store),
      ),
    );
    return rows.flat();
  }

  test('goes from the device with the next contact, with all that is theirs, and it is told', async () => {
    await known();
    globalThis.fetch = (async () =>
      answering({
        students: [],
        methods: [],
        erased: ['student'],
        more: false,
        through: '8',
      })) as typeof fetch;
    await refreshStudents(OWNER);
    expect(await leftOnDevice()).toEqual([expect.objectContaining({ id: 'other' })]);
    expect(Object.keys(useRecords.getState().students)).toEqual(['other']);
    expect(useRecords.getState().erased).toEqual(['Marl Testwick']);
  });

  test('what still waits for them is answered "gone", and goes with the rest instead of waiting for the coach', async () => {
    await known();
    const gone = {
      type: 'about:pedastance/erased',
      status: 410,
      title: 'This student’s data were erased',
      detail: '',
    };
    globalThis.fetch = (async () => answering(gone, 410)) as typeof fetch;
    await post(queue);
    await settle();
    expect(useOutbox.getState().queue).toEqual([]);
    expect(await leftOnDevice()).toEqual([expect.objectContaining({ id: 'other' })]);
    expect(useRecords.getState().erased).toEqual(['Marl Testwick']);
  });
});

test('copies end after thirty days without the server; what is not sent stays', async () => {
  const database = await deviceDatabase();
  globalThis.fetch = (async () => Promise.reject(new Error('away'))) as typeof fetch;
  await database.put('students', { owner: OWNER, id: 'old', value: landedStudent({ id: 'old' }) });
  await post(queue);
  const days = (count: number) => Date.now() - count * 24 * 60 * 60 * 1000;
  await noteContact(OWNER, days(29));
  await openRecords(OWNER);
  expect(Object.keys(useRecords.getState().students)).toContain('old');
  await noteContact(OWNER, days(31));
  closeRecords();
  await openRecords(OWNER);
  expect(useRecords.getState().copiesEnded).toBe(true);
  // The student who waits to be sent is shown; the copy is not.
  expect(Object.keys(useRecords.getState().students)).toEqual(['student']);
  expect(await database.count('students')).toBe(0);
  expect(await database.count('outbox')).toBe(2);
});

test('what a colleague recorded comes to the log that is open here, and an answer with nothing in it draws nothing anew', async () => {
  const entry = { id: 'theirs', kind: 'reading', studentId: 'student', madeAt: '2026-05-02T10:00:00Z' };
  const asked: string[] = [];
  let changed: Student[] = [landedStudent()];
  globalThis.fetch = (async (path: string) => {
    asked.push(path);
    if (!path.startsWith('/api/changes'))
      return answering({
        ...{ student: landedStudent(), builds: [], screens: [], entries: [entry] },
        ...{ more: false, last: '9', first: null },
      });
    const students = changed;
    changed = [];
    return answering({ students, methods: [], more: false, through: '8' });
  }) as typeof fetch;
  await followChanges(OWNER);
  // Nobody has that log open here: it is not asked for.
  expect(asked).toHaveLength(1);
  await openStudent(OWNER, 'student');
  useRecords.setState({ entries: {} });
  changed = [landedStudent()];
  await followChanges(OWNER);
  expect(Object.keys(useRecords.getState().entries)).toEqual(['theirs']);
  const before = useRecords.getState();
  await followChanges(OWNER);
  expect(useRecords.getState()).toBe(before);
});
