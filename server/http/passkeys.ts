import { AskForPasskey, EndPasskey, NewPasskey, PasskeySignIn } from '@pedastance/contract';
import { MOST_PASSKEYS } from '@pedastance/contract/passkeys';
import { hasName } from '@pedastance/contract/passkeySite';
import {
  generateAuthenticationOptions,
  generateRegistrationOptions,
  verifyAuthenticationResponse,
  verifyRegistrationResponse,
} from '@simplewebauthn/server';
import type { Request, RequestHandler } from 'express';
import { tokenHash } from '../accounts/sessions';
import { accountByEmail } from '../store/accounts';
import { addPasskey, endPasskey, findPasskey, notePasskeyUse, ownPasskeys } from '../store/passkeys';
import { accountBehind, changedMeanwhile, withPassword } from './attempt';
import { withDeviceNames } from './deviceName';
import { parsedBody } from './guards';
import { Refusal } from './problems';
import type { Services } from './services';
import { openSession } from './signIn';

const NAME = 'Pedastance';
const SIGN_IN = 'signing in';
const makingOf = (instructorId: string): string => `a passkey of ${instructorId}`;

/** The site that passkeys are for: a name, which browsers ask for; a bare address has none. @throws Refusal */
function siteOf(request: Request): { id: string; origin: string } {
  // Every write has been found to come from the site itself before, whatever a proxy calls the server.
  const origin = request.get('origin')!;
  const { hostname } = new URL(origin);
  if (!hasName(hostname))
    throw new Refusal(409, 'no-name', 'Passkeys need a name in the address', {
      detail: 'On the server’s own machine that is http://localhost.',
    });
  return { id: hostname, origin };
}

/** What a demo's account is told. */
const NO_PASSKEY = 'The demo’s password is printed, and needs no passkey';

/** What a device makes a passkey from, for who knows the password. */
export const passkeyOptions =
  (services: Services): RequestHandler =>
  async (request, response) => {
    const { password } = parsedBody(AskForPasskey, request.body);
    const { id: rpID } = siteOf(request);
    const account = await accountBehind(services, request, NO_PASSKEY);
    const { instructorId, instructorName } = request.session.identity!;
    await withPassword(services, request, account, { field: 'password', given: password });
    const own = await ownPasskeys(services.pool, tokenHash(request.sessionID), new Date());
    response.json(
      await generateRegistrationOptions({
        rpName: NAME,
        rpID,
        userName: account.email,
        userDisplayName: instructorName,
        userID: new TextEncoder().encode(instructorId),
        challenge: Buffer.from(services.challenges.make(makingOf(instructorId), Date.now()), 'base64url'),
        excludeCredentials: own.map(({ id }) => ({ id })),
        authenticatorSelection: { residentKey: 'required', userVerification: 'required' },
      }),
    );
  };

const notMade = (): Refusal =>
  new Refusal(422, 'no-passkey', 'This is no passkey that was asked for', {
    detail: 'Make it again.',
  });

/** Keeps a passkey that was made from what the password was given for a moment ago. */
export const keepPasskey =
  (services: Services): RequestHandler =>
  async (request, response) => {
    const made = parsedBody(NewPasskey, request.body);
    const { id: expectedRPID, origin: expectedOrigin } = siteOf(request);
    const account = await accountBehind(services, request, NO_PASSKEY);
    const { instructorId } = request.session.identity!;
    const { registrationInfo } = await verifyRegistrationResponse({
      response: made as Parameters<typeof verifyRegistrationResponse>[0]['response'],
      expectedChallenge: (challenge) =>
        services.challenges.holds(challenge, makingOf(instructorId), Date.now()),
      expectedOrigin,
      expectedRPID,
    }).catch(() => {
      throw notMade();
    });
    if (!registrationInfo) throw notMade();
    const { id, publicKey, counter } = registrationInfo.credential;
    const kept = { id, publicKey: Buffer.from(publicKey), counter };
    const about = { shownHash: account.passwordHash, device: request.get('user-agent') ?? '' };
    const added = await addPasskey(services.pool, tokenHash(request.sessionID), kept, about, new Date());
    if (added === 'known') throw notMade();
    if (added === 'changed') throw changedMeanwhile();
    if (added === 'too many')
      throw new Refusal(409, 'too-many-passkeys', `You have ${MOST_PASSKEYS} passkeys already`, {
        detail: 'End one, then make this one.',
      });
    response.status(201).json({ id });
  };

/** One's own passkeys. */
export const listPasskeys =
  ({ pool }: Services): RequestHandler =>
  async (request, response) => {
    response.json(withDeviceNames(await ownPasskeys(pool, tokenHash(request.sessionID), new Date())));
  };

export const removePasskey =
  ({ pool }: Services): RequestHandler =>
  async (request, response) => {
    const { id } = parsedBody(EndPasskey, request.body);
    await endPasskey(pool, tokenHash(request.sessionID), id, new Date());
    response.status(204).end();
  };

/** What a device answers to sign in with one of the passkeys that it has. */
export const passkeyChallenge =
  ({ challenges }: Services): RequestHandler =>
  async (request, response) => {
    response.json(
      await generateAuthenticationOptions({
        rpID: siteOf(request).id,
        challenge: Buffer.from(challenges.make(SIGN_IN, Date.now()), 'base64url'),
        userVerification: 'required',
      }),
    );
  };

const notKnown = (): Refusal =>
  new Refusal(401, 'wrong-passkey', 'This passkey signs nobody in here', {
    detail: 'It may have ended. Sign in with the password.',
  });

/** The account of a passkey that answered a challenge of this server's, for the first time. @throws Refusal */
async function answeredFor(services: Services, request: Request, given: PasskeySignIn) {
  const { pool, challenges } = services;
  const { id: expectedRPID, origin: expectedOrigin } = siteOf(request);
  const passkey = await findPasskey(pool, given.id);
  // As it is before the answer counts: a password that is set meanwhile ends the passkey, and opens no session by the old one.
  const account = passkey && (await accountByEmail(pool, passkey.email));
  if (!account) throw notKnown();
  let challenge = '';
  const { verified, authenticationInfo } = await verifyAuthenticationResponse({
    response: given as Parameters<typeof verifyAuthenticationResponse>[0]['response'],
    expectedChallenge: (signed) => {
      challenge = signed;
      return challenges.holds(signed, SIGN_IN, Date.now());
    },
    expectedOrigin,
    expectedRPID,
    credential: { ...passkey, publicKey: new Uint8Array(passkey.publicKey) },
  }).catch(() => {
    throw notKnown();
  });
  const used = { id: passkey.id, counter: authenticationInfo.newCounter };
  const ends = new Date(Date.now() + challenges.lastsMs);
  if (!verified || !(await notePasskeyUse(pool, used, { hash: tokenHash(challenge), ends }, new Date())))
    throw notKnown();
  return { account, email: passkey.email };
}

/** Signs in by a passkey: its device has seen to it that its owner is there. */
export const signInByPasskey =
  (services: Services): RequestHandler =>
  async (request, response) => {
    const given = parsedBody(PasskeySignIn, request.body);
    const { account, email } = await answeredFor(services, request, given);
    services.knownDevices.remember(request, response, email);
    await openSession(services, account, request, response);
  };
