import type { LogEntry, NewBuild, NewScreen, Student } from '@pedastance/contract';
import type { HouseMethod } from '@pedastance/core/method';
import type { DBSchema } from 'idb';
import type { LessonDraft } from '../domain/lessonDraft';
import type { QueuedWrite } from './queuedWrite';

/** Everything on the device belongs to one academy and one instructor, named by `owner`. */
interface Owned {
  owner: string;
}

/** What only the owner's key opens (AES-GCM). */
export interface Sealed {
  sequence?: number;
  owner: string;
  nonce: Uint8Array<ArrayBuffer>;
  data: ArrayBuffer;
}

type ById<Value> = { key: [string, string]; value: Owned & { id: string; value: Value } };
type OfStudent<Value> = {
  key: [string, string];
  value: Owned & { id: string; studentId: string; value: Value };
  indexes: { byStudent: [string, string] };
};

/** A lesson in progress as the device keeps it. */
export interface DraftRow extends Owned {
  id: string;
  value: LessonDraft;
}

export interface Schema extends DBSchema {
  /** Who is signed in, and how this device is set. */
  device: { key: string; value: unknown };
  students: ById<Student>;
  methods: ById<HouseMethod>;
  builds: OfStudent<NewBuild>;
  screens: OfStudent<NewScreen>;
  entries: OfStudent<LogEntry>;
  drafts: { key: [string, string]; value: DraftRow };
  /** Photos of lessons in progress, as they will be sent. */
  photos: {
    key: [string, string];
    value: Owned & { id: string; lessonId: string; jpeg: ArrayBuffer };
    indexes: { byLesson: [string, string] };
  };
  /** What sign-outs left on the device, each sealed with its owner's key. */
  sealed: { key: number; value: Sealed; indexes: { byOwner: string } };
  outbox: { key: number; value: QueuedWrite; indexes: { byOwner: string } };
}
