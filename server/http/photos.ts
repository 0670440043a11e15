import { DeletePhoto, type NewPhoto, type PhotoListed } from '@pedastance/contract';
import { mayBePhotographed } from '@pedastance/contract/photoLimits';
import type { RequestHandler } from 'express';
import type { ClientBase } from 'pg';
import { inAcademy } from '../store/database';
import { addPhoto, deletePhoto, listPhotos, pictureOf } from '../store/photos';
import type { Writer } from '../store/rows';
import { findStudent, heldStudent } from '../store/students';
import { parsedBody } from './guards';
import { Refusal } from './problems';
import { idOf, studentInPath, type Read } from './reads';
import type { Services } from './services';

/** A photo needs a yes to photos that stands: the student's, or for a minor a guardian's. @throws Refusal */
export async function checkedPhoto(
  client: ClientBase,
  photo: NewPhoto,
  writer: Writer,
): Promise<PhotoListed> {
  if (!mayBePhotographed(await heldStudent(client, photo.studentId)))
    throw new Refusal(409, 'photo-consent', 'Nobody has said yes to photos of this student', {
      detail: 'Note the yes under the student’s privacy, then send the photo.',
    });
  return addPhoto(client, photo, writer);
}

/** A student's photos, without their pictures. */
export const studentPhotos: Read = async (client, request): Promise<PhotoListed[]> => {
  const { id } = await findStudent(client, studentInPath(request));
  return listPhotos(client, id);
};

/** A photo's picture, for nobody's cache. */
export const photoPicture =
  ({ pool }: Services): RequestHandler =>
  async (request, response) => {
    const { academyId } = request.session.identity!;
    const id = idOf(request.params.photoId);
    const jpeg = await inAcademy(pool, academyId, (client) => pictureOf(client, id), 'read only');
    if (!jpeg) throw new Refusal(404, 'not-found', 'There is no such photo to show');
    response.type('image/jpeg').send(jpeg);
  };

export const removePhoto =
  ({ pool }: Services): RequestHandler =>
  async (request, response) => {
    const { id } = parsedBody(DeletePhoto, request.body);
    const { academyId } = request.session.identity!;
    await inAcademy(pool, academyId, (client) => deletePhoto(client, id));
    response.status(204).end();
  };
