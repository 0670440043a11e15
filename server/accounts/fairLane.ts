/** What waits of one source, oldest first. */
type Waiting = (() => void)[];

/** A source has as many waiting as it may, or all have together. */
export class LaneFull extends Error {
  constructor() {
    super('too many wait');
  }
}

/** Sources with something waiting, in the order of their turns. */
class Turns {
  private readonly bySource = new Map<string, Waiting>();
  private waiting = 0;

  constructor(
    private readonly mostOfOne: number,
    private readonly most: number,
  ) {}

  /** @throws LaneFull where a source has as many waiting as it may, or all have together */
  add(source: string, start: () => void): void {
    const own = this.bySource.get(source) ?? [];
    if (own.length >= this.mostOfOne || this.waiting >= this.most) throw new LaneFull();
    own.push(start);
    this.waiting += 1;
    this.bySource.set(source, own);
  }

  /** What is to be started next; its source is behind the others again, where more of it waits. */
  take(): (() => void) | undefined {
    const [first] = this.bySource;
    if (!first) return undefined;
    const [source, own] = first;
    const start = own.shift()!;
    this.waiting -= 1;
    this.bySource.delete(source);
    if (own.length > 0) this.bySource.set(source, own);
    return start;
  }
}

/**
 * A lane in which one piece of work is done at a time, and sources take turns: however many one of them sends, another's
 * first is next but one. Those ahead have places of their own, and go before the others, but never two of them while others
 * wait: a crowd of them does not keep the others out either.
 * @param mostOfOne so many of one source wait at most
 * @param most so many wait at most in all, and as many ahead
 * @returns does work of a source when its turn comes; rejects with LaneFull
 */
export function fairLane(mostOfOne: number, most: number) {
  const [ahead, others] = [new Turns(mostOfOne, most), new Turns(mostOfOne, most)];
  let busy = false;
  let wasAhead = false;

  const next = (): void => {
    const [first, second] = wasAhead ? [others, ahead] : [ahead, others];
    const ofFirst = first.take();
    const start = ofFirst ?? second.take();
    wasAhead = (ofFirst ? first : second) === ahead;
    busy = start !== undefined;
    start?.();
  };

  return async <Result>(source: string, work: () => Promise<Result>, isAhead = false): Promise<Result> => {
    await new Promise<void>((resolve) => {
      (isAhead ? ahead : others).add(source, resolve);
      if (!busy) next();
    });
    try {
      return await work();
    } finally {
      next();
    }
  };
}
