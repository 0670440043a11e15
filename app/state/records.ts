import type { LogEntry, NewBuild, NewScreen, Student } from '@pedastance/contract';
import type { HouseMethod } from '@pedastance/core/method';
import { create } from 'zustand';
import { sessionExpired } from './account';
import { api, isSignedOut, ServerAway } from './api';
import { COPIES, deviceDatabase, ownedBy } from './database';
import type { QueuedWrite, Writing } from './queuedWrite';

/** What the device knows of one coach's academy; the server's copy and what waits to be sent. */
interface Records {
  owner: string | null;
  students: Record<string, Student>;
  methods: HouseMethod[];
  builds: Record<string, NewBuild>;
  screens: Record<string, NewScreen>;
  entries: Record<string, LogEntry>;
  /** Whether the server answered when last asked. */
  serverAway: boolean;
  loaded: boolean;
}

const EMPTY = {
  students: {},
  methods: [],
  builds: {},
  screens: {},
  entries: {},
  serverAway: false,
  loaded: false,
};

export const useRecords = create<Records>(() => ({ owner: null, ...EMPTY }));

const byId = <Value extends { id: string }>(values: readonly Value[]): Record<string, Value> =>
  Object.fromEntries(values.map((value) => [value.id, value]));

type Written = Pick<Records, 'students' | 'builds' | 'screens' | 'methods'>;

/** What a write does to the records of the device, before the server has had it. */
function applied({ students, builds, screens, methods }: Written, writing: Writing): Partial<Written> {
  switch (writing.route) {
    case 'student': {
      const { body } = writing;
      const student: Student = {
        ...body,
        version: 1,
        updatedAt: body.madeAt,
        build: null,
        lastEntryAt: null,
      };
      return { students: { ...students, [body.id]: { ...student, ...students[body.id] } } };
    }
    case 'student edit': {
      const { id: _write, studentId, madeAt, version, ...person } = writing.body;
      const student = students[studentId];
      if (!student || student.version > version) return {};
      return {
        students: {
          ...students,
          [studentId]: { ...student, ...person, version: version + 1, updatedAt: madeAt },
        },
      };
    }
    case 'build': {
      const { body } = writing;
      const student = students[body.studentId];
      const newer = student && (!student.build || student.build.madeAt <= body.madeAt);
      return {
        builds: { ...builds, [body.id]: body },
        ...(newer && { students: { ...students, [student.id]: { ...student, build: body } } }),
      };
    }
    case 'screen':
      return { screens: { ...screens, [writing.body.id]: writing.body } };
    case 'method': {
      const { methodId, version, name, summary, questions } = writing.body;
      if (methods.some((each) => each.id === methodId && each.version === version)) return {};
      return { methods: [...methods, { id: methodId, version, name, summary, questions }] };
    }
    default:
      return {};
  }
}

/** An entry on its way, shown in the log as it will be; `receivedAt` is empty until it landed. */
const queuedEntry = (queued: QueuedWrite): LogEntry | null =>
  queued.writing.route === 'entry'
    ? { ...queued.writing.body, studentId: queued.subjectId, receivedAt: '' }
    : null;

function withQueued(records: Written & Pick<Records, 'entries'>, queue: readonly QueuedWrite[]) {
  return queue.reduce((sum, queued) => {
    const entry = queuedEntry(queued);
    const next = { ...sum, ...applied(sum, queued.writing) };
    if (entry && !sum.entries[entry.id]) next.entries = { ...next.entries, [entry.id]: entry };
    return next;
  }, records);
}

/** Shows what queued writes hold at once. */
export const showQueued = (queue: readonly QueuedWrite[]): void =>
  useRecords.setState((records) => withQueued(records, queue));

const queueOf = async (owner: string): Promise<QueuedWrite[]> =>
  (await deviceDatabase()).getAllFromIndex('outbox', 'byOwner', owner);

/**
 * Students with the newest build that is known to have landed. A list may have left the server before a
 * build arrived there; builds are only added to, so the newer one is never taken back.
 */
function withNewestBuild(students: readonly Student[], builds: readonly NewBuild[]): Student[] {
  const newest = new Map<string, NewBuild>();
  for (const build of builds) {
    const other = newest.get(build.studentId);
    if (!other || other.madeAt < build.madeAt) newest.set(build.studentId, build);
  }
  return students.map((student) => {
    const landed = newest.get(student.id);
    return landed && (!student.build || student.build.madeAt < landed.madeAt)
      ? { ...student, build: landed }
      : student;
  });
}

/**
 * What is known of students with what the server answered: nobody is ever removed, so one that the answer
 * lacks came after it, and one of an older version left before a newer one was kept.
 */
const withAnswered = (
  known: Record<string, Student>,
  answered: readonly Student[],
): Record<string, Student> => ({
  ...known,
  ...byId(answered.filter(({ id, version }) => version >= (known[id]?.version ?? 0))),
});

/** Opens one coach's records from the device. */
export async function openRecords(owner: string): Promise<void> {
  if (useRecords.getState().owner !== owner) useRecords.setState({ owner, ...EMPTY });
  const database = await deviceDatabase();
  const [students, methods, builds, screens, entries] = await Promise.all(
    COPIES.map((store) => database.getAll(store, ownedBy(owner))),
  );
  const values = (rows: unknown) => (rows as { value: never }[]).map((row) => row.value);
  const kept = {
    students: byId(withNewestBuild(values(students), values(builds))),
    builds: byId<NewBuild>(values(builds)),
    screens: byId<NewScreen>(values(screens)),
    methods: values(methods) as HouseMethod[],
    entries: byId<LogEntry>(values(entries)),
  };
  const shown = withQueued(kept, await queueOf(owner));
  if (useRecords.getState().owner !== owner) return;
  useRecords.setState({ ...shown, loaded: true });
}

