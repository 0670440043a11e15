import { v7 as newId } from 'uuid';
import { create } from 'zustand';
import { currentOwner, sessionExpired, useAccount } from './account';
import { api, isSignedOut, Refused, ServerAway } from './api';
import { deviceDatabase } from './database';
import { dependsOn, type QueuedWrite, type Writing } from './queuedWrite';
import { keepAnswer, openRecords, showQueued, useRecords } from './records';

interface Outbox {
  /** This coach's queued writes only, in the order they were made. */
  queue: QueuedWrite[];
  sending: boolean;
}

export const useOutbox = create<Outbox>(() => ({ queue: [], sending: false }));

const FIRST_RETRY_MS = 2_000;
const LONGEST_RETRY_MS = 30_000;
/** Tabs of one browser take turns at sending. */
const LOCK = 'pedastance-outbox';

let wait = FIRST_RETRY_MS;
let timer: ReturnType<typeof setTimeout> | undefined;

/** Shows the queued writes of the coach who is signed in. */
export async function openOutbox(owner: string): Promise<void> {
  const queue = await (await deviceDatabase()).getAllFromIndex('outbox', 'byOwner', owner);
  if (currentOwner() === owner) useOutbox.setState({ queue });
}

export const closeOutbox = (): void => {
  clearTimeout(timer);
  useOutbox.setState({ queue: [], sending: false });
};

export interface Post {
  subjectId: string;
  label: string;
  writing: Writing;
}

/**
 * Puts writes into the outbox, all or none, and starts sending. They are on the device when this
 * resolves, whatever becomes of the page.
 */
export async function post(posts: readonly Post[]): Promise<void> {
  const owner = currentOwner();
  if (!owner) throw new Error('nobody is signed in');
  const queue = posts.map((each): QueuedWrite => ({ ...each, owner, refusal: null }));
  const transaction = (await deviceDatabase()).transaction('outbox', 'readwrite');
  for (const queued of queue) void transaction.store.add(queued);
  await transaction.done;
  showQueued(queue);
  await openOutbox(owner);
  void sendQueue();
}

type Outcome = 'sent' | 'refused' | 'stop';

async function sendOne(owner: string, queued: QueuedWrite): Promise<Outcome> {
  const database = await deviceDatabase();
  try {
    const answer = await api.write(owner, queued.writing);
    await keepAnswer(owner, queued, answer);
    await database.delete('outbox', queued.sequence!);
    useRecords.setState({ serverAway: false });
    return 'sent';
  } catch (error) {
    if (isSignedOut(error)) sessionExpired();
    else if (error instanceof ServerAway) useRecords.setState({ serverAway: true });
    else if (error instanceof Refused && error.problem.status !== 429) {
      await database.put('outbox', { ...queued, refusal: error.problem });
      return 'refused';
    } else if (!(error instanceof Refused)) throw error;
    return 'stop';
  }
}

/** Shows that a queued write is gone, without reading all the others again. */
const removeSent = (sent: QueuedWrite): void =>
  useOutbox.setState(({ queue }) => ({
    queue: queue.filter(({ sequence }) => sequence !== sent.sequence),
  }));

/** Sends what waits, in order. A refused write holds back the later ones that need it. */
async function sendAll(owner: string): Promise<boolean> {
  const waiting = await (await deviceDatabase()).getAllFromIndex('outbox', 'byOwner', owner);
  const heldBack = new Set(waiting.filter((queued) => queued.refusal).map((queued) => queued.subjectId));
  const isHeldBack = (queued: QueuedWrite) => dependsOn(queued).some((subject) => heldBack.has(subject));
  for (const queued of waiting) {
    if (currentOwner() !== owner) return true;
    if (queued.refusal || isHeldBack(queued)) continue;
    const outcome = await sendOne(owner, queued);
    if (outcome === 'sent') removeSent(queued);
    else await openOutbox(owner);
    if (outcome === 'stop') return false;
    if (outcome === 'refused') heldBack.add(queued.subjectId);
  }
  return true;
}

function scheduleRetry(): void {
  clearTimeout(timer);
  timer = setTimeout(() => void sendQueue(), wait);
  wait = Math.min(wait * 2, LONGEST_RETRY_MS);
}

/** Sends the signed-in coach's queue, and retries while the server is away. */
export async function sendQueue(): Promise<void> {
  const owner = currentOwner();
  if (!owner || useAccount.getState().status !== 'signed in') return;
  clearTimeout(timer);
  useOutbox.setState({ sending: true });
  let through = false;
  try {
    through = await navigator.locks.request(LOCK, () => sendAll(owner));
  } finally {
    useOutbox.setState({ sending: false });
    if (through) wait = FIRST_RETRY_MS;
    else scheduleRetry();
  }
}

/** Tries at once, when there is reason to think that the server is back. */
export function retryNow(): void {
  wait = FIRST_RETRY_MS;
  void sendQueue();
}

/** Takes back a refusal and sends again. */
export async function sendAgain(queued: QueuedWrite): Promise<void> {
  await (await deviceDatabase()).put('outbox', { ...queued, refusal: null });
  retryNow();
}

/** Sends a stale edit again, as a new one made from what the student is now. */
export async function putOver(queued: QueuedWrite, currentVersion: number): Promise<void> {
  if (queued.writing.route !== 'student edit') return;
  const body = { ...queued.writing.body, id: newId(), version: currentVersion };
  await (
    await deviceDatabase()
  ).put('outbox', { ...queued, writing: { route: 'student edit', body }, refusal: null });
  retryNow();
}

/**
 * Sends a stale version of a method again as a method of its own. What was read with it on this
 * device and waits is made to say so.
 */
export async function keepAsOwnMethod(queued: QueuedWrite): Promise<void> {
  if (queued.writing.route !== 'method') return;
  const { methodId, version } = queued.writing.body;
  const own = newId();
  const transaction = (await deviceDatabase()).transaction('outbox', 'readwrite');
  for (const waiting of await transaction.store.index('byOwner').getAll(queued.owner)) {
    const { route, body } = waiting.writing;
    if (waiting.sequence === queued.sequence) {
      const again = { ...queued.writing.body, id: newId(), methodId: own, version: 1 };
      const writing: Writing = { route: 'method', body: again };
      void transaction.store.put({ ...queued, subjectId: own, writing, refusal: null });
    } else if (
      route === 'entry' &&
      body.kind === 'reading' &&
      body.methodId === methodId &&
      body.methodVersion === version
    ) {
      const reading = { ...body, methodId: own, methodVersion: 1 };
      void transaction.store.put({ ...waiting, writing: { route, body: reading } });
    }
  }
  await transaction.done;
  await openRecords(queued.owner);
  await openOutbox(queued.owner);
  retryNow();
}

/** Removes a refused write for good; only ever on the coach's word. */
export async function discardWrite(queued: QueuedWrite): Promise<void> {
  await (await deviceDatabase()).delete('outbox', queued.sequence!);
  await openRecords(queued.owner);
  await openOutbox(queued.owner);
  retryNow();
}
