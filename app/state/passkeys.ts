import {
  startAuthentication,
  startRegistration,
  type PublicKeyCredentialCreationOptionsJSON,
  type PublicKeyCredentialRequestOptionsJSON,
} from '@simplewebauthn/browser';
import type { NewPasskey, OwnPasskey, PasskeySignIn } from '@pedastance/contract';
import { ask, read, Refused, type Session } from './api';
import { messages } from './passkeys.messages';

/** What a device's own dialog comes to. @throws Refused, in the words given, where it was closed or came to nothing */
async function given<Answer>(dialog: Promise<unknown>, title: string, detail: string): Promise<Answer> {
  try {
    return (await dialog) as Answer;
  } catch {
    throw new Refused({ type: 'about:pedastance/no-passkey-given', status: 400, title, detail });
  }
}

export const ownPasskeys = (owner: string): Promise<OwnPasskey[]> => read('/api/passkeys', owner);

export const endPasskey = (owner: string, id: string): Promise<unknown> =>
  ask('DELETE', '/api/passkeys', owner, { id });

/** Has the device make a passkey, and sends its public half. */
export async function makePasskey(owner: string, password: string): Promise<void> {
  const { value } = await ask('POST', '/api/passkeys/options', owner, { password });
  const optionsJSON = value as PublicKeyCredentialCreationOptionsJSON;
  const { noneMade, pressAgain } = messages;
  const made = await given<NewPasskey>(startRegistration({ optionsJSON }), noneMade, pressAgain);
  await ask('POST', '/api/passkeys', owner, made);
}

/** Has the device answer for one of its passkeys. @returns opens the session that the answer is for */
export async function askPasskey(): Promise<() => Promise<Session>> {
  const { value } = await ask('POST', '/api/session/passkey/options', null);
  const optionsJSON = value as PublicKeyCredentialRequestOptionsJSON;
  const { noneGiven, useThePassword } = messages;
  const answer = await given<PasskeySignIn>(startAuthentication({ optionsJSON }), noneGiven, useThePassword);
  return async () => (await ask('POST', '/api/session/passkey', null, answer)).value as Session;
}
