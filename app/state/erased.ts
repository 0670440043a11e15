import { letGoOfPicture } from './queuedPictures';
import type { DraftRow } from './schema';
import { deviceDatabase, logKeyStart, ownedBy, todayKey, type OwnedTransaction } from './database';

/** Everything of a student's lies in one of these. */
export const OF_STUDENTS = [
  'students',
  'builds',
  'screens',
  'entries',
  'drafts',
  'outbox',
  'photos',
] as const;
type Transaction = OwnedTransaction<(typeof OF_STUDENTS)[number]>;

const isOf = (studentId: string) => (row: DraftRow) => row.value.studentId === studentId;

/** Removes an erased student from this device: copies, lessons in progress, and what waits to be sent. */
export async function removeStudent(
  transaction: Transaction,
  owner: string,
  studentId: string,
): Promise<void> {
  void transaction.objectStore('students').delete([owner, studentId]);
  for (const name of ['builds', 'screens', 'entries'] as const) {
    const store = transaction.objectStore(name);
    for (const key of await store.index('byStudent').getAllKeys([owner, studentId])) void store.delete(key);
  }
  const drafts = transaction.objectStore('drafts');
  for (const { id } of (await drafts.getAll(ownedBy(owner))).filter(isOf(studentId)))
    void drafts.delete([owner, id]);
  const outbox = transaction.objectStore('outbox');
  for (const queued of await outbox.index('byOwner').getAll(owner))
    if (queued.subjectId === studentId) {
      void letGoOfPicture(transaction.objectStore('photos'), queued);
      void outbox.delete(queued.sequence!);
    }
  const device = transaction.objectStore('device');
  void device.delete(`${logKeyStart(owner)}${studentId}`);
  // The day as it was last told may name the student.
  void device.delete(todayKey(owner));
}

/** A device that has not met the server for so long lets its copies go, ms. */
export const COPIES_LAST_MS = 30 * 24 * 60 * 60 * 1000;

const contactKey = (owner: string): string => `contact of ${owner}`;

/** Notes that the server answered this coach. */
export async function noteContact(owner: string, at: number): Promise<void> {
  await (await deviceDatabase()).put('device', at, contactKey(owner));
}

/** When the server last answered this coach on this device; null before that was noted. */
export const lastContact = async (owner: string): Promise<number | null> =>
  ((await (await deviceDatabase()).get('device', contactKey(owner))) as number | undefined) ?? null;
