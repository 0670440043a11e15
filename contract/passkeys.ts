import { z } from 'zod';
import { MOST_PASSWORD } from './passwords';

/** A coach has so many passkeys at most. */
export const MOST_PASSKEYS = 10;

/** Bytes as base64url (RFC 4648, section 5), of a credential far larger than any that is made today. */
const bytes = (most: number) =>
  z
    .string()
    .min(1)
    .max(most)
    .regex(/^[\w-]+$/, { error: 'base64url' });

const LONGEST = 12_000;
const CredentialId = bytes(1400).min(16);

/** What browsers tell beside what is signed; nothing of it is kept. */
const Beside = {
  id: CredentialId,
  rawId: CredentialId,
  type: z.literal('public-key'),
  clientExtensionResults: z.record(z.string().max(60), z.unknown()),
  authenticatorAttachment: z.enum(['platform', 'cross-platform']).optional(),
};

/** A new passkey as its device made it (Web Authentication, level 3, section 5.1: RegistrationResponseJSON). */
export const NewPasskey = z.strictObject({
  ...Beside,
  response: z.strictObject({
    clientDataJSON: bytes(LONGEST),
    attestationObject: bytes(LONGEST),
    authenticatorData: bytes(LONGEST).optional(),
    transports: z.array(z.string().max(40)).max(10).optional(),
    publicKeyAlgorithm: z.number().optional(),
    publicKey: bytes(LONGEST).optional(),
  }),
});
export type NewPasskey = z.infer<typeof NewPasskey>;

/** A sign-in by a passkey (the same, AuthenticationResponseJSON). */
export const PasskeySignIn = z.strictObject({
  ...Beside,
  response: z.strictObject({
    clientDataJSON: bytes(LONGEST),
    authenticatorData: bytes(LONGEST),
    signature: bytes(LONGEST),
    userHandle: bytes(200).optional(),
  }),
});
export type PasskeySignIn = z.infer<typeof PasskeySignIn>;

/** Asks for what a device makes a passkey from, by the password as it is. */
export const AskForPasskey = z.strictObject({ password: z.string().min(1).max(MOST_PASSWORD) });

/** Ends one of one's own passkeys. */
export const EndPasskey = z.strictObject({ id: CredentialId });

/** A passkey of one's own. */
export interface OwnPasskey {
  id: string;
  /** The browser that it was made in, as a coach knows it; empty where it did not say. */
  device: string;
  madeAt: string;
  usedAt: string | null;
}
