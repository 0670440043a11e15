/**
 * A seeded generator of uniform random numbers, so that the same question gets the same answer:
 * mulberry32 (Tommy Ettinger, public domain), 32 bits of state, good enough for intervals.
 * @param seed a whole number, 0 to 2³² − 1
 * @returns a function that draws from 0 (included) to 1 (excluded)
 * @example seeded(1)() === seeded(1)() // true
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

/**
 * Standard normal draws by the polar method (Marsaglia & Bray 1964, SIAM Review 6:260–264).
 * @param random draws from 0 to 1
 * @returns a function that draws from the standard normal distribution
 * @example Number.isFinite(normals(seeded(1))()) // true
 */
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

/**
 * Shuffles in place, every order as likely as any other (Fisher & Yates 1938, as given by
 * Durstenfeld 1964, Communications of the ACM 7:420).
 * @param items what is shuffled
 * @param random draws from 0 to 1
 * @returns the same array
 * @example shuffle([1, 2, 3], seeded(1)).length // 3
 */
export function shuffle<Item>(items: Item[], random: () => number): Item[] {
  for (let last = items.length - 1; last > 0; last -= 1) {
    const at = Math.floor(random() * (last + 1));
    [items[last], items[at]] = [items[at]!, items[last]!];
  }
  return items;
}
