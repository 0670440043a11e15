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
 * The same for things that are numbered and drawn by the hundred, such as the frames of a mat: a hash for the words, once; an
 * integer mix of it with the number (the finalizer of MurmurHash3, Appleby, public domain) seeds a generator that costs next
 * to nothing (xorshift with 32 bits; Marsaglia 2003, Journal of Statistical Software 8(14)).
 * @returns the chance of a number, from 0
 */
export function numberedChance(...words: readonly (string | number)[]): (number: number) => () => number {
  const base = Math.floor(2 ** 32 * chanceFrom(...words)());
  return (number) => {
    // Any state but 0.
    let state = mixed(base ^ mixed(number + 1)) || 1;
    return () => {
      state ^= state << 13;
      state ^= state >>> 17;
      state ^= state << 5;
      return (state >>> 0) / 2 ** 32;
    };
  };
}

function mixed(value: number): number {
  let bits = value | 0;
  bits = Math.imul(bits ^ (bits >>> 16), 0x85ebca6b);
  bits = Math.imul(bits ^ (bits >>> 13), 0xc2b2ae35);
  return bits ^ (bits >>> 16);
}

/** A bell-shaped draw: twelve of a dozen summed. */
export function bell(chance: () => number): number {
  let sum = -6;
  for (let draw = 0; draw < 12; draw += 1) sum += chance();
  return sum;
}
