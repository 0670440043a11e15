import { createHash } from 'node:crypto';
import type { Pool } from 'pg';
import { RateLimiterPostgres, RateLimiterRes } from 'rate-limiter-flexible';

/** Starting values: tries in a quarter of an hour before sign-in is refused. */
export const TRIES_PER_ACCOUNT = 8;
const TRIES_PER_ADDRESS = 60;
const WINDOW_SECONDS = 15 * 60;

export class TooManyAttempts extends Error {
  constructor(readonly seconds: number) {
    super('too many sign-in attempts');
  }
}

export interface Attempts {
  /** Counts a try. @throws TooManyAttempts when there have been too many. */
  count(email: string, address: string): Promise<void>;
  /** Forgets the tries of an account that has signed in. */
  forget(email: string): Promise<void>;
}

/** Only a hash is kept: the counts name nobody. */
const keyOf = (value: string): string => createHash('sha256').update(value).digest('hex');

/** Counts attempts in the database, so that several servers count together. */
export function openAttempts(pool: Pool): Attempts {
  const limiter = (keyPrefix: string, points: number) =>
    new RateLimiterPostgres({
      storeClient: pool,
      tableName: 'sign_in_attempts',
      tableCreated: true,
      keyPrefix,
      points,
      duration: WINDOW_SECONDS,
      clearExpiredByTimeout: false,
    });
  const byAccount = limiter('account', TRIES_PER_ACCOUNT);
  const byAddress = limiter('address', TRIES_PER_ADDRESS);
  return {
    async count(email, address) {
      try {
        await byAddress.consume(keyOf(address));
        await byAccount.consume(keyOf(email));
      } catch (refused) {
        if (!(refused instanceof RateLimiterRes)) throw refused;
        throw new TooManyAttempts(Math.ceil(refused.msBeforeNext / 1000));
      }
    },
    async forget(email) {
      await byAccount.delete(keyOf(email));
    },
  };
}
