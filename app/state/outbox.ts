import { v7 as newId } from 'uuid';
import { create } from 'zustand';
import { currentOwner, sessionExpired, useAccount } from './account';
import { api, isSignedOut, Refused, ServerAway } from './api';
import { deviceDatabase } from './database';
import { dependsOn, type QueuedWrite, type Writing } from './queuedWrite';
import { keepAnswer, openRecords, showQueued, useRecords } from './records';

interface Outbox {
  /** This coach's letters only, in the order they were made. */
  letters: QueuedWrite[];
  sending: boolean;
}

export const useOutbox = create<Outbox>(() => ({ letters: [], sending: false }));

const FIRST_RETRY_MS = 2_000;
const LONGEST_RETRY_MS = 30_000;
/** Tabs of one browser take turns at sending. */
const LOCK = 'pedastance-outbox';

let wait = FIRST_RETRY_MS;
let timer: ReturnType<typeof setTimeout> | undefined;

/** Shows the letters of the coach who is signed in. */
export async function openOutbox(owner: string): Promise<void> {
  const letters = await (await deviceDatabase()).getAllFromIndex('outbox', 'byOwner', owner);
  if (currentOwner() === owner) useOutbox.setState({ letters });
}

export const closeOutbox = (): void => {
  clearTimeout(timer);
  useOutbox.setState({ letters: [], sending: false });
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
  const letters = posts.map((each): QueuedWrite => ({ ...each, owner, refusal: null }));
  const transaction = (await deviceDatabase()).transaction('outbox', 'readwrite');
  for (const letter of letters) void transaction.store.add(letter);
  await transaction.done;
  showQueued(letters);
  await openOutbox(owner);
  void sendQueue();
}

type Outcome = 'sent' | 'refused' | 'stop';

async function sendOne(owner: string, letter: QueuedWrite): Promise<Outcome> {
  const database = await deviceDatabase();
  try {
    const answer = await api.write(owner, letter.writing);
    await keepAnswer(owner, letter, answer);
    await database.delete('outbox', letter.sequence!);
    useRecords.setState({ serverAway: false });
    return 'sent';
  } catch (error) {
    if (isSignedOut(error)) sessionExpired();
    else if (error instanceof ServerAway) useRecords.setState({ serverAway: true });
    else if (error instanceof Refused && error.problem.status !== 429) {
      await database.put('outbox', { ...letter, refusal: error.problem });
      return 'refused';
    } else if (!(error instanceof Refused)) throw error;
    return 'stop';
  }
}

/** Shows that a letter is gone, without reading all the others again. */
const removeSent = (sent: QueuedWrite): void =>
  useOutbox.setState(({ letters }) => ({
    letters: letters.filter(({ sequence }) => sequence !== sent.sequence),
  }));

/** Sends what waits, in order. A refused letter holds back the later ones that it is needed for. */
async function sendAll(owner: string): Promise<boolean> {
  const waiting = await (await deviceDatabase()).getAllFromIndex('outbox', 'byOwner', owner);
  const heldBack = new Set(waiting.filter((letter) => letter.refusal).map((letter) => letter.subjectId));
  const isHeldBack = (letter: QueuedWrite) => dependsOn(letter).some((subject) => heldBack.has(subject));
  for (const letter of waiting) {
    if (currentOwner() !== owner) return true;
    if (letter.refusal || isHeldBack(letter)) continue;
    const outcome = await sendOne(owner, letter);
    if (outcome === 'sent') removeSent(letter);
    else await openOutbox(owner);
    if (outcome === 'stop') return false;
    if (outcome === 'refused') heldBack.add(letter.subjectId);
  }
  return true;
}

function scheduleRetry(): void {
  clearTimeout(timer);
  timer = setTimeout(() => void sendQueue(), wait);
  wait = Math.min(wait * 2, LONGEST_RETRY_MS);
}

/** Sends the signed-in coach's letters, and keeps trying while the server is away. */
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
export async function sendAgain(letter: QueuedWrite): Promise<void> {
  await (await deviceDatabase()).put('outbox', { ...letter, refusal: null });
  retryNow();
}

/** Sends a stale edit again, as a new one made from what the student is now. */
export async function putOver(letter: QueuedWrite, currentVersion: number): Promise<void> {
  if (letter.writing.route !== 'student edit') return;
  const body = { ...letter.writing.body, id: newId(), version: currentVersion };
  await (
    await deviceDatabase()
  ).put('outbox', { ...letter, writing: { route: 'student edit', body }, refusal: null });
  retryNow();
}

/**
 * Sends a stale version of a method again as a method of its own. What was read with it on this
 * device and waits is made to say so.
 */
export async function keepAsOwnMethod(letter: QueuedWrite): Promise<void> {
  if (letter.writing.route !== 'method') return;
  const { methodId, version } = letter.writing.body;
  const own = newId();
  const transaction = (await deviceDatabase()).transaction('outbox', 'readwrite');
  for (const waiting of await transaction.store.index('byOwner').getAll(letter.owner)) {
    const { route, body } = waiting.writing;
    if (waiting.sequence === letter.sequence) {
      const again = { ...letter.writing.body, id: newId(), methodId: own, version: 1 };
      const writing: Writing = { route: 'method', body: again };
      void transaction.store.put({ ...letter, subjectId: own, writing, refusal: null });
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
  await openRecords(letter.owner);
  await openOutbox(letter.owner);
  retryNow();
}

/** Removes a refused letter for good; only ever on the coach's word. */
export async function discardWrite(letter: QueuedWrite): Promise<void> {
  await (await deviceDatabase()).delete('outbox', letter.sequence!);
  await openRecords(letter.owner);
  await openOutbox(letter.owner);
  retryNow();
}
