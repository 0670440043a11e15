/** What waits of one source, oldest first. */
type Waiting = (() => void)[];

/** A source has as many waiting as it may, or all have together. */
export class LaneFull extends Error {
  constructor() {
    super('too many wait');
  }
}

/**
 * A lane in which one piece of work is done at a time, and sources take turns: however many one of them sends, another's
 * first is next but one.
 * @param mostOfOne so many of one source wait at most
 * @param most so many wait at most in all
 * @returns does work of a source when its turn comes; rejects with LaneFull
 */
export function fairLane(mostOfOne: number, most: number) {
  /** Sources with something waiting, in the order of their turns. */
  const turns = new Map<string, Waiting>();
  let busy = false;

  const next = (): void => {
    const [first] = turns;
    busy = first !== undefined;
    if (!first) return;
    const [source, waiting] = first;
    const start = waiting.shift()!;
    // Behind the others again, where more of it waits.
    turns.delete(source);
    if (waiting.length > 0) turns.set(source, waiting);
    start();
  };

  const turn = (source: string): Promise<void> =>
    new Promise((resolve, reject) => {
      const waiting = turns.get(source) ?? [];
      const all = [...turns.values()].reduce((sum, each) => sum + each.length, 0);
      if (waiting.length >= mostOfOne || all >= most) return reject(new LaneFull());
      waiting.push(resolve);
      turns.set(source, waiting);
      if (!busy) next();
    });

  return async <Result>(source: string, work: () => Promise<Result>): Promise<Result> => {
    await turn(source);
    try {
      return await work();
    } finally {
      next();
    }
  };
}
