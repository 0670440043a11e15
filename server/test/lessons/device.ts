// A coach's device without its screens: the app's own stores and writes, over a database in memory, before the real server.
import 'fake-indexeddb/auto';
import type { LogEntry, NewBuild, Student } from '@pedastance/contract';
import { ownerOf } from '@pedastance/contract';
import { IDBFactory } from 'fake-indexeddb';
import type { Coach, World } from '../world';

/** The parts of the app that screens call. */
async function loadApp() {
  return {
    account: await import('../../../app/state/account'),
    agreed: await import('@pedastance/contract/agreed'),
    agreements: await import('@pedastance/contract/agreements'),
    case: await import('../../../app/domain/case'),
    database: await import('../../../app/state/database'),
    draft: await import('../../../app/domain/lessonDraft'),
    drafts: await import('../../../app/state/drafts'),
    last: await import('../../../app/state/useLastRecord'),
    lesson: await import('../../../app/state/lesson'),
    outbox: await import('../../../app/state/outbox'),
    record: await import('../../../app/state/writes/record'),
    records: await import('../../../app/state/records'),
    logged: await import('@pedastance/contract/records'),
    reasons: await import('../../../app/domain/reasons'),
    sentences: await import('../../../app/domain/sentences'),
    shots: await import('../../../app/state/writes/shots'),
    start: await import('../../../app/state/startLesson'),
    tape: await import('../../../app/state/tape'),
  };
}
export type App = Awaited<ReturnType<typeof loadApp>>;

export interface Device {
  app: App;
  owner: string;
  /** The server cannot be reached from here. */
  offline: boolean;
  /** Closes everything and opens it again from what the device keeps, as a browser that was shut down does. */
  reopen: () => Promise<void>;
  /** Waits until nothing is on its way any more. */
  settle: () => Promise<void>;
  student: (id: string) => Student;
  entries: (studentId: string) => LogEntry[];
  build: (studentId: string) => NewBuild;
}

const devices: Device[] = [];
const headersOf = new Map<string, Record<string, string>>();

/** Each request names its owner: it goes out from that device, or nowhere while it has no connection. */
function connect(world: World): void {
  globalThis.fetch = new Proxy(globalThis.fetch, {
    apply: (real, _this, [path, request]: [string, RequestInit]) => {
      if (!path.startsWith('/')) return real(path, request);
      const asked = request.headers as Record<string, string>;
      const device = devices.find(({ owner }) => owner === asked['x-pedastance-owner']);
      if (!device || device.offline) return Promise.reject(new TypeError('Failed to fetch'));
      const headers = { ...asked, ...headersOf.get(device.owner), origin: world.origin };
      return real(`${world.origin}${path}`, { ...request, headers });
    },
  });
}

/** What of a browser the stores ask for. */
function likeABrowser(): void {
  const locks = { request: (_name: string, work: () => unknown) => Promise.resolve().then(work) };
  Object.defineProperty(globalThis, 'navigator', { value: { locks }, configurable: true });
  // Devices of two coaches are no tabs of one browser.
  Reflect.deleteProperty(globalThis, 'BroadcastChannel');
}

async function open({ app, owner }: Pick<Device, 'app' | 'owner'>): Promise<void> {
  await app.records.openRecords(owner);
  await app.drafts.openDrafts(owner);
  await app.outbox.openOutbox(owner);
}

/** A device on which a coach is signed in. */
export async function openDevice(world: World, coach: Coach): Promise<Device> {
  if (devices.length === 0) {
    connect(world);
    likeABrowser();
  }
  const owner = ownerOf(coach.identity);
  headersOf.set(owner, coach.headers);
  globalThis.indexedDB = new IDBFactory();
  let app!: App;
  await jest.isolateModulesAsync(async () => {
    app = await loadApp();
  });
  await (await app.database.deviceDatabase()).put('device', coach.identity, app.database.KEPT_IDENTITY);
  app.account.useAccount.setState({ status: 'signed in', identity: coach.identity });
  await open({ app, owner });
  const settle = async () => {
    await app.lesson.keepNow();
    const isBusy = () => app.outbox.useOutbox.getState().sending;
    for (let tries = 0; tries < 400 && (tries === 0 || isBusy()); tries += 1)
      await new Promise((resolve) => setTimeout(resolve, 5));
  };
  const device: Device = {
    app,
    owner,
    offline: false,
    settle,
    reopen: async () => {
      const id = app.lesson.lesson.getState().draft?.id;
      app.lesson.closeLesson();
      await settle();
      app.outbox.closeOutbox();
      app.drafts.closeDrafts();
      app.records.closeRecords();
      await open({ app, owner });
      const draft = id && app.drafts.useDrafts.getState().drafts[id];
      if (!draft) return;
      await app.records.openStudent(owner, draft.studentId);
      app.lesson.openLesson(owner, draft);
    },
    student: (id) => app.records.useRecords.getState().students[id]!,
    build: (id) => app.records.useRecords.getState().students[id]!.build!,
    entries: (studentId) =>
      Object.values(app.records.useRecords.getState().entries).filter((each) => each.studentId === studentId),
  };
  devices.push(device);
  return device;
}