export const closeRecords = (): void => useRecords.setState({ owner: null, ...EMPTY });

/** Notes whether the server answered, and whether it still knows the session. */
function noteFailure(error: unknown): void {
  if (error instanceof ServerAway) useRecords.setState({ serverAway: true });
  else if (isSignedOut(error)) sessionExpired();
  else throw error;
}

/** Keeps the server's students, each with the newest build that has landed, and answers them so. */
async function keepStudents(owner: string, students: readonly Student[]): Promise<Student[]> {
  const transaction = (await deviceDatabase()).transaction(['students', 'builds'], 'readwrite');
  const builds = await transaction.objectStore('builds').getAll(ownedBy(owner));
  const kept = withNewestBuild(
    students,
    builds.map(({ value }) => value),
  );
  for (const value of kept) void transaction.objectStore('students').put({ owner, id: value.id, value });
  await transaction.done;
  return kept;
}

const methodRow = (owner: string, value: HouseMethod) => ({
  owner,
  id: `${value.id}:${value.version}`,
  value,
});

/** Brings the students and the methods up to the server's. A server that is away changes nothing. */
export async function refreshStudents(owner: string): Promise<void> {
  try {
    const [answered, methods] = await Promise.all([api.students(owner), api.methods(owner)]);
    // A queued write is removed once its answer is kept: the queue is read before and after, so that none is missed between.
    const early = await queueOf(owner);
    const students = await keepStudents(owner, answered);
    const transaction = (await deviceDatabase()).transaction('methods', 'readwrite');
    for (const value of methods) void transaction.store.put(methodRow(owner, value));
    await transaction.done;
    const queue = [...early, ...(await queueOf(owner))];
    if (useRecords.getState().owner !== owner) return;
    useRecords.setState((records) => ({
      ...withQueued({ ...records, students: withAnswered(records.students, students), methods }, queue),
      serverAway: false,
      loaded: true,
    }));
  } catch (error) {
    noteFailure(error);
  }
}

/** Brings one student with builds and log up to the server's. */
export async function refreshStudent(owner: string, id: string): Promise<void> {
  try {
    const { student: answered, builds, screens, entries } = await api.student(owner, id);
    const early = await queueOf(owner);
    const [student] = await keepStudents(owner, [answered]);
    const transaction = (await deviceDatabase()).transaction(['builds', 'screens', 'entries'], 'readwrite');
    for (const value of builds)
      void transaction.objectStore('builds').put({ owner, id: value.id, studentId: id, value });
    for (const value of screens)
      void transaction.objectStore('screens').put({ owner, id: value.id, studentId: id, value });
    for (const value of entries)
      void transaction.objectStore('entries').put({ owner, id: value.id, studentId: id, value });
    await transaction.done;
    const queue = [...early, ...(await queueOf(owner))];
    if (useRecords.getState().owner !== owner) return;
    useRecords.setState((records) => ({
      ...withQueued(
        {
          students: { ...records.students, [id]: student! },
          builds: { ...records.builds, ...byId(builds) },
          screens: { ...records.screens, ...byId(screens) },
          methods: records.methods,
          entries: { ...records.entries, ...byId(entries) },
        },
        queue,
      ),
      serverAway: false,
    }));
  } catch (error) {
    // A student added on this device and not sent yet is unknown to the server, which is no failure.
    if (useRecords.getState().students[id] && !isSignedOut(error) && !(error instanceof ServerAway)) return;
    noteFailure(error);
  }
}

/** Keeps the server's answer to a queued write as the record it is. */
export async function keepAnswer(owner: string, queued: QueuedWrite, answer: unknown): Promise<void> {
  const database = await deviceDatabase();
  const { route } = queued.writing;
  if (route === 'student' || route === 'student edit') {
    const answered = answer as Student;
    const build = useRecords.getState().students[answered.id]?.build ?? answered.build;
    const value = { ...answered, build };
    await database.put('students', { owner, id: value.id, value });
    useRecords.setState((records) => ({ students: { ...records.students, [value.id]: value } }));
  }
  if (route === 'build') {
    const value = answer as NewBuild;
    await database.put('builds', { owner, id: value.id, studentId: queued.subjectId, value });
  }
  if (route === 'screen') {
    const value = answer as NewScreen;
    await database.put('screens', { owner, id: value.id, studentId: queued.subjectId, value });
  }
  if (route === 'method') await database.put('methods', methodRow(owner, answer as HouseMethod));
  if (route === 'entry') {
    const value = answer as LogEntry;
    await database.put('entries', { owner, id: value.id, studentId: queued.subjectId, value });
    useRecords.setState((records) => ({ entries: { ...records.entries, [value.id]: value } }));
  }
}

/** A student's newest screen; null where the legs were never screened. */
export const newestScreen = (screens: Record<string, NewScreen>, studentId: string): NewScreen | null =>
  Object.values(screens)
    .filter((screen) => screen.studentId === studentId)
    .sort((a, b) => b.madeAt.localeCompare(a.madeAt))[0] ?? null;

/** The newest version of each house method, in the order the academy took them up. */
export function newestMethods(methods: readonly HouseMethod[]): HouseMethod[] {
  const newest = new Map<string, HouseMethod>();
  for (const method of methods) {
    const known = newest.get(method.id);
    if (!known || known.version < method.version) newest.set(method.id, method);
  }
  return [...newest.values()];
}

/** Removes one coach's copies from the device; drafts and the outbox stay. */
export async function forgetCopies(owner: string): Promise<void> {
  const transaction = (await deviceDatabase()).transaction([...COPIES], 'readwrite');
  for (const store of COPIES) void transaction.objectStore(store).delete(ownedBy(owner));
  await transaction.done;
}
