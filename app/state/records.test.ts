import type { NewBuild, NewStudent, Student } from '@pedastance/contract';
import { build as figures } from '../../core/test/example';
import { useAccount } from './account';
import { deviceDatabase } from './database';
import { closeOutbox, openOutbox, post } from './outbox';
import { closeRecords, openRecords, refreshStudents, useRecords } from './records';

const OWNER = 'academy:ada';
const identity = { academyId: 'academy', academyName: '', instructorId: 'ada', instructorName: '' };

const student: NewStudent = {
  id: 'student',
  madeAt: '2026-05-01T10:00:00Z',
  name: 'Marl Testwick',
  hand: 'left',
  birthYear: 1980,
  cautions: '',
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
  lastEntryAt: null,
  ...over,
});

/** A server that lands what is written, and whose list of students is let out when the test says. */
function slowList(list: Student[]) {
  let letOut: () => void = () => undefined;
  const waiting = new Promise<void>((resolve) => (letOut = resolve));
  globalThis.fetch = (async (path: string, { method, body }: RequestInit) => {
    const answer = (value: unknown) => ({ ok: true, status: 200, json: async () => value }) as Response;
    if (method === 'GET') {
      if (path === '/api/methods') return answer([]);
      await waiting;
      return answer(list);
    }
    const written = JSON.parse(body as string);
    return answer(path === '/api/students' ? landedStudent(written) : written);
  }) as typeof fetch;
  return letOut;
}

const settle = () => new Promise((resolve) => setTimeout(resolve, 60));

beforeAll(() => {
  globalThis.AbortSignal.timeout ??= () => new AbortController().signal;
});
beforeEach(async () => {
  const database = await deviceDatabase();
  for (const store of ['outbox', 'students', 'builds'] as const) await database.clear(store);
  useAccount.setState({ status: 'signed in', identity });
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

test('a list with an older version of a student does not undo a newer one', async () => {
  const letOut = slowList([landedStudent({ name: 'Before', version: 1 })]);
  const refreshed = refreshStudents(OWNER);
  useRecords.setState({ students: { student: landedStudent({ name: 'After', version: 2 }) } });
  letOut();
  await refreshed;
  expect(useRecords.getState().students.student!.name).toBe('After');
});
