import { z } from 'zod';
import { Id, text } from './common';
import { LONGEST_NAME } from './limits';
import { LEAST_PASSWORD, MOST_PASSWORD } from './passwords';

const Email = z.string().trim().toLowerCase().max(254).pipe(z.email());

const NewPassword = z.string().min(LEAST_PASSWORD).max(MOST_PASSWORD);

export const SignIn = z.strictObject({
  email: Email,
  password: z.string().min(1).max(MOST_PASSWORD),
});
export type SignIn = z.infer<typeof SignIn>;

/** What an instructor may do: an owner also says who is in. */
export const ROLES = ['owner', 'instructor'] as const;
export type Role = (typeof ROLES)[number];

const Name = text(1, LONGEST_NAME);

/** A new academy, with the house method that lessons there begin with, by its preset's key. */
export const StartAcademy = z.strictObject({
  academyName: Name,
  name: Name,
  email: Email,
  password: NewPassword,
  method: z.string().min(1).max(40),
});
export type StartAcademy = z.infer<typeof StartAcademy>;

/** The secret of an invitation's link: 256 bits as base64url. */
export const InviteCode = z.string().regex(/^[\w-]{43}$/);

export const AcceptInvite = z.strictObject({
  code: InviteCode,
  name: Name,
  email: Email,
  password: NewPassword,
});
export type AcceptInvite = z.infer<typeof AcceptInvite>;

export const NewInvite = z.strictObject({ role: z.enum(ROLES) });
export type NewInvite = z.infer<typeof NewInvite>;

export const ChangeColleague = z.strictObject({ id: Id, role: z.enum(ROLES), ends: z.boolean() });
export type ChangeColleague = z.infer<typeof ChangeColleague>;

export const ChangePassword = z.strictObject({
  before: z.string().min(1).max(MOST_PASSWORD),
  after: NewPassword,
});
export type ChangePassword = z.infer<typeof ChangePassword>;

/** Asks for a link that lets a colleague set a new password. */
export const NewResetLink = z.strictObject({ id: Id });

/** A new password, by the link that an owner handed over. */
export const UseResetLink = z.strictObject({ code: InviteCode, password: NewPassword });

/** So many recovery codes are made at once. */
export const RECOVERY_CODES = 8;

/** A recovery code as it is typed: 16 letters and digits (80 bits, RFC 4648 base32), in any case, with or without gaps. */
const RecoveryCode = z
  .string()
  .max(40)
  .transform((typed) => typed.toUpperCase().replace(/[^A-Z0-9]/g, ''))
  .pipe(z.string().regex(/^[A-Z2-7]{16}$/, { error: 'a code of 16 letters and digits' }));

/** New recovery codes in place of the old ones, by the password as it is. */
export const RenewRecovery = z.strictObject({ password: z.string().min(1).max(MOST_PASSWORD) });

/** The password once more, where a session is used in another browser and network than it was opened in. */
export const ConfirmSession = z.strictObject({ password: z.string().min(1).max(MOST_PASSWORD) });

/** Whether a session is used elsewhere, so that the password is asked for before files, people and erasures. */
export interface SessionPlace {
  elsewhere: boolean;
}

/** A new password, by a recovery code. */
export const UseRecovery = z.strictObject({ email: Email, code: RecoveryCode, password: NewPassword });

/** Whose password a link sets. */
export interface ResetOf {
  academyName: string;
  instructorName: string;
}

/** Withdraws an invitation. */
export const WithdrawInvite = z.strictObject({ id: Id });

/** Ends one of one's own sessions; the database names them. */
export const EndSession = z.strictObject({ id: z.uuid() });

export interface Colleague {
  id: string;
  name: string;
  role: Role;
  since: string;
  endedAt: string | null;
}

export interface Invite {
  id: string;
  role: Role;
  invitedBy: string;
  madeAt: string;
  expiresAt: string;
}

/** Who is in an academy, and who is invited. */
export interface AcademyPeople {
  colleagues: Colleague[];
  invites: Invite[];
}

/** An open session of one's own. */
export interface OwnSession {
  id: string;
  /** The browser, as a coach knows it; empty where it did not say. */
  device: string;
  openedAt: string;
  expiresAt: string;
  here: boolean;
}

/** What an open invitation is to. */
export interface InviteTo {
  academyName: string;
  invitedBy: string;
  role: Role;
}
