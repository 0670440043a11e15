/**
 * A seeded source of chance, so that the same question gets the same answer: mulberry32 (Tommy
 * Ettinger, public domain), 32 bits of state, good enough for intervals and no more.
 */
export function seeded(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296;
  };
}

/** Standard normal draws by the polar method (Marsaglia & Bray 1964), two at a time. */
export function normals(random: () => number): () => number {
  let spare: number | null = null;
  return () => {
    if (spare !== null) {
      const drawn = spare;
      spare = null;
      return drawn;
    }
    let u: number;
    let v: number;
    let square: number;
    do {
      u = 2 * random() - 1;
      v = 2 * random() - 1;
      square = u * u + v * v;
    } while (square >= 1 || square === 0);
    const scale = Math.sqrt((-2 * Math.log(square)) / square);
    spare = v * scale;
    return u * scale;
  };
}
