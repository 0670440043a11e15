import { ownerOf, type Identity } from '@pedastance/contract/owner';
import { openDB, type IDBPDatabase, type IDBPTransaction, type StoreNames } from 'idb';
import type { Schema } from './schema';
import { upgradeDevice } from './upgrade';

export type DeviceDatabase = IDBPDatabase<Schema>;
type Store = StoreNames<Schema>;
/** Copies of what the server has; a sign-out removes them. */
export const COPIES = ['students', 'methods', 'builds', 'screens', 'entries'] as const;

const NAME = 'pedastance';
const VERSION = 11;

/** The key of who is signed in, in the store `device`. */
export const KEPT_IDENTITY = 'identity';
/** The key of a coach's methods in progress there. */
export const methodDraftsKey = (owner: string): string => `method drafts of ${owner}`;
/** The key of how far the academy's changes were followed there, and what those of logs begin with. */
export const changesKey = (owner: string): string => `changes of ${owner}`;
/** The key of the coach's day there, as it was last told. */
export const todayKey = (owner: string): string => `today of ${owner}`;
/** The key of what an academy has of its own there, its drills or its ladders. */
export const ownKey = (what: 'drill' | 'ladder', owner: string): string => `${what}s of ${owner}`;
export const guessesKey = (owner: string): string => `guesses of ${owner}`;
export const logKeyStart = (owner: string): string => `log of ${owner} `;

let opened: Promise<DeviceDatabase> | undefined;

function makeStores(database: DeviceDatabase, before: number): void {
  if (before < 1) {
    database.createObjectStore('device');
    for (const name of ['students', 'methods', 'drafts'] as const) {
      database.createObjectStore(name, { keyPath: ['owner', 'id'] });
    }
    const outbox = database.createObjectStore('outbox', { keyPath: 'sequence', autoIncrement: true });
    outbox.createIndex('byOwner', 'owner');
  }
  const ofStudents = [
    ...(before < 1 ? (['builds', 'entries'] as const) : []),
    ...(before < 2 ? ['screens' as const] : []),
  ];
  for (const name of ofStudents) {
    database
      .createObjectStore(name, { keyPath: ['owner', 'id'] })
      .createIndex('byStudent', ['owner', 'studentId']);
  }
  if (before < 8) {
    database
      .createObjectStore('photos', { keyPath: ['owner', 'id'] })
      .createIndex('byLesson', ['owner', 'lessonId']);
  }
  if (before < 5) {
    const sealed = database.createObjectStore('sealed', { keyPath: 'sequence', autoIncrement: true });
    sealed.createIndex('byOwner', 'owner');
  }
}

/** The device's database, opened once. */
export function deviceDatabase(): Promise<DeviceDatabase> {
  opened ??= openDB<Schema>(NAME, VERSION, {
    async upgrade(database, before, _after, transaction) {
      makeStores(database, before);
      if (before > 0) await upgradeDevice(transaction);
    },
    // Another tab wants a newer version: let go, and open again when next asked.
    blocking(_current, _blocked, event) {
      (event.target as IDBDatabase).close();
      opened = undefined;
    },
    terminated() {
      opened = undefined;
    },
  });
  return opened;
}

/** All keys that begin with an owner; identifiers are shorter than any run of the last character. */
export const ownedBy = (owner: string): IDBKeyRange => IDBKeyRange.bound([owner, ''], [owner, '\uffff']);

export type OwnedTransaction<Name extends Store> = IDBPTransaction<Schema, ('device' | Name)[], 'readwrite'>;

/** Somebody else is signed in on this device now, or nobody: nothing was written. */
export class NotTheOwner extends Error {
  constructor() {
    super('another coach is signed in on this device now');
  }
}

/**
 * Writes to the device for an owner, all or nothing. Who is signed in is looked at within the transaction,
 * so that nothing is written after a sign-out, in this tab or another.
 * @throws NotTheOwner, or the device's own error, with nothing written
 */
export async function writeFor<Name extends Store, Result>(
  owner: string,
  stores: readonly Name[],
  work: (transaction: OwnedTransaction<Name>) => Promise<Result>,
): Promise<Result> {
  const database = await deviceDatabase();
  const transaction = database.transaction(['device', ...stores], 'readwrite') as OwnedTransaction<Name>;
  // A transaction that is given up rejects `done`; the error that counts is the one thrown below.
  transaction.done.catch(() => undefined);
  try {
    const device = transaction.objectStore('device' as never) as unknown as {
      get(key: string): Promise<Identity | undefined>;
    };
    const identity = await device.get(KEPT_IDENTITY);
    if (!identity || ownerOf(identity) !== owner) throw new NotTheOwner();
    const result = await work(transaction);
    await transaction.done;
    return result;
  } catch (error) {
    try {
      transaction.abort();
    } catch {
      // It has ended by itself, which is what was wanted.
    }
    throw error;
  }
}

/** Deletes the photos of a lesson from the device, but those named; those that were recorded are in the outbox by then. */
export async function letGoOfPhotos(
  photos: { index(name: 'byLesson'): { getAllKeys(key: [string, string]): Promise<[string, string][]> } } & {
    delete(key: [string, string]): Promise<void>;
  },
  owner: string,
  lessonId: string,
  but: readonly string[] = [],
): Promise<void> {
  const keys = await photos.index('byLesson').getAllKeys([owner, lessonId]);
  for (const key of keys) if (!but.includes(key[1])) await photos.delete(key);
}

/** What the coach reads when the device does not keep something (QuotaExceededError of the Storage standard). */
export const wordsOfFullDevice = (error: unknown): string =>
  (error as Error).name === 'QuotaExceededError'
    ? 'it has no room left. Free some space, then go on.'
    : (error as Error).message;
