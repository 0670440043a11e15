import type { NewPhoto } from '@pedastance/contract';
import type { Build } from '@pedastance/core/body';
import { measureFeet, pointsOfGround, type Taps } from '@pedastance/core/photo';
import { setupByPhoto, type FeetFromPhoto } from '@pedastance/core/setup';
import { otherParts, type LessonDraft } from '../domain/lessonDraft';
import { readyPhoto, type PhotoDraft, type ReadyPhoto } from '../domain/photoTaps';
import { toBase64 } from '../domain/base64';
import { deviceDatabase, letGoOfPhotos, writeFor } from './database';
import { changeDraft, lesson } from './lesson';
import { standAs } from './tape';

/** Keeps a photo on the device with the open lesson, in place of an earlier one. */
export async function keepPhoto(photo: PhotoDraft, jpeg: Blob): Promise<void> {
  const { owner, draft } = lesson.getState();
  if (!draft) return;
  const bytes = await jpeg.arrayBuffer();
  await writeFor(owner, ['photos'], async (transaction) => {
    const photos = transaction.objectStore('photos');
    await letGoOfPhotos(photos, owner, draft.id, photosOfOtherClubs(draft));
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

/** The photos that feet with other clubs of the lesson were measured in. */
const photosOfOtherClubs = (draft: LessonDraft): string[] =>
  otherParts(draft).flatMap(({ photo }) => (photo ? [photo.id] : []));

/** Takes a lesson's photos off the device, but those of other clubs that are not recorded. */
export async function letGoOfLessonPhotos(draft: LessonDraft): Promise<void> {
  const { owner } = lesson.getState();
  await writeFor(owner, ['photos'], (transaction) =>
    letGoOfPhotos(transaction.objectStore('photos'), owner, draft.id, photosOfOtherClubs(draft)),
  );
}

/** Takes the photo out of the open lesson, and off the device. */
export async function dropPhoto(): Promise<void> {
  const { draft } = lesson.getState();
  if (!draft?.photo) return;
  changeDraft({ photo: null });
  await letGoOfLessonPhotos(draft);
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

/** The photo that today's feet were measured in, ready to be sent with their address; null where they were not. */
export async function photoToSend(
  draft: LessonDraft,
  build: Build,
  of: { studentId: string; addressId: string },
): Promise<NewPhoto | null> {
  const { photo, setup } = draft;
  const used =
    photo && setup && Object.values(setup.measured).some((measurement) => measurement?.way === 'photo');
  const ready = used ? readyPhoto(photo, build) : null;
  const jpeg = ready && (await keptPhoto(photo!.id));
  if (!ready || !jpeg) return null;
  const { camera, taps } = ready.photo;
  return {
    ...of,
    id: photo!.id,
    madeAt: photo!.takenAt,
    width: photo!.width,
    height: photo!.height,
    jpeg: toBase64(new Uint8Array(await jpeg.arrayBuffer())),
    sight: {
      camera,
      known: sentPoints(ready),
      taps: sentTaps(taps),
      heights: ready.heights,
    },
  };
}

/** Points of the ground that a photo was measured by; a club is none, so that some are taken which it makes known. */
function sentPoints({ photo, heights, doubts }: ReadyPhoto): NewPhoto['sight']['known'] {
  const { ground, image } =
    'length' in photo.known ? pointsOfGround(measureFeet(photo, heights, doubts)) : photo.known;
  return { ground: [...ground], image: [...image] };
}

type SentShoe = NewPhoto['sight']['taps']['lead'];
const sentShoe = (shoe: Taps['lead']): SentShoe =>
  'heel' in shoe ? shoe : { toe: shoe.toe, edge: [shoe.edge[0], shoe.edge[1]] };

const sentTaps = ({ lead, trail, ball, stick }: Taps): NewPhoto['sight']['taps'] => ({
  lead: sentShoe(lead),
  trail: sentShoe(trail),
  ball,
  stick: stick && [stick[0], stick[1]],
});
