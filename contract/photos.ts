import { z } from 'zod';
import { Id, Moment } from './common';
import { MOST_PHOTO_BYTES } from './photoLimits';

const FURTHEST = 100_000;
const coordinate = z.number().min(-FURTHEST).max(FURTHEST);
const point = z.strictObject({ x: coordinate, y: coordinate });
const pair = z.tuple([point, point]);
const height = z.number().min(0).max(60);

const shoe = z.union([
  z.strictObject({ toe: point, heel: point }),
  z.strictObject({ toe: point, edge: pair }),
]);

/** What a photo was measured by: camera, known points, taps and the heights of what was tapped; pixels and mm. */
export const SightShape = z.strictObject({
  camera: z.strictObject({ centre: point, focal: z.number().min(50).max(FURTHEST) }),
  known: z.strictObject({ ground: z.array(point).length(4), image: z.array(point).length(4) }),
  taps: z.strictObject({ lead: shoe, trail: shoe, ball: point, stick: pair.nullable() }),
  heights: z.strictObject({ toe: height, heel: height }),
});
export type Sight = z.infer<typeof SightShape>;

/** Base64 (RFC 4648, section 4) of so many bytes at most. */
const BASE64 = /^(?:[A-Za-z0-9+/]{4})*(?:[A-Za-z0-9+/]{2}==|[A-Za-z0-9+/]{3}=)?$/;
const LONGEST_BASE64 = Math.ceil(MOST_PHOTO_BYTES / 3) * 4;

const side = z.int().min(200).max(4096);

/** A photo of a student's feet, kept with the address that was measured in it. */
export const NewPhoto = z.strictObject({
  id: Id,
  studentId: Id,
  addressId: Id,
  madeAt: Moment,
  width: side,
  height: side,
  jpeg: z
    .string()
    .min(100)
    .max(LONGEST_BASE64)
    .refine((letters) => BASE64.test(letters), { error: 'base64' }),
  sight: SightShape,
});
export type NewPhoto = z.infer<typeof NewPhoto>;

/** A photo as it is listed: without its picture. */
export type PhotoListed = Omit<NewPhoto, 'jpeg'>;

export const DeletePhoto = z.strictObject({ id: Id });
