import type { Refusal } from './problems';

interface Limits {
  /** So many at once of one coach or academy, and the refusal of one more. */
  ofOne: number;
  oneMore(): Refusal;
  /** So many at once in all, and the refusal of one more. */
  inAll: number;
  allTaken(): Refusal;
}

/**
 * Places for work that takes its time and holds what belongs to all: a connection of the database, room on the disk.
 * @param limits how many there are, and what is said where there is none
 * @returns does work of a coach or academy in a place of its own; rejects with the refusal where there is none
 */
export function placesFor({ ofOne, oneMore, inAll, allTaken }: Limits) {
  const open = new Map<string, number>();
  return async <Result>(whose: string, work: () => Promise<Result>): Promise<Result> => {
    const own = open.get(whose) ?? 0;
    if (own >= ofOne) throw oneMore();
    const all = [...open.values()].reduce((sum, count) => sum + count, 0);
    if (all >= inAll) throw allTaken();
    open.set(whose, own + 1);
    try {
      return await work();
    } finally {
      const left = open.get(whose)! - 1;
      if (left > 0) open.set(whose, left);
      else open.delete(whose);
    }
  };
}
