import type { LogEntry, NewBuild, NewConsent, NewPainAnswer, NewScreen, Student } from '@pedastance/contract';
import type { HouseMethod } from '@pedastance/core/method';
import { consentCounts } from '@pedastance/contract/consentCounts';
import { personAfter } from '@pedastance/contract/earlier';
import { create } from 'zustand';
import { sessionExpired } from './account';
import { api, isSignedOut, Refused, ServerAway, ServerFailed, type Changes, type StudentPage } from './api';
import {
  changesKey,
  COPIES,
  deviceDatabase,
  logKeyStart,
  NotTheOwner,
  ownedBy,
  todayKey,
  writeFor,
  type OwnedTransaction,
} from './database';
import { COPIES_LAST_MS, lastContact, noteContact, OF_STUDENTS, removeStudent } from './erased';
import { letGoOfPicture } from './queuedPictures';
import { inTodaysShape, type QueuedWrite, type Writing } from './queuedWrite';

/** What the device knows of one coach's academy; the server's copy and what waits to be sent. */
interface Records {
  owner: string | null;
  students: Record<string, Student>;
  methods: HouseMethod[];
  builds: Record<string, NewBuild>;
  screens: Record<string, NewScreen>;
  entries: Record<string, LogEntry>;
  /** Students whose builds, screens and entries are here; of the others only the student and the newest build. */
  opened: Record<string, true>;
  /** Whether all of the academy's students are on this device; of a large academy only the newest are. */
  complete: boolean;
  /** Whether the server was away when last asked. */
  serverAway: boolean;
  /** What the server itself said of that, where it said anything. */
  awayReason: string | null;
  /** Names of students whose data were erased, and went from this device; told until the coach has read it. */
  erased: string[];
  /** Whether the copies on this device ended, the server not having been met for long. */
  copiesEnded: boolean;
  loaded: boolean;
}

const EMPTY = {
  students: {},
  methods: [],
  builds: {},
  screens: {},
  entries: {},
  opened: {},
  complete: true,
  serverAway: false,
  awayReason: null,
  erased: [],
  copiesEnded: false,
  loaded: false,
};

export const useRecords = create<Records>(() => ({ owner: null, ...EMPTY }));

const byId = <Value extends { id: string }>(values: readonly Value[]): Record<string, Value> =>
  Object.fromEntries(values.map((value) => [value.id, value]));

/** Students with a word on consent, where it is the newest. */
function consented(students: Record<string, Student>, consent: NewConsent): Partial<Written> {
  const student = students[consent.studentId];
  const counts = student && (consent.id === student.consent?.id || consentCounts(consent, student.consent));
  return counts ? { students: { ...students, [student.id]: { ...student, consent } } } : {};
}

