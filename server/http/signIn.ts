import { SignIn, type Identity } from '@pedastance/contract';
import type { Request, RequestHandler, Response } from 'express';
import { inSignInLane, passwordMatches } from '../accounts/passwords';
import { SESSION_COOKIE } from '../accounts/sessions';
import { accountByEmail, isMadeUp, type Account } from '../store/accounts';
import { inAcademy } from '../store/database';
import { parsedBody, refuseEnded } from './guards';
import { Refusal } from './problems';
import type { Services } from './services';

/** Ends with the session's own callback turned into a promise. */
const settled = (run: (done: (error?: unknown) => void) => void): Promise<void> =>
  new Promise((resolve, reject) => run((error) => (error ? reject(error) : resolve())));

/** The account of a sign-in whose password is right. @throws Refusal or TooManyAttempts */
async function checkedAccount({ pool, attempts }: Services, { email, password }: SignIn, address: string) {
  await attempts.check(email, address);
  const account = await accountByEmail(pool, email);
  if (!(await passwordMatches(account?.passwordHash, password)) || !account) {
    await attempts.failed(email, address);
    throw new Refusal(401, 'wrong-sign-in', 'The e-mail address or the password is not right');
  }
  await attempts.succeeded(email, address);
  return account;
}

/** Who somebody is, with what the device has to know of the academy. */
const told = async ({ pool }: Services, identity: Identity): Promise<Identity> => ({
  ...identity,
  madeUp: await inAcademy(pool, identity.academyId, isMadeUp, 'read only'),
});

/** Opens a session of an account, in place of any there was, and answers who it is. */
export async function openSession(
  services: Services,
  account: Account,
  request: Request,
  response: Response,
): Promise<void> {
  await settled((done) => request.session.regenerate(done));
  request.session.identity = account.identity;
  request.session.shownHash = account.passwordHash;
  request.session.device = request.get('user-agent') ?? '';
  request.session.network = services.networkHash(request.ip ?? '');
  await settled((done) => request.session.save(done));
  delete request.session.shownHash;
  const { identity, deviceKey } = account;
  response.status(201).json({ identity: await told(services, identity), deviceKey });
}

/** The demo accounts' password is printed for all to see, so they sign in on the server's own machine only. */
export const signIn =
  (services: Services, demoAllowed: boolean): RequestHandler =>
  async (request, response) => {
    const given = parsedBody(SignIn, request.body);
    const address = request.ip ?? '';
    const account = await inSignInLane(
      address,
      () => checkedAccount(services, given, address),
      services.knownDevices.isKnown(request, given.email),
    );
    if (account.demo && !demoAllowed) {
      throw new Refusal(403, 'demo-here-only', 'The demo accounts sign in on this machine only');
    }
    services.knownDevices.remember(request, response, given.email);
    await openSession(services, account, request, response);
  };

export const signOut: RequestHandler = async (request, response) => {
  await settled((done) => request.session.destroy(done));
  response.clearCookie(SESSION_COOKIE, { path: '/' }).status(204).end();
};

/** Who is signed in, with the device's key; null where nobody is. @throws Refusal where the one named is out for good */
export const whoIsSignedIn =
  (services: Services): RequestHandler =>
  async (request, response) => {
    const { identity, deviceKey } = request.session;
    if (!identity) await refuseEnded(services, request);
    response.json(identity ? { identity: await told(services, identity), deviceKey } : null);
  };
