import { createHmac, randomBytes, timingSafeEqual } from 'node:crypto';

const LASTS_MS = 5 * 60_000;
const CHANCE_BYTES = 16;
const END_BYTES = 6;

/**
 * Challenges that passkeys answer: made without a row for each, so that asking for many of them fills nothing. Each says when it
 * ends and what it is for, under the server's own secret.
 * @param secret the server's own
 */
export function challengesBy(secret: string) {
  const sealed = (start: Buffer, purpose: string): Buffer =>
    createHmac('sha256', secret).update(`challenge for ${purpose}`).update(start).digest();
  return {
    /** A challenge for a purpose, base64url. */
    make(purpose: string, now: number): string {
      const end = Buffer.alloc(END_BYTES);
      end.writeUIntBE(now + LASTS_MS, 0, END_BYTES);
      const start = Buffer.concat([randomBytes(CHANCE_BYTES), end]);
      return Buffer.concat([start, sealed(start, purpose)]).toString('base64url');
    },
    /** Whether a challenge is one of these, for that purpose, and has not ended. */
    holds(challenge: string, purpose: string, now: number): boolean {
      const bytes = Buffer.from(challenge, 'base64url');
      const start = bytes.subarray(0, CHANCE_BYTES + END_BYTES);
      const [given, own] = [bytes.subarray(start.length), sealed(start, purpose)];
      if (given.length !== own.length || !timingSafeEqual(given, own)) return false;
      return start.readUIntBE(CHANCE_BYTES, END_BYTES) > now;
    },
    lastsMs: LASTS_MS,
  };
}

export type Challenges = ReturnType<typeof challengesBy>;
