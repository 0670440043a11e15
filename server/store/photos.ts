import type { NewPhoto, PhotoListed } from '@pedastance/contract';
import { MOST_PHOTO_BYTES, MOST_PHOTOS_A_LESSON } from '@pedastance/contract/photoLimits';
import type { ClientBase } from 'pg';
import { NEWEST_CONSENT_FIRST } from './consents';
import { encodedJpeg } from './encodedJpeg';
import { insertRows, madeBy, type Made, type Writer } from './rows';

/** The lesson has as many photos as a lesson can have. */
export class TooManyPhotos extends Error {
  constructor() {
    super('the lesson has its photos');
  }
}

interface PhotoRow {
  id: string;
  student_id: string;
  address_id: string;
  made_at: Date;
  width: number;
  height: number;
  sight: NewPhoto['sight'];
}

const listedFrom = (row: PhotoRow): PhotoListed => ({
  id: row.id,
  studentId: row.student_id,
  addressId: row.address_id,
  madeAt: row.made_at.toISOString(),
  width: row.width,
  height: row.height,
  sight: row.sight,
});

/** A photo with its picture encoded anew, as it is kept. @throws NotAJpeg */
export async function withEncodedPicture(photo: NewPhoto): Promise<NewPhoto> {
  const { width, height } = photo;
  const bytes = Buffer.from(photo.jpeg, 'base64');
  const jpeg = await encodedJpeg(bytes, { width, height, mostBytes: MOST_PHOTO_BYTES });
  return { ...photo, jpeg: jpeg.toString('base64') };
}

/** The row of a photo whose picture was encoded anew. */
export function photoRow(photo: NewPhoto, writer: Writer): Record<string, unknown> {
  const { width, height } = photo;
  return {
    academy_id: writer.academyId,
    student_id: photo.studentId,
    id: photo.id,
    address_id: photo.addressId,
    address_kind: 'address',
    made_by: writer.instructorId,
    made_at: photo.madeAt,
    received_at: writer.receivedAt,
    width,
    height,
    jpeg: `\\x${Buffer.from(photo.jpeg, 'base64').toString('hex')}`,
    sight: photo.sight,
  };
}

/**
 * Keeps a photo whose picture was encoded anew, with its address. Photos of one lesson take turns, so that their number holds.
 * @throws TooManyPhotos; the database's own error where the address is not this student's
 */
export async function addPhoto(client: ClientBase, photo: NewPhoto, writer: Writer): Promise<PhotoListed> {
  const row = photoRow(photo, writer);
  // A statement of its own: what counts is what the others have written when it is this photo's turn.
  await client.query(
    `select pg_advisory_xact_lock(hashtextextended('photos of ' || lesson_id, 0)) from log_entry
     where academy_id = current_academy() and id = $1`,
    [photo.addressId],
  );
  const { rows } = await client.query<{ photos: number }>(
    `select count(*)::integer as photos from photo
     join log_entry as address on address.academy_id = photo.academy_id and address.id = photo.address_id
     where photo.academy_id = current_academy() and address.lesson_id = (
       select lesson_id from log_entry where academy_id = current_academy() and id = $1)`,
    [photo.addressId],
  );
  if ((rows[0]?.photos ?? 0) >= MOST_PHOTOS_A_LESSON) throw new TooManyPhotos();
  await insertRows(client, 'photo', [row]);
  const { jpeg: _kept, ...listed } = photo;
  return listed;
}

const LISTED = 'id, student_id, address_id, made_at, width, height, sight';
/** So many photos of a student are listed; nobody has more. */
const MOST_LISTED = 400;

/** A student's photos without their pictures, newest first. */
export async function listPhotos(client: ClientBase, studentId: string): Promise<PhotoListed[]> {
  const { rows } = await client.query<PhotoRow>(
    `select ${LISTED} from photo where academy_id = current_academy() and student_id = $1
     order by made_at desc, id desc limit $2`,
    [studentId, MOST_LISTED],
  );
  return rows.map(listedFrom);
}

/** A photo's picture; null where this academy has none of that name, or nobody's yes to photos stands. */
export async function pictureOf(client: ClientBase, id: string): Promise<Buffer | null> {
  const { rows } = await client.query<{ jpeg: Buffer }>(
    `select jpeg from photo where academy_id = current_academy() and id = $1 and coalesce((
       select photos from consent where consent.academy_id = photo.academy_id and consent.student_id = photo.student_id
       order by ${NEWEST_CONSENT_FIRST} limit 1), false)`,
    [id],
  );
  return rows[0]?.jpeg ?? null;
}

/** Deletes a photo for good; one that is gone stays gone, whatever an older file says. */
export async function deletePhoto(client: ClientBase, id: string): Promise<void> {
  await client.query(
    `with gone as (delete from photo where academy_id = current_academy() and id = $1 returning academy_id, id)
     insert into deleted_photo (academy_id, photo) select academy_id, id from gone on conflict do nothing`,
    [id],
  );
}

/** Those of some students who have photos. */
export async function photographed(client: ClientBase, studentIds: string[]): Promise<Set<string>> {
  const { rows } = await client.query<{ student_id: string }>(
    'select distinct student_id from photo where academy_id = current_academy() and student_id = any($1)',
    [studentIds],
  );
  return new Set(rows.map(({ student_id: id }) => id));
}

/** A student's photos with their pictures, one after another, each with who made it. */
export async function* photosOf(client: ClientBase, studentId: string): AsyncGenerator<Made<NewPhoto>> {
  const { rows: found } = await client.query<{ id: string }>(
    'select id from photo where academy_id = current_academy() and student_id = $1 order by made_at, id',
    [studentId],
  );
  for (const { id } of found) {
    const { rows } = await client.query<PhotoRow & { jpeg: string; made_by: string; received_at: Date }>(
      `select ${LISTED}, made_by, received_at, translate(encode(jpeg, 'base64'), E'\\n', '') as jpeg
       from photo where academy_id = current_academy() and id = $1`,
      [id],
    );
    const [row] = rows;
    if (row) yield madeBy(row, { ...listedFrom(row), jpeg: row.jpeg });
  }
}
