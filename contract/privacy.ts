import { z } from 'zod';
import { Id, Moment, text } from './common';
import { LONGEST_NAME } from './limits';

/** Who consents: the student, or for a minor a guardian. */
export const CONSENT_BY = ['student', 'guardian'] as const;

/**
 * Consent for what is kept, given or withdrawn on a day; only ever added to, the newest counts. Photos are asked for
 * apart from figures and notes.
 */
export const NewConsent = z
  .strictObject({
    id: Id,
    studentId: Id,
    madeAt: Moment,
    /** The newest answer that was known when this one was given; null for none. A yes counts where it still is the newest. */
    after: Id.nullable(),
    given: z.boolean(),
    photos: z.boolean(),
    /** Whether pictures of the feet may stand on a card. */
    sharing: z.boolean(),
    by: z.enum(CONSENT_BY),
    /** The guardian's name; empty where the student consents. */
    guardian: text(0, LONGEST_NAME),
    on: z.iso.date().regex(/^20/, { error: 'a day from 2000 on' }),
  })
  .refine(({ by, guardian }) => (by === 'guardian') === (guardian !== ''), {
    path: ['guardian'],
    error: 'the name of a guardian who consents',
  })
  .refine(({ given, photos }) => given || !photos, { path: ['photos'], error: 'no photos without consent' })
  .refine(({ photos, sharing }) => photos || !sharing, {
    path: ['sharing'],
    error: 'no pictures on a card without a yes to photos',
  })
  .refine(({ by, sharing }) => by === 'student' || !sharing, {
    path: ['sharing'],
    error: 'the student’s own yes: a guardian cannot say it',
  });
export type NewConsent = z.infer<typeof NewConsent>;

/** Asks for a student's erasure; the name is typed again, so that nobody else is meant. */
export const AskErasure = z.strictObject({ studentId: Id, name: text(1, LONGEST_NAME) });
export type AskErasure = z.infer<typeof AskErasure>;

export const TakeErasureBack = z.strictObject({ studentId: Id });

/** An erasure that waits. */
export interface Erasure {
  studentId: string;
  name: string;
  askedBy: string;
  askedAt: string;
}

export type AuditAct =
  | 'student exported'
  | 'academy exported'
  | 'table exported'
  | 'records imported'
  | 'erasure asked'
  | 'erasure taken back'
  | 'student erased'
  | 'invited'
  | 'joined'
  | 'role changed'
  | 'access ended'
  | 'reset link made'
  | 'password changed'
  | 'password reset'
  | 'recovery codes made'
  | 'recovery code used'
  | 'consent withdrawn'
  | 'passkey made'
  | 'passkey ended';

/** What was done with data or access, by whom and when; the student's name while there is one. */
export interface AuditEntry {
  id: string;
  at: string;
  by: string;
  act: AuditAct;
  whom: string | null;
  student: string | null;
}

/** An owner has looked through the acts, up to the newest that was shown. */
export const ActsSeen = z.strictObject({ newest: z.uuid() });

/** What an academy's owners look after: what waits to be erased, and what was done. */
export interface AcademyPrivacy {
  erasures: Erasure[];
  audit: AuditEntry[];
}

/** What is known of one student's privacy. */
export interface StudentPrivacy {
  consents: NewConsent[];
  erasure: Erasure | null;
}
