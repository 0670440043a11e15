import type { AcceptInvite, SignIn, StartAcademy } from '@pedastance/contract';
import { ownerOf, type Identity } from '@pedastance/contract/owner';
import { hasName } from '@pedastance/contract/passkeySite';
import { create } from 'zustand';
import { api, isSignedOut, Refused, type Session } from './api';
import { deviceDatabase, KEPT_IDENTITY } from './database';
import { clearAfter, keepDeviceKey } from './sealing';
import { tellTabs } from './tabs';

/**
 * `expired`: the server no longer knows the session; what is on the device stays open to its
 * owner, and nothing is sent until the same coach signs in again.
 */
export type AccountStatus = 'starting' | 'signed out' | 'signed in' | 'expired';

interface Account {
  status: AccountStatus;
  identity: Identity | null;
  /** Expired because an owner of the academy ended this coach's access: signing in again does not help. */
  accessEnded: boolean;
}

export const useAccount = create<Account>(() => ({ status: 'starting', identity: null, accessEnded: false }));

/** Whose sign-out has not reached the server yet; until it has, the old session signs nobody in here. */
const SIGNING_OUT = 'signingOut';

/** Whether the academy's students are made up: what is simulated counts for them, and for nobody else. */
export const useMadeUp = (): boolean => useAccount((state) => state.identity?.madeUp ?? false);

export const currentOwner = (): string | null => {
  const { identity } = useAccount.getState();
  return identity && ownerOf(identity);
};

async function keep({ identity, deviceKey }: Session): Promise<void> {
  await keepDeviceKey(deviceKey);
  await (await deviceDatabase()).put('device', identity, KEPT_IDENTITY);
}

const sameOwner = (a: Identity, b: Identity): boolean => ownerOf(a) === ownerOf(b);

/**
 * What changes the session takes turns, in all tabs: the answer to a sign-out takes the cookie away, and must
 * not arrive after the answer to the next sign-in.
 */
const inTurn = <Result>(work: () => Promise<Result>): Promise<Result> =>
  navigator.locks.request('pedastance-session', work) as Promise<Result>;

/** Ends the session on the server where a sign-out is waiting for that. Answers whether none waits any longer. */
async function endSession(): Promise<boolean> {
  const database = await deviceDatabase();
  const leaving = (await database.get('device', SIGNING_OUT)) as string | undefined;
  if (!leaving) return true;
  await clearAfter(leaving);
  try {
    await api.signOut(leaving);
  } catch (error) {
    // Refused: the session has ended already, or is somebody else's, which is as good.
    if (!(error instanceof Refused)) return false;
  }
  await database.delete('device', SIGNING_OUT);
  return true;
}

const signedOut = (): void =>
  useAccount.setState({ status: 'signed out', identity: null, accessEnded: false });
const signedIn = (identity: Identity): void =>
  useAccount.setState({ status: 'signed in', identity, accessEnded: false });

/**
 * Opens with the identity kept on the device at once, and asks the server whether the session
 * still is that coach's. A server that does not answer changes nothing.
 */
export async function startAccount(): Promise<void> {
  const kept = (await (await deviceDatabase()).get('device', KEPT_IDENTITY)) as Identity | undefined;
  if (kept) signedIn(kept);
  if (!(await inTurn(endSession))) return signedOut();
  try {
    const session = await api.session(kept ? ownerOf(kept) : null);
    if (!kept && !session) return signedOut();
    if (!session || (kept && !sameOwner(kept, session.identity)))
      return useAccount.setState({ status: 'expired' });
    await keep(session);
    signedIn(session.identity);
  } catch (error) {
    if (isSignedOut(error)) return sessionExpired(error);
    if (!kept) signedOut();
  }
}

/** @throws Refused, ServerFailed or ServerAway; nothing has changed then. */
async function enterBy(open: () => Promise<Session>): Promise<void> {
  const session = await inTurn(async () => {
    await endSession();
    return open();
  });
  await (await deviceDatabase()).delete('device', SIGNING_OUT);
  await keep(session);
  signedIn(session.identity);
  tellTabs({ kind: 'account' });
}

export const signIn = (body: SignIn): Promise<void> => enterBy(() => api.signIn(body));

/** Whether this browser has passkeys, and the site a name for them. */
export const hasPasskeys = (): boolean => 'PublicKeyCredential' in globalThis && hasName(location.hostname);

/** Signs in by a passkey; the device's own dialog comes first, and holds nothing up. */
export async function signInByPasskey(): Promise<void> {
  const { askPasskey } = await import('./passkeys');
  await enterBy(await askPasskey());
}

/** Begins an academy of one's own, and enters it. */
export const startAcademy = (body: StartAcademy): Promise<void> => enterBy(() => api.startAcademy(body));

/** Joins a colleague's academy by an invitation, and enters it. */
export const joinAcademy = (body: AcceptInvite): Promise<void> => enterBy(() => api.joinAcademy(body));

/** The server no longer knows the session, or, as it says of some, ended the coach's access. */
export const sessionExpired = ({ problem }: Refused): void => {
  const accessEnded = problem.type.endsWith('/access-ended');
  if (useAccount.getState().identity) useAccount.setState({ status: 'expired', accessEnded });
};

/**
 * Signs the coach out on this device at once, in all tabs, and clears it; the session on the server ends
 * with it, or as soon as the server can be reached.
 */
export async function signOut(): Promise<void> {
  const owner = currentOwner();
  if (!owner) return;
  const transaction = (await deviceDatabase()).transaction('device', 'readwrite');
  void transaction.store.put(owner, SIGNING_OUT);
  void transaction.store.delete(KEPT_IDENTITY);
  await transaction.done;
  signedOut();
  tellTabs({ kind: 'account' });
  await inTurn(endSession);
}

/** Follows what another tab did: a sign-out there is one here, and so is a sign-in. */
export async function followOtherTab(): Promise<void> {
  const kept = (await (await deviceDatabase()).get('device', KEPT_IDENTITY)) as Identity | undefined;
  if (kept) signedIn(kept);
  else signedOut();
}
