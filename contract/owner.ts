/** Who is signed in; also the owner of everything kept on the device. */
export interface Identity {
  academyId: string;
  academyName: string;
  instructorId: string;
  instructorName: string;
  /** An owner says who is in; unknown in an identity from before roles. */
  role?: 'owner' | 'instructor';
  /** Its students are made up, and what is simulated is kept of them; unknown in an identity from before that was told. */
  madeUp?: boolean;
}

/** Names the owner a request was made for; the server refuses it under anybody else's session. */
export const OWNER_HEADER = 'x-pedastance-owner';

export const ownerOf = (identity: Pick<Identity, 'academyId' | 'instructorId'>): string =>
  `${identity.academyId}:${identity.instructorId}`;
