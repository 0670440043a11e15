import { toBase64 } from '../domain/base64';
import { deviceDatabase } from './database';
import type { QueuedWrite, Writing } from './queuedWrite';

/** The picture of a photo that waits here; null where the device has it no more. */
export async function queuedPicture(owner: string, id: string): Promise<ArrayBuffer | null> {
  return (await (await deviceDatabase()).get('photos', [owner, id]))?.jpeg ?? null;
}

/** The body of a queued write as it is sent: with its picture, where it is a photo. */
export async function bodyToSend({ owner, writing }: QueuedWrite): Promise<Writing['body']> {
  if (writing.route !== 'photo' || writing.body.jpeg !== '') return writing.body;
  const picture = await queuedPicture(owner, writing.body.id);
  return { ...writing.body, jpeg: picture ? toBase64(new Uint8Array(picture)) : '' };
}

interface Photos {
  delete: (key: [string, string]) => Promise<void>;
}

/** Lets the picture of a write go with it. */
export async function letGoOfPicture(photos: Photos, { owner, writing }: QueuedWrite): Promise<void> {
  if (writing.route === 'photo') await photos.delete([owner, writing.body.id]);
}
