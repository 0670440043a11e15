import type { IDBPObjectStore, StoreNames } from 'idb';
import { fromBase64 } from '../domain/base64';
import type { Writing } from './queuedWrite';
import type { Schema } from './schema';

/**
 * A photo's picture waits apart from the queue, which is read whole again and again: in `photos`, under this in place of its
 * lesson, so that the lesson's end leaves it.
 */
const IN_OUTBOX = 'outbox';

/** Where pictures are put: in a transaction that ends with the writes'. */
type Photos = Pick<
  IDBPObjectStore<Schema, StoreNames<Schema>[], 'photos', 'readwrite' | 'versionchange'>,
  'put'
>;

/** Keeps a write's picture apart, where it has one. @returns the write without it */
export async function pictureApart(photos: Photos, owner: string, writing: Writing): Promise<Writing> {
  if (writing.route !== 'photo' || writing.body.jpeg === '') return writing;
  const { id, jpeg } = writing.body;
  await photos.put({ owner, id, lessonId: IN_OUTBOX, jpeg: fromBase64(jpeg).buffer });
  return { route: 'photo', body: { ...writing.body, jpeg: '' } };
}
