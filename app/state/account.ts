import type { SignIn } from '@pedastance/contract';
import { ownerOf, type Identity } from '@pedastance/contract/owner';
import { create } from 'zustand';
import { api } from './api';
import { deviceDatabase } from './database';

/**
 * `expired`: the server no longer knows the session; what is on the device stays open to its
 * owner, and nothing is sent until the same coach signs in again.
 */
export type AccountStatus = 'starting' | 'signed out' | 'signed in' | 'expired';

interface Account {
  status: AccountStatus;
  identity: Identity | null;
}

export const useAccount = create<Account>(() => ({ status: 'starting', identity: null }));

const KEPT_IDENTITY = 'identity';

export const currentOwner = (): string | null => {
  const { identity } = useAccount.getState();
  return identity && ownerOf(identity);
};

async function keep(identity: Identity | null): Promise<void> {
  const database = await deviceDatabase();
  if (identity) await database.put('device', identity, KEPT_IDENTITY);
  else await database.delete('device', KEPT_IDENTITY);
}

const sameOwner = (a: Identity, b: Identity): boolean => ownerOf(a) === ownerOf(b);

/**
 * Opens with the identity kept on the device at once, and asks the server whether the session
 * still is that coach's. A server that does not answer changes nothing.
 */
export async function startAccount(): Promise<void> {
  const kept = (await (await deviceDatabase()).get('device', KEPT_IDENTITY)) as Identity | undefined;
  if (kept) useAccount.setState({ status: 'signed in', identity: kept });
  try {
    const identity = await api.whoAmI();
    if (!kept && !identity) return useAccount.setState({ status: 'signed out', identity: null });
    if (!identity || (kept && !sameOwner(kept, identity))) return useAccount.setState({ status: 'expired' });
    await keep(identity);
    useAccount.setState({ status: 'signed in', identity });
  } catch {
    if (!kept) useAccount.setState({ status: 'signed out', identity: null });
  }
}

/** @throws Refused or ServerAway; nothing has changed then. */
export async function signIn(body: SignIn): Promise<void> {
  const identity = await api.signIn(body);
  await keep(identity);
  useAccount.setState({ status: 'signed in', identity });
}

export const sessionExpired = (): void => {
  if (useAccount.getState().identity) useAccount.setState({ status: 'expired' });
};

/** Forgets who is signed in; the session on the server ends when the server can be reached. */
export async function signOut(): Promise<void> {
  const owner = currentOwner();
  if (owner) await api.signOut(owner).catch(() => undefined);
  await keep(null);
  useAccount.setState({ status: 'signed out', identity: null });
}
