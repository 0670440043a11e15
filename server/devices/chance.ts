import { createHash } from 'node:crypto';

/** Chance that is the same for the same words: a stream of numbers from 0 to 1 out of SHA-256. */
export function chanceFrom(...words: readonly (string | number)[]): () => number {
  let block = createHash('sha256').update(words.join('|')).digest();
  let at = 0;
  return () => {
    if (at + 4 > block.length) {
      block = createHash('sha256').update(block).digest();
      at = 0;
    }
    const drawn = block.readUInt32BE(at) / 2 ** 32;
    at += 4;
    return drawn;
  };
}

/**
 * The same, for hundreds of draws a frame: a hash seeds a generator that costs next to nothing (xorshift with 32 bits; Marsaglia
 * 2003, Journal of Statistical Software 8(14)).
 */
export function quickChanceFrom(...words: readonly (string | number)[]): () => number {
  // Any state but 0.
  let state = Math.floor(2 ** 32 * chanceFrom(...words)()) || 1;
  return () => {
    state ^= state << 13;
    state ^= state >>> 17;
    state ^= state << 5;
    return (state >>> 0) / 2 ** 32;
  };
}

/** A bell-shaped draw: twelve of a dozen summed. */
export function bell(chance: () => number): number {
  let sum = -6;
  for (let draw = 0; draw < 12; draw += 1) sum += chance();
  return sum;
}
