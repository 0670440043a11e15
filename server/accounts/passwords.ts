import { hash, verify } from '@node-rs/argon2';
import { fairLane, LaneFull } from './fairLane';

/** RFC 9106, section 4, second recommended option: argon2id (the package's default), 64 MiB, three passes, four lanes. */
const SETTINGS = { memoryCost: 64 * 1024, timeCost: 3, parallelism: 4 };

/**
 * One sign-in is worked on at a time: a check takes one of the few threads that also read files, and 64 MiB.
 * Others wait, addresses taking turns, so that a crowd from one does not shut the sign-in for another; known devices go before
 * a crowd from many. Beyond a short queue they are told to try again. Since guesses take turns, each knows of those before it.
 */
const MOST_OF_AN_ADDRESS = 20;
const MOST_WAITING = 200;
const lane = fairLane(MOST_OF_AN_ADDRESS, MOST_WAITING);

export class SignInBusy extends Error {
  constructor() {
    super('too many sign-ins at once');
  }
}

/** Hashes a password with argon2id, as a PHC string. */
export const hashPassword = (password: string): Promise<string> => hash(password, SETTINGS);

/** Checked when no account has the address, so that the answer takes as long either way. */
let nobody: Promise<string> | undefined;

export async function passwordMatches(kept: string | undefined, password: string): Promise<boolean> {
  nobody ??= hashPassword('nobody has this password');
  const matches = await verify(kept ?? (await nobody), password);
  return kept !== undefined && matches;
}

/**
 * Works on a sign-in from an address when its turn comes, or before all others of a device that has signed in to the account
 * before.
 * @throws SignInBusy when too many wait already
 */
export async function inSignInLane<Result>(
  address: string,
  work: () => Promise<Result>,
  isKnown = false,
): Promise<Result> {
  try {
    return await lane(address, work, isKnown);
  } catch (error) {
    throw error instanceof LaneFull ? new SignInBusy() : error;
  }
}
