import { setupByPhoto, type FeetFromPhoto } from '@pedastance/core/setup';
import type { PhotoDraft } from '../domain/photoTaps';
import { deviceDatabase, writeFor } from './database';
import { changeDraft, lesson } from './lesson';
import { standAs } from './tape';

/** Keeps a photo on the device with the open lesson, in place of an earlier one. */
export async function keepPhoto(photo: PhotoDraft, jpeg: Blob): Promise<void> {
  const { owner, draft } = lesson.getState();
  if (!draft) return;
  const bytes = await jpeg.arrayBuffer();
  await writeFor(owner, ['photos'], async (transaction) => {
    const photos = transaction.objectStore('photos');
    if (draft.photo) await photos.delete([owner, draft.photo.id]);
    await photos.put({ owner, id: photo.id, lessonId: draft.id, jpeg: bytes });
  });
  changeDraft({ photo });
}

/** A photo that the device keeps; null where it has gone. */
export async function keptPhoto(id: string): Promise<Blob | null> {
  const { owner } = lesson.getState();
  const kept = await (await deviceDatabase()).get('photos', [owner, id]);
  return kept ? new Blob([kept.jpeg], { type: 'image/jpeg' }) : null;
}

/** Takes the photo out of the open lesson, and off the device. */
export async function dropPhoto(): Promise<void> {
  const { owner, draft } = lesson.getState();
  if (!draft?.photo) return;
  const { id } = draft.photo;
  changeDraft({ photo: null });
  await writeFor(owner, ['photos'], (transaction) => transaction.objectStore('photos').delete([owner, id]));
}

/** Changes what was tapped in the open lesson's photo. */
export function changePhoto(change: (photo: PhotoDraft) => PhotoDraft): void {
  const photo = lesson.getState().draft?.photo;
  if (photo) changeDraft({ photo: change(photo) });
}

/** Stands the open lesson's feet as a photo has them. @returns false where nobody could stand so */
export function standAsPhotographed(measured: FeetFromPhoto): boolean {
  const setup = lesson.getState().draft?.setup;
  const placed = setup && setupByPhoto(setup, measured);
  if (!placed) return false;
  standAs(placed);
  return true;
}