/** Students with a word of pain that was asked after. */
function painAsked(
  students: Record<string, Student>,
  { studentId, tickId, madeAt, found }: NewPainAnswer,
): Partial<Written> {
  const student = students[studentId];
  if (!student?.pain) return {};
  const pain = student.pain.map((tick) =>
    tick.tickId === tickId ? { ...tick, answer: { madeAt, found } } : tick,
  );
  return { students: { ...students, [studentId]: { ...student, pain } } };
}

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
        consent: null,
        lastEntryAt: null,
      };
      return { students: { ...students, [body.id]: { ...student, ...students[body.id] } } };
    }
    case 'student edit': {
      const { studentId, madeAt, version } = writing.body;
      const student = students[studentId];
      if (!student || student.version > version) return {};
      return {
        students: {
          ...students,
          [studentId]: {
            ...student,
            ...personAfter(student, writing.body),
            version: version + 1,
            updatedAt: madeAt,
          },
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
    case 'consent':
      return consented(students, writing.body);
    case 'pain answer':
      return painAsked(students, writing.body);
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
  (await (await deviceDatabase()).getAllFromIndex('outbox', 'byOwner', owner)).map(inTodaysShape);

/**
 * What is known of students with what the server answered: who was erased is told apart, so one that the answer
 * lacks came after it, and one of an older version left before a newer one was kept.
 */
const withAnswered = (
  known: Record<string, Student>,
  answered: readonly Student[],
): Record<string, Student> => ({
  ...known,
  ...byId(answered.filter(({ id, version }) => version >= (known[id]?.version ?? 0))),
});

/** How far this device has followed an academy's changes, and one student's log; in the store `device`. */
interface ChangesPlace {
  through: string;
  complete: boolean;
}
interface LogPlace {
  last: string;
  /** Older entries are still to come from before this place; null when there are none. */
  first: string | null;
}
const logKey = (owner: string, id: string): string => `${logKeyStart(owner)}${id}`;

const valuesOf = <Value>(rows: readonly { value: Value }[]): Value[] => rows.map(({ value }) => value);

/** The builds, screens and entries of students as the device has them. */
async function partsOf(owner: string, ids: readonly string[]) {
  const database = await deviceDatabase();
  const parts = { builds: {}, screens: {}, entries: {} } as Pick<Records, 'builds' | 'screens' | 'entries'>;
  for (const id of ids) {
    const [builds, screens, entries] = await Promise.all([
      database.getAllFromIndex('builds', 'byStudent', [owner, id]),
      database.getAllFromIndex('screens', 'byStudent', [owner, id]),
      database.getAllFromIndex('entries', 'byStudent', [owner, id]),
    ]);
    Object.assign(parts.builds, byId(valuesOf(builds)));
    Object.assign(parts.screens, byId(valuesOf(screens)));
    Object.assign(parts.entries, byId(valuesOf(entries)));
  }
  return parts;
}

/** Copies of a device that has not met the server for long end; what is not sent and lessons in progress stay. */
async function endOldCopies(owner: string): Promise<void> {
  const last = await lastContact(owner);
  if (last === null || Date.now() - last <= COPIES_LAST_MS) return;
  await writeFor(owner, COPIES, async (transaction) => {
    for (const store of COPIES) void transaction.objectStore(store).delete(ownedBy(owner));
    const device = transaction.objectStore('device');
    void device.delete(changesKey(owner));
    void device.delete(todayKey(owner));
    void device.delete(IDBKeyRange.bound(logKeyStart(owner), `${logKeyStart(owner)}\uffff`));
  });
  useRecords.setState({ copiesEnded: true, opened: {} });
}

/** Opens one coach's records from the device: the students, the methods, and what of students was opened before. */
export async function openRecords(owner: string): Promise<void> {
  if (useRecords.getState().owner !== owner) useRecords.setState({ owner, ...EMPTY });
  await endOldCopies(owner);
  const database = await deviceDatabase();
  const [students, methods, place] = await Promise.all([
    database.getAll('students', ownedBy(owner)),
    database.getAll('methods', ownedBy(owner)),
    database.get('device', changesKey(owner)) as Promise<ChangesPlace | undefined>,
  ]);
  const parts = await partsOf(owner, Object.keys(useRecords.getState().opened));
  const kept = { students: byId(valuesOf(students)), methods: valuesOf(methods), ...parts };
  const shown = withQueued(kept, await queueOf(owner));
  if (useRecords.getState().owner !== owner) return;
  useRecords.setState({ ...shown, complete: place?.complete ?? true, loaded: true });
}

/** A student opened here for the first time waits this long for the server, so that the page does not move under a thumb. */
const FIRST_LOOK_MS = 1_500;

/**
 * Opens a student's builds, screens and log from the device; those of one never opened here come from the server.
 * @returns whether the server has been asked for them already
 */
export async function openStudent(owner: string, id: string): Promise<boolean> {
  if (useRecords.getState().opened[id]) return false;
  const never = !(await (await deviceDatabase()).get('device', logKey(owner, id)));
  if (never) {
    const pause = new Promise((resolve) => setTimeout(resolve, FIRST_LOOK_MS));
    await Promise.race([refreshStudent(owner, id), pause]);
  }
  const parts = await partsOf(owner, [id]);
  const queue = await queueOf(owner);
  if (useRecords.getState().owner !== owner) return never;
  useRecords.setState((records) => ({
    ...withQueued(
      {
        ...records,
        builds: { ...records.builds, ...parts.builds },
        screens: { ...records.screens, ...parts.screens },
        entries: { ...records.entries, ...parts.entries },
      },
      queue,
    ),
    opened: { ...records.opened, [id]: true },
  }));
  return never;
}

export const closeRecords = (): void => useRecords.setState({ owner: null, ...EMPTY });

/** Notes whether the server answered, and whether it still knows the session. */
function noteFailure(error: unknown): void {
  if (error instanceof ServerAway) useRecords.setState({ serverAway: true, awayReason: error.reason });
  else if (error instanceof ServerFailed)
    useRecords.setState({ serverAway: true, awayReason: error.problem.title });
  else if (isSignedOut(error)) sessionExpired(error);
  else if (!(error instanceof NotTheOwner)) throw error;
}

type StudentsTransaction = OwnedTransaction<'students'>;

/**
 * Keeps the server's students and answers them so. An answer may have left the server before a build arrived
 * there; builds are only added to, so a newer one that is known is never taken back.
 */
async function keepStudents(
  transaction: StudentsTransaction,
  owner: string,
  students: readonly Student[],
): Promise<Student[]> {
  const store = transaction.objectStore('students');
  const kept: Student[] = [];
  for (const student of students) {
    const known = (await store.get([owner, student.id]))?.value.build;
    const newer = known && (!student.build || student.build.madeAt < known.madeAt);
    const value = newer ? { ...student, build: known } : student;
    void store.put({ owner, id: value.id, value });
    kept.push(value);
  }
  return kept;
}

const methodRow = (owner: string, value: HouseMethod) => ({
  owner,
  id: `${value.id}:${value.version}`,
  value,
});

const withVersions = (known: readonly HouseMethod[], answered: readonly HouseMethod[]): HouseMethod[] => {
  const nameOf = ({ id, version }: HouseMethod) => `${id}:${version}`;
  const fresh = new Set(answered.map(nameOf));
  return [...known.filter((method) => !fresh.has(nameOf(method))), ...answered];
};

/** What is shown without some students; `nameless` tells of one whose name this device does not have. */
function withoutStudents(
  records: Records,
  ids: readonly string[],
  nameless: string[] = [],
): Partial<Records> {
  const gone = new Set(ids);
  const kept = <Value>(all: Record<string, Value>, studentOf: (value: Value, id: string) => string) =>
    Object.fromEntries(Object.entries(all).filter(([id, value]) => !gone.has(studentOf(value, id))));
  const names = ids.flatMap((id) => records.students[id]?.name ?? nameless);
  return {
    students: kept(records.students, ({ id }) => id),
    builds: kept(records.builds, ({ studentId }) => studentId),
    screens: kept(records.screens, ({ studentId }) => studentId),
    entries: kept(records.entries, ({ studentId }) => studentId),
    opened: kept(records.opened, (_opened, id) => id),
    erased: [...records.erased, ...names],
  };
}

/** Lets go of students who were erased: what waits for them and lessons in progress too. */
export async function letGo(owner: string, ids: readonly string[]): Promise<void> {
  await writeFor(owner, OF_STUDENTS, async (transaction) => {
    for (const id of ids) await removeStudent(transaction, owner, id);
  });
  if (useRecords.getState().owner === owner)
    useRecords.setState((records) => withoutStudents(records, ids, ['']));
}

export const erasedRead = (): void => useRecords.setState({ erased: [] });

/** Whether a page of changes has none. */
const isNothing = ({ students, methods, erased = [] }: Changes): boolean =>
  students.length + methods.length + erased.length === 0;

/** Notes that the server answered; where all stays as it was nothing is drawn anew. */
function noteAnswer(owner: string, complete: boolean): void {
  const { owner: shown, serverAway, copiesEnded, loaded, complete: before } = useRecords.getState();
  if (shown !== owner) return;
  if (serverAway || copiesEnded || !loaded || before !== complete)
    useRecords.setState({ complete, serverAway: false, awayReason: null, copiesEnded: false, loaded: true });
}

/** Keeps a page of changes together with the place it goes up to, and shows it. */
async function keepChanges(owner: string, answered: Changes, complete: boolean): Promise<void> {
  // A queued write is removed once its answer is kept: the queue is read before and after, so that none is missed between.
  const early = await queueOf(owner);
  const erased = answered.erased ?? [];
  const students = await writeFor(owner, ['methods', ...OF_STUDENTS], async (transaction) => {
    for (const id of erased) await removeStudent(transaction as never, owner, id);
    const kept = await keepStudents(transaction as unknown as StudentsTransaction, owner, answered.students);
    for (const value of answered.methods)
      void transaction.objectStore('methods').put(methodRow(owner, value));
    const place: ChangesPlace = { through: answered.through, complete };
    void transaction.objectStore('device').put(place, changesKey(owner));
    return kept;
  });
  const queue = [...early, ...(await queueOf(owner))];
  if (useRecords.getState().owner !== owner) return;
  useRecords.setState((records) => ({
    ...withQueued(
      {
        ...records,
        students: withAnswered(records.students, students),
        methods: withVersions(records.methods, answered.methods),
      },
      queue,
    ),
    complete,
    serverAway: false,
    awayReason: null,
    copiesEnded: false,
    loaded: true,
  }));
  if (erased.length > 0) useRecords.setState((records) => withoutStudents(records, erased));
  await noteContact(owner, Date.now());
}

/**
 * Brings the students and the methods up to the server's, page by page. A server that is away changes nothing.
 * @returns the students that had changed there
 */
export async function refreshStudents(owner: string): Promise<string[]> {
  const changed: string[] = [];
  try {
    const database = await deviceDatabase();
    let place = (await database.get('device', changesKey(owner))) as ChangesPlace | undefined;
    for (let more = true; more;) {
      const answered = await api.changes(owner, place?.through ?? null);
      if (place && isNothing(answered)) {
        noteAnswer(owner, place.complete);
        await noteContact(owner, Date.now());
        break;
      }
      changed.push(...answered.students.map(({ id }) => id));
      // The first answer has the newest students of all; what is beyond it stays on the server.
      const complete: boolean = place ? place.complete : !answered.more;
      more = place !== undefined && answered.more;
      await keepChanges(owner, answered, complete);
      place = { through: answered.through, complete };
    }
  } catch (error) {
    noteFailure(error);
  }
  return changed;
}

/** Looks for students by words on the server, and keeps those found on the device. */
export async function searchStudents(owner: string, words: string): Promise<void> {
  try {
    const { students } = await api.search(owner, words);
    const kept = await writeFor(owner, ['students'], (transaction) =>
      keepStudents(transaction, owner, students),
    );
    if (useRecords.getState().owner !== owner) return;
    useRecords.setState((records) => ({ students: withAnswered(records.students, kept), serverAway: false }));
  } catch (error) {
    noteFailure(error);
  }
}

/** Brings all versions of a house method to the device. */
export async function refreshVersions(owner: string, methodId: string): Promise<void> {
  try {
    const versions = await api.versions(owner, methodId);
    await writeFor(owner, ['methods'], async (transaction) => {
      for (const value of versions) void transaction.objectStore('methods').put(methodRow(owner, value));
    });
    if (useRecords.getState().owner !== owner) return;
    useRecords.setState(({ methods }) => ({ methods: withVersions(methods, versions) }));
  } catch (error) {
    // A method that still waits to be sent has no versions there.
    if (error instanceof Refused && error.problem.status === 404) return;
    noteFailure(error);
  }
}

/** Keeps a page of a student's log together with the place in it, and shows it. */
async function keepStudentPage(owner: string, id: string, page: StudentPage, place: LogPlace): Promise<void> {
  const early = await queueOf(owner);
  const { builds, screens, entries } = page;
  const [student] = await writeFor(
    owner,
    ['students', 'builds', 'screens', 'entries'],
    async (transaction) => {
      const row = <Value extends { id: string }>(value: Value) => ({
        owner,
        id: value.id,
        studentId: id,
        value,
      });
      for (const value of builds) void transaction.objectStore('builds').put(row(value));
      for (const value of screens) void transaction.objectStore('screens').put(row(value));
      for (const value of entries) void transaction.objectStore('entries').put(row(value));
      void transaction.objectStore('device').put(place, logKey(owner, id));
      return keepStudents(transaction as unknown as StudentsTransaction, owner, [page.student]);
    },
  );
  const queue = [...early, ...(await queueOf(owner))];
  if (useRecords.getState().owner !== owner) return;
  useRecords.setState((records) => ({
    ...withQueued(
      {
        students: withAnswered(records.students, [student!]),
        builds: { ...records.builds, ...byId(builds) },
        screens: { ...records.screens, ...byId(screens) },
        methods: records.methods,
        entries: { ...records.entries, ...byId(entries) },
      },
      queue,
    ),
    serverAway: false,
    awayReason: null,
  }));
}

/** Brings one student with builds and log up to the server's: what is new first, then what is older. */
export async function refreshStudent(owner: string, id: string): Promise<void> {
  try {
    const database = await deviceDatabase();
    let place = (await database.get('device', logKey(owner, id))) as LogPlace | undefined;
    for (let more = true; more;) {
      const page = await api.student(owner, id, place ? { after: place.last } : null);
      const last: string = page.last ?? place?.last ?? '0';
      const first: string | null = place ? place.first : page.more ? page.first : null;
      more = place !== undefined && page.more;
      place = { last, first };
      await keepStudentPage(owner, id, page, place);
    }
    while (place?.first) {
      const page: StudentPage = await api.student(owner, id, { before: place.first });
      place = { last: place.last, first: page.more ? page.first : null };
      await keepStudentPage(owner, id, page, place);
    }
  } catch (error) {
    // A student added on this device and not sent yet is unknown to the server, which is no failure.
    if (useRecords.getState().students[id] && error instanceof Refused && !isSignedOut(error)) return;
    noteFailure(error);
  }
}

/** Brings over what colleagues and other devices changed: the students, the methods, and the logs that are open here. */
export async function followChanges(owner: string): Promise<void> {
  const changed = await refreshStudents(owner);
  const { opened } = useRecords.getState();
  for (const id of changed) if (opened[id]) await refreshStudent(owner, id);
}

/**
 * Keeps the server's answer to a queued write as the record it is, and takes the write out of the outbox,
 * both or neither. What still waits is shown on top of the answer.
 */
export async function keepAnswer(owner: string, queued: QueuedWrite, answer: unknown): Promise<void> {
  const { route } = queued.writing;
  const stores = ['outbox', 'photos', 'students', 'builds', 'screens', 'methods', 'entries'] as const;
  const student = route === 'student' || route === 'student edit' ? withKnownBuild(answer as Student) : null;
  await writeFor(owner, stores, async (transaction) => {
    const row = <Value extends { id: string }>(value: Value) => ({
      owner,
      id: value.id,
      studentId: queued.subjectId,
      value,
    });
    if (student) void transaction.objectStore('students').put({ owner, id: student.id, value: student });
    if (route === 'build') {
      const build = answer as NewBuild;
      void transaction.objectStore('builds').put(row(build));
      const students = transaction.objectStore('students');
      const known = await students.get([owner, build.studentId]);
      if (known && (!known.value.build || known.value.build.madeAt <= build.madeAt))
        void students.put({ ...known, value: { ...known.value, build } });
    }
    if (route === 'screen') void transaction.objectStore('screens').put(row(answer as NewScreen));
    if (route === 'method')
      void transaction.objectStore('methods').put(methodRow(owner, answer as HouseMethod));
    if (route === 'entry') void transaction.objectStore('entries').put(row(answer as LogEntry));
    await letGoOfPicture(transaction.objectStore('photos'), queued);
    await transaction.objectStore('outbox').delete(queued.sequence!);
  });
  // Only a student's own answer can hide what edits that still wait would show.
  const waiting = student ? await queueOf(owner) : [];
  if (useRecords.getState().owner !== owner) return;
  useRecords.setState((records) => {
    const students = student ? { ...records.students, [student.id]: student } : records.students;
    const landed = route === 'entry' ? (answer as LogEntry) : null;
    const entries = landed ? { ...records.entries, [landed.id]: landed } : records.entries;
    return withQueued({ ...records, students, entries }, waiting);
  });
}

/** An answered student with the build the device knows: the answer to an edit brings none that is newer. */
const withKnownBuild = (answered: Student): Student => ({
  ...answered,
  build: useRecords.getState().students[answered.id]?.build ?? answered.build,
});

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
