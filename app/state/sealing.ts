import { upgradedDraft } from './upgrade';
import type { LessonDraft } from '../domain/lessonDraft';
import {
  changesKey,
  COPIES,
  deviceDatabase,
  logKeyStart,
  methodDraftsKey,
  ownedBy,
  todayKey,
  writeFor,
} from './database';
import { fromBase64, toBase64 } from '../domain/base64';
import { pictureApart } from './partedPicture';
import type { QueuedWrite } from './queuedWrite';

/**
 * What a coach leaves on a device at a sign-out, so that nobody else who uses it can read it: copies of the
 * server's records are removed, what is not sent is sealed (AES-GCM) with a key that the server gives to that
 * coach alone, and the key is removed. It is opened at the coach's next sign-in here.
 */

const KEPT_KEY = 'deviceKey';
const NONCE_BYTES = 12;

interface Left {
  /** Photos of the lessons in progress, base64; absent in what was sealed before there were any. */
  photos?: { id: string; lessonId: string; jpeg: string }[];
  outbox: QueuedWrite[];
  drafts: LessonDraft[];
  methodDrafts: unknown;
}

/** Keeps the coach's key while signed in, in a form that no script can read out. */
export async function keepDeviceKey(base64: string): Promise<void> {
  const key = await crypto.subtle.importKey('raw', fromBase64(base64), 'AES-GCM', false, [
    'encrypt',
    'decrypt',
  ]);
  await (await deviceDatabase()).put('device', key, KEPT_KEY);
}

const keptKey = async (): Promise<CryptoKey | undefined> =>
  (await (await deviceDatabase()).get('device', KEPT_KEY)) as CryptoKey | undefined;

const bound = (owner: string, nonce: Uint8Array<ArrayBuffer>): AesGcmParams => ({
  name: 'AES-GCM',
  iv: nonce,
  additionalData: new TextEncoder().encode(owner),
});

async function leftBy(owner: string): Promise<Left> {
  const database = await deviceDatabase();
  return {
    outbox: await database.getAllFromIndex('outbox', 'byOwner', owner),
    drafts: (await database.getAll('drafts', ownedBy(owner))).map(({ value }) => value),
    methodDrafts: await database.get('device', methodDraftsKey(owner)),
    photos: (await database.getAll('photos', ownedBy(owner))).map(({ id, lessonId, jpeg }) => ({
      id,
      lessonId,
      jpeg: toBase64(new Uint8Array(jpeg)),
    })),
  };
}

/**
 * Clears the device of a coach who has signed out. It may be run again after it was cut off. Without a key (a
 * session from before keys were given) what is not sent stays as it is, since losing it would be worse.
 */
export async function clearAfter(owner: string): Promise<void> {
  const database = await deviceDatabase();
  const left = await leftBy(owner);
  const anything = left.outbox.length > 0 || left.drafts.length > 0 || left.methodDrafts !== undefined;
  const key = await keptKey();
  const nonce = crypto.getRandomValues(new Uint8Array(NONCE_BYTES));
  const data =
    anything && key
      ? await crypto.subtle.encrypt(bound(owner, nonce), key, new TextEncoder().encode(JSON.stringify(left)))
      : null;
  const transaction = database.transaction(
    ['device', 'sealed', 'outbox', 'drafts', 'photos', ...COPIES],
    'readwrite',
  );
  for (const store of COPIES) void transaction.objectStore(store).delete(ownedBy(owner));
  const logs = IDBKeyRange.bound(logKeyStart(owner), `${logKeyStart(owner)}\uffff`);
  void transaction.objectStore('device').delete(logs);
  void transaction.objectStore('device').delete(changesKey(owner));
  void transaction.objectStore('device').delete(todayKey(owner));
  if (data) {
    void transaction.objectStore('sealed').add({ owner, nonce, data });
    void transaction.objectStore('drafts').delete(ownedBy(owner));
    void transaction.objectStore('photos').delete(ownedBy(owner));
    void transaction.objectStore('device').delete(methodDraftsKey(owner));
    for (const { sequence } of left.outbox) void transaction.objectStore('outbox').delete(sequence!);
  }
  void transaction.objectStore('device').delete(KEPT_KEY);
  await transaction.done;
}

/** Opens what the coach who has just signed in left here, in its old order. What cannot be opened stays sealed. */
export async function openSealed(owner: string): Promise<void> {
  const key = await keptKey();
  if (!key) return;
  const rows = await (await deviceDatabase()).getAllFromIndex('sealed', 'byOwner', owner);
  for (const { sequence, nonce, data } of rows) {
    const opened = await crypto.subtle.decrypt(bound(owner, nonce), key, data).catch(() => null);
    if (!opened) continue;
    const {
      outbox,
      drafts,
      methodDrafts,
      photos = [],
    } = JSON.parse(new TextDecoder().decode(opened)) as Left;
    await writeFor(owner, ['sealed', 'outbox', 'drafts', 'photos'], async (transaction) => {
      if ((await transaction.objectStore('sealed').getKey(sequence!)) === undefined) return;
      for (const queued of outbox) {
        const writing = await pictureApart(transaction.objectStore('photos'), owner, queued.writing);
        void transaction.objectStore('outbox').put({ ...queued, writing });
      }
      for (const value of drafts)
        void transaction.objectStore('drafts').put({ owner, id: value.id, value: upgradedDraft(value) });
      for (const { jpeg, ...photo } of photos)
        void transaction.objectStore('photos').put({ ...photo, owner, jpeg: fromBase64(jpeg).buffer });
      if (methodDrafts !== undefined)
        void transaction.objectStore('device').put(methodDrafts, methodDraftsKey(owner));
      await transaction.objectStore('sealed').delete(sequence!);
    });
  }
}
