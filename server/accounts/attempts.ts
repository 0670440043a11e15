import { createHash } from 'node:crypto';
import type { Pool } from 'pg';
import { RateLimiterPostgres, type RateLimiterRes } from 'rate-limiter-flexible';

/** Starting values: wrong guesses at an account from one address that cost no wait. */
export const FREE_GUESSES = 4;
const FIRST_WAIT_SECONDS = 5;
const LONGEST_WAIT_SECONDS = 15 * 60;
const GUESSES_REMEMBERED_SECONDS = 24 * 60 * 60;
/** Wrong guesses from one address at any account in a quarter of an hour. */
const GUESSES_PER_ADDRESS = 60;
const WINDOW_SECONDS = 15 * 60;

/** Academies begun from one address in an hour (starting value). */
export const ACADEMIES_PER_ADDRESS = 30;
const ACADEMIES_WINDOW_SECONDS = 60 * 60;

export class TooManyAttempts extends Error {
  constructor(readonly seconds: number) {
    super('too many sign-in attempts');
  }
}

export interface Attempts {
  /** @throws TooManyAttempts while this account has to wait at this address, or the address altogether. */
  check(email: string, address: string): Promise<void>;
  /** Counts a wrong guess. */
  failed(email: string, address: string): Promise<void>;
  /** Counts an academy begun. @throws TooManyAttempts when too many were begun from one address */
  begun(address: string): Promise<void>;
  /** Forgets the wrong guesses at an account from an address that knows the password. */
  succeeded(email: string, address: string): Promise<void>;
}

/** The wait after so many wrong guesses: none at first, then doubling up to a quarter of an hour, seconds. */
export const waitAfter = (guesses: number): number =>
  guesses <= FREE_GUESSES
    ? 0
    : Math.min(FIRST_WAIT_SECONDS * 2 ** (guesses - FREE_GUESSES - 1), LONGEST_WAIT_SECONDS);

/** Only a hash is kept: the counts name nobody. */
const keyOf = (...values: string[]): string => createHash('sha256').update(values.join('\n')).digest('hex');

/**
 * Counts attempts in the database, so that several servers count together. Waits grow with wrong guesses at
 * one account from one address: a stranger's guesses never lock the coach out, who comes from elsewhere.
 */
export function openAttempts(pool: Pool): Attempts {
  // The package names its statements, which lasts longer than a transaction and so does not go through a pooler.
  const storeClient = {
    query: ({ text, values }: { text: string; values: unknown[] }) => pool.query(text, values),
  };
  const limiter = (keyPrefix: string, points: number, duration: number) =>
    new RateLimiterPostgres({
      storeClient,
      storeType: 'client',
      tableName: 'sign_in_attempts',
      tableCreated: true,
      keyPrefix,
      points,
      duration,
      clearExpiredByTimeout: false,
    });
  const guesses = limiter('guesses', Number.MAX_SAFE_INTEGER, GUESSES_REMEMBERED_SECONDS);
  const waiting = limiter('waiting', 1, LONGEST_WAIT_SECONDS);
  const byAddress = limiter('address', GUESSES_PER_ADDRESS, WINDOW_SECONDS);
  const academies = limiter('academies', Number.MAX_SAFE_INTEGER, ACADEMIES_WINDOW_SECONDS);
  const refuseWhile = (counted: RateLimiterRes | null, most: number) => {
    if (counted && counted.consumedPoints >= most) {
      throw new TooManyAttempts(Math.ceil(counted.msBeforeNext / 1000));
    }
  };
  return {
    async check(email, address) {
      refuseWhile(await byAddress.get(keyOf(address)), GUESSES_PER_ADDRESS);
      refuseWhile(await waiting.get(keyOf(email, address)), 1);
    },
    async failed(email, address) {
      const pair = keyOf(email, address);
      await byAddress.penalty(keyOf(address), 1);
      const seconds = waitAfter((await guesses.penalty(pair, 1)).consumedPoints);
      if (seconds > 0) await waiting.block(pair, seconds);
    },
    async begun(address) {
      const key = keyOf(address);
      refuseWhile(await academies.get(key), ACADEMIES_PER_ADDRESS);
      await academies.penalty(key, 1);
    },
    async succeeded(email, address) {
      const pair = keyOf(email, address);
      await guesses.delete(pair);
      await waiting.delete(pair);
    },
  };
}
