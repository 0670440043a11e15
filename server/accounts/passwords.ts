import { hash, verify } from '@node-rs/argon2';
import limit from 'p-limit';

/** RFC 9106, section 4, second recommended option: argon2id (the package's default), 64 MiB, three passes, four lanes. */
const SETTINGS = { memoryCost: 64 * 1024, timeCost: 3, parallelism: 4 };

/**
 * One sign-in is worked on at a time: a check takes one of the few threads that also read files, and 64 MiB.
 * Others wait in a short queue, and beyond it are told to try again. Since guesses take turns, each knows of
 * those before it.
 */
const lane = limit(1);
const MOST_WAITING = 20;

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

/** Works on a sign-in when its turn comes. @throws SignInBusy when too many wait already */
export async function inSignInLane<Result>(work: () => Promise<Result>): Promise<Result> {
  if (lane.pendingCount >= MOST_WAITING) throw new SignInBusy();
  return lane(work);
}
