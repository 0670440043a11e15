import { CONTRACT_VERSION } from '@pedastance/contract/wire';
import { v7 as newId } from 'uuid';
import { create } from 'zustand';
import type { LessonDraft } from '../domain/lessonDraft';
import { currentOwner, sessionExpired, useAccount } from './account';
import { api, isSignedOut, Refused, ServerAway, ServerFailed } from './api';
import { deviceDatabase, NotTheOwner, wordsOfFullDevice, writeFor } from './database';
import { useDrafts } from './drafts';
import {
  dependsOn,
  inTodaysShape,
  MOST_FAILURES,
  type QueuedWrite,
  type SentBody,
  type Writing,
} from './queuedWrite';
import { pictureApart } from './partedPicture';
import { bodyToSend, letGoOfPicture } from './queuedPictures';
import { keepAnswer, letGo, openRecords, showQueued, useRecords } from './records';
import { tellTabs } from './tabs';

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

const queueOf = async (owner: string): Promise<QueuedWrite[]> =>
  (await deviceDatabase()).getAllFromIndex('outbox', 'byOwner', owner);

/** Shows the queued writes of the coach who is signed in. */
export async function openOutbox(owner: string): Promise<void> {
  const queue = (await queueOf(owner)).map(inTodaysShape);
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

/** The device did not keep what was to be sent; the coach has been told, and nothing has changed. */
export class NotKept extends Error {}

/** Another tab recorded from the same lesson since; this tab has its newer state to show first. */
export class ChangedElsewhere extends Error {}

const isNewerThan = (kept: LessonDraft | undefined, draft: LessonDraft): boolean =>
  kept !== undefined && kept.recorded.length > draft.recorded.length;

/**
 * Puts writes into the outbox, all or none, together with the lesson they come from, and starts sending.
 * They are on the device when this resolves, whatever becomes of the page. A record that is queued or
 * landed already is left out: two tabs hear the same shot, and it is one record.
 * @throws NotKept, or ChangedElsewhere; nothing was written then
 */
export async function post(
  posts: readonly Post[],
  draft?: { before: LessonDraft; after: LessonDraft },
): Promise<void> {
  const owner = currentOwner();
  if (!owner) throw new Error('nobody is signed in');
  let added: QueuedWrite[];
  try {
    added = await writeFor(owner, ['outbox', 'entries', 'drafts', 'photos'], async (transaction) => {
      const outbox = transaction.objectStore('outbox');
      const drafts = transaction.objectStore('drafts');
      if (draft && isNewerThan((await drafts.get([owner, draft.after.id]))?.value, draft.before))
        throw new ChangedElsewhere();
      const queued = new Set(
        (await outbox.index('byOwner').getAll(owner)).map(({ writing }) => writing.body.id),
      );
      const fresh: QueuedWrite[] = [];
      for (const each of posts) {
        const { id } = each.writing.body;
        const landed =
          each.writing.route === 'entry' && (await transaction.objectStore('entries').getKey([owner, id]));
        if (queued.has(id) || landed) continue;
        const writing = await pictureApart(transaction.objectStore('photos'), owner, each.writing);
        const write: QueuedWrite = { ...each, writing, owner, contract: CONTRACT_VERSION, refusal: null };
        await outbox.add(write);
        fresh.push(write);
      }
      if (draft) await drafts.put({ owner, id: draft.after.id, value: draft.after });
      return fresh;
    });
  } catch (error) {
    if (error instanceof ChangedElsewhere) throw error;
    if (!(error instanceof NotTheOwner)) useDrafts.setState({ notKept: wordsOfFullDevice(error) });
    throw new NotKept((error as Error).message);
  }
  if (useDrafts.getState().notKept) useDrafts.setState({ notKept: null });
  showQueued(added);
  await openOutbox(owner);
  tellTabs({ kind: 'records', owner });
  void sendQueue();
}

/** Changes a queued write as the device has it; one that is gone meanwhile stays gone. */
async function changeQueued(
  owner: string,
  sequence: number,
  change: (queued: QueuedWrite) => QueuedWrite | null,
): Promise<void> {
  await writeFor(owner, ['outbox'], async (transaction) => {
    const outbox = transaction.objectStore('outbox');
    const kept = await outbox.get(sequence);
    const changed = kept && change(kept);
    if (changed) await outbox.put(changed);
    else if (kept) await outbox.delete(sequence);
  });
}

type Outcome = 'sent' | 'set aside' | 'later' | 'stop';

/** What becomes of a write the server failed at: tried again with the next round, and set aside after a few. */
async function countFailure(
  owner: string,
  queued: QueuedWrite,
  problem: QueuedWrite['refusal'],
): Promise<Outcome> {
  const failures = (queued.failures ?? 0) + 1;
  const given = failures >= MOST_FAILURES ? problem : null;
  await changeQueued(owner, queued.sequence!, (kept) => ({ ...kept, failures, refusal: given }));
  return given ? 'set aside' : 'later';
}

async function outcomeOf(owner: string, queued: QueuedWrite, error: unknown): Promise<Outcome> {
  if (isSignedOut(error)) sessionExpired(error);
  else if (error instanceof ServerAway) useRecords.setState({ serverAway: true, awayReason: error.reason });
  else if (error instanceof Refused && error.problem.status !== 429) {
    const { problem } = error;
    if (problem.type.endsWith('/erased')) {
      await letGo(owner, [queued.subjectId]);
      return 'set aside';
    }
    await changeQueued(owner, queued.sequence!, (kept) => ({ ...kept, refusal: problem }));
    return 'set aside';
  } else if (error instanceof ServerFailed) return countFailure(owner, queued, error.problem);
  else if (!(error instanceof Refused)) throw error;
  return 'stop';
}

async function sendOne(owner: string, queued: QueuedWrite): Promise<Outcome> {
  const { writing, contract } = queued;
  let answer: unknown;
  try {
    const body = await bodyToSend(queued);
    answer = await api.write(owner, writing.route, { ...body, contract } as SentBody);
  } catch (error) {
    return outcomeOf(owner, queued, error);
  }
  await keepAnswer(owner, queued, answer);
  useRecords.setState({ serverAway: false, awayReason: null });
  tellTabs({ kind: 'records', owner });
  return 'sent';
}

/** Shows that a queued write is gone, without reading all the others again. */
const removeSent = (sent: QueuedWrite): void =>
  useOutbox.setState(({ queue }) => ({
    queue: queue.filter(({ sequence }) => sequence !== sent.sequence),
  }));

/**
 * Sends what waits, in order. A write that is set aside, or has to be tried again, holds back the later
 * ones that need it. Answers whether all that could go out did.
 */
async function sendAll(owner: string): Promise<boolean> {
  const waiting = await queueOf(owner);
  const heldBack = new Set(waiting.filter((queued) => queued.refusal).map((queued) => queued.subjectId));
  const isHeldBack = (queued: QueuedWrite) =>
    dependsOn(inTodaysShape(queued)).some((subject) => heldBack.has(subject));
  let through = true;
  for (const queued of waiting) {
    if (currentOwner() !== owner) return true;
    if (queued.refusal || isHeldBack(queued)) continue;
    const outcome = await sendOne(owner, queued);
    if (outcome === 'sent') removeSent(queued);
    else await openOutbox(owner);
    if (outcome === 'stop') return false;
    if (outcome === 'later') through = false;
    // Nothing rests on a photo.
    if (outcome !== 'sent' && queued.writing.route !== 'photo') heldBack.add(queued.subjectId);
  }
  return through;
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
  } catch (error) {
    // The device did not keep an answer: what was sent stays queued, and is sent and answered again.
    if (!(error instanceof NotTheOwner)) useDrafts.setState({ notKept: wordsOfFullDevice(error) });
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

async function shownAgain(owner: string): Promise<void> {
  await openRecords(owner);
  await openOutbox(owner);
  tellTabs({ kind: 'records', owner });
  retryNow();
}

/**
 * Takes back a refusal and sends again. A record that was dated ahead by a wrong clock is dated by the clock
 * as it is now.
 */
export async function sendAgain(queued: QueuedWrite): Promise<void> {
  await changeQueued(queued.owner, queued.sequence!, (kept) => ({
    ...kept,
    writing: kept.refusal?.type.endsWith('/clock-ahead') ? datedNow(kept.writing) : kept.writing,
    failures: 0,
    refusal: null,
  }));
  await shownAgain(queued.owner);
}

function datedNow(writing: Writing): Writing {
  const now = new Date().toISOString();
  return (
    writing.route === 'lesson'
      ? { ...writing, body: { ...writing.body, startedAt: now } }
      : { ...writing, body: { ...writing.body, madeAt: now } }
  ) as Writing;
}

/**
 * Makes the waiting edits of one student a chain again, from the version that the server has: each is made
 * from the one before it, so that none is refused for the coach's own.
 */
function renumbered(queue: readonly QueuedWrite[], studentId: string, from: number): QueuedWrite[] {
  let version = from;
  return queue.flatMap((queued): QueuedWrite[] => {
    const { writing } = queued;
    if (writing.route !== 'student edit' || writing.body.studentId !== studentId) return [];
    // Another body is another write.
    const body = { ...writing.body, id: newId(), version };
    version += 1;
    return [{ ...queued, writing: { route: 'student edit', body }, refusal: null }];
  });
}

/** Sends a stale edit again, as a new one made from what the student is now, and those made after it too. */
export async function putOver(queued: QueuedWrite, currentVersion: number): Promise<void> {
  if (queued.writing.route !== 'student edit') return;
  const { owner, sequence } = queued;
  const { studentId } = queued.writing.body;
  await writeFor(owner, ['outbox'], async (transaction) => {
    const outbox = transaction.objectStore('outbox');
    const later = (await outbox.index('byOwner').getAll(owner)).filter((each) => each.sequence! >= sequence!);
    for (const each of renumbered(later, studentId, currentVersion)) await outbox.put(each);
  });
  await shownAgain(owner);
}

/**
 * Sends a stale version of a method again as a method of its own. What was read with it on this
 * device and waits is made to say so.
 */
export async function keepAsOwnMethod(queued: QueuedWrite): Promise<void> {
  if (queued.writing.route !== 'method') return;
  const { methodId, version } = queued.writing.body;
  const own = newId();
  await writeFor(queued.owner, ['outbox'], async (transaction) => {
    const outbox = transaction.objectStore('outbox');
    for (const waiting of await outbox.index('byOwner').getAll(queued.owner)) {
      const { route, body } = waiting.writing;
      if (waiting.sequence === queued.sequence && route === 'method') {
        const again = { ...body, id: newId(), methodId: own, version: 1 };
        const writing: Writing = { route: 'method', body: again };
        await outbox.put({ ...waiting, subjectId: own, writing, refusal: null });
      } else if (
        route === 'entry' &&
        body.kind === 'reading' &&
        body.methodId === methodId &&
        body.methodVersion === version
      ) {
        const reading = { ...body, methodId: own, methodVersion: 1 };
        await outbox.put({ ...waiting, writing: { route, body: reading } });
      }
    }
  });
  await shownAgain(queued.owner);
}

/** Removes a refused write for good; only ever on the coach's word. Edits made after one follow on from before it. */
export async function discardWrite(queued: QueuedWrite): Promise<void> {
  const { owner, sequence, writing } = queued;
  await writeFor(owner, ['outbox', 'photos'], async (transaction) => {
    const outbox = transaction.objectStore('outbox');
    await letGoOfPicture(transaction.objectStore('photos'), queued);
    await outbox.delete(sequence!);
    if (writing.route !== 'student edit') return;
    const { studentId, version } = writing.body;
    const later = (await outbox.index('byOwner').getAll(owner)).filter((each) => each.sequence! > sequence!);
    for (const each of renumbered(later, studentId, version)) await outbox.put(each);
  });
  await shownAgain(owner);
}
