import { openDB, type IDBPDatabase } from 'idb';
import type { Schema } from './schema';
import { upgradeDevice } from './upgrade';

export type DeviceDatabase = IDBPDatabase<Schema>;
/** Copies of what the server has; a sign-out may remove them, never the drafts or the outbox. */
export const COPIES = ['students', 'methods', 'builds', 'screens', 'entries'] as const;

const NAME = 'pedastance';
const VERSION = 4;

let opened: Promise<DeviceDatabase> | undefined;

/** The device's database, opened once. */
export function deviceDatabase(): Promise<DeviceDatabase> {
  opened ??= openDB<Schema>(NAME, VERSION, {
    async upgrade(database, before, _after, transaction) {
      const ofStudents = (name: 'builds' | 'screens' | 'entries') =>
        database
          .createObjectStore(name, { keyPath: ['owner', 'id'] })
          .createIndex('byStudent', ['owner', 'studentId']);
      if (before > 0) {
        if (before < 2) ofStudents('screens');
        return upgradeDevice(transaction);
      }
      database.createObjectStore('device');
      for (const name of ['students', 'methods', 'drafts'] as const) {
        database.createObjectStore(name, { keyPath: ['owner', 'id'] });
      }
      for (const name of ['builds', 'screens', 'entries'] as const) ofStudents(name);
      const outbox = database.createObjectStore('outbox', { keyPath: 'sequence', autoIncrement: true });
      outbox.createIndex('byOwner', 'owner');
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
