import { fromBase64 } from '../domain/base64';
import type { Writing } from './queuedWrite';

/**
 * A photo's picture waits apart from the queue, which is read whole again and again: in `photos`, under this in place of its
 * lesson, so that the lesson's end leaves it.
 */
const IN_OUTBOX = 'outbox';

/** A write without its picture, and the picture's row; null where it has none. */
export function withoutPicture(owner: string, writing: Writing) {
  if (writing.route !== 'photo' || writing.body.jpeg === '') return { writing, picture: null };
  const { id, jpeg } = writing.body;
  const parted: Writing = { route: 'photo', body: { ...writing.body, jpeg: '' } };
  return { writing: parted, picture: { owner, id, lessonId: IN_OUTBOX, jpeg: fromBase64(jpeg).buffer } };
}
