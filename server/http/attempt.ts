import type { Request } from 'express';
import { inSignInLane, passwordMatches } from '../accounts/passwords';
import { tokenHash } from '../accounts/sessions';
import { ownAccount } from '../store/accounts';
import { badInput, Refusal } from './problems';
import type { Services } from './services';

/** Takes an attempt at an address into account, and works on it when its turn comes. */
export async function countedAttempt<Result>(
  { attempts }: Services,
  email: string,
  request: Request,
  work: () => Promise<Result>,
): Promise<Result> {
  const address = request.ip ?? '';
  return inSignInLane(address, async () => {
    await attempts.check(email, address);
    try {
      return await work();
    } catch (error) {
      if (error instanceof Refusal) await attempts.failed(email, address);
      throw error;
    }
  });
}

/**
 * The account behind a request's session.
 * @param refusedToDemo what a demo's account is told that is refused; null where it is not
 * @throws Refusal where the session has ended, or the account is a demo's that is refused
 */
export async function accountBehind({ pool }: Services, request: Request, refusedToDemo: string | null) {
  const account = await ownAccount(pool, tokenHash(request.sessionID), new Date());
  if (!account) throw new Refusal(401, 'signed-out', 'Sign in first');
  if (account.demo && refusedToDemo) throw new Refusal(403, 'demo', refusedToDemo);
  return account;
}

type OwnAccount = Awaited<ReturnType<typeof accountBehind>>;

/**
 * Works on something for whoever shows the account's password as it is; a wrong one is counted as a guess.
 * @param shown the password that was given, and the field it was given in
 * @throws Refusal naming the field, or TooManyAttempts
 */
export function withPassword(
  services: Services,
  request: Request,
  account: OwnAccount,
  { field, given }: { field: 'password' | 'before'; given: string },
  work: () => Promise<void> = () => Promise.resolve(),
): Promise<void> {
  return countedAttempt(services, account.email, request, async () => {
    if (!(await passwordMatches(account.passwordHash, given)))
      throw badInput(field, 'your password as it is now', 'another');
    await work();
  });
}

/** The account was changed between showing its password and the work. */
export const changedMeanwhile = (): Refusal =>
  new Refusal(409, 'changed-meanwhile', 'The password was changed meanwhile');
