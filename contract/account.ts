import { z } from 'zod';
import { Id } from './common';

export const SignIn = z.strictObject({
  email: z.string().trim().toLowerCase().max(254).pipe(z.email()),
  password: z.string().min(1).max(200),
});
export type SignIn = z.infer<typeof SignIn>;

/** Who is signed in; also the owner of everything kept on the device. */
export const Identity = z.strictObject({
  academyId: Id,
  academyName: z.string(),
  instructorId: Id,
  instructorName: z.string(),
});
export type Identity = z.infer<typeof Identity>;

/** Names the owner a request was made for; the server refuses it under anybody else's session. */
export const OWNER_HEADER = 'x-pedastance-owner';
export const ownerOf = (identity: Pick<Identity, 'academyId' | 'instructorId'>): string =>
  `${identity.academyId}:${identity.instructorId}`;
