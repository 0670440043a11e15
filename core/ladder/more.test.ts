import { ownLadder } from '../test/example';
import {
  changedSince,
  ladderFrom,
  LADDERS,
  nextSetback,
  oneMoreRound,
  rungCount,
  setbackFound,
  thresholdOf,
  wholeLadder,
  type SetbackScore,
  type SetbackTry,
  type Try,
} from '.';

const FLARE = LADDERS['trail flare'];
const scored = (each: readonly (readonly [number, 'passed' | 'failed'])[]): Try[] =>
  each.map(([rung, result], turn) => ({ rung, result, sitting: 0, turn: turn + 3 }));

describe('what one more round would tell', () => {
  const few = scored([
    [0, 'failed'],
    [10, 'failed'],
    [20, 'failed'],
    [30, 'passed'],
    [20, 'failed'],
  ]);
  test('is expected to make it surer, by less once much is known', () => {
    const first = oneMoreRound(FLARE, few, wholeLadder(FLARE));
    expect(first.now).toBeGreaterThan(first.after);
    const many = [
      ...few,
      ...scored(Array.from({ length: 12 }, (_, at) => [25, at % 2 ? 'passed' : 'failed'])),
    ];
    const later = oneMoreRound(FLARE, many, wholeLadder(FLARE));
    expect(later.now - later.after).toBeLessThan(first.now - first.after);
  });
  test('where a spared body has one rung left, it is asked about that one', () => {
    const told = oneMoreRound(FLARE, few, { least: 10, most: 10 });
    expect(told.after).toBeLessThanOrEqual(told.now);
  });
});

describe('what changed since', () => {
  // By hand: 95% half widths of 3 and 4 make one of 5.
  test('two doubts add as their squares', () => {
    const told = changedSince({ middle: 25, low: 22, high: 28 }, { middle: 19, low: 15, high: 23 });
    expect(told.by).toBe(-6);
    expect(told.low).toBeCloseTo(-11);
    expect(told.high).toBeCloseTo(-1);
    expect(told.sure).toBe(true);
    expect(changedSince({ middle: 25, low: 22, high: 28 }, { middle: 21, low: 17, high: 25 }).sure).toBe(
      false,
    );
  });
});

describe('the ladder of a body that stays over its lead foot', () => {
  const on = (...each: readonly (readonly [SetbackTry['rung'], SetbackScore])[]): SetbackTry[] =>
    each.map(([rung, score]) => ({ rung, score }));
  const COARSE = [
    ['fully forward', 'held'],
    ['together', 'held'],
    ['rearward', 'balance'],
  ] as const;

  test('three coarse tries, then three swings on each of three rungs', () => {
    const tries: SetbackTry[] = [];
    for (;;) {
      const next = nextSetback(tries);
      if (next.kind === 'stop') break;
      tries.push({ rung: next.rung, score: next.rung === 'heel pad' ? 'held' : 'head' });
    }
    expect(tries.map(({ rung }) => rung).slice(0, 6)).toEqual([
      'fully forward',
      'together',
      'rearward',
      'heel',
      'heel pad',
      'middle',
    ]);
    expect(tries).toHaveLength(12);
    expect(setbackFound(tries)).toMatchObject({ rung: 'heel pad', held: 3, of: 3 });
  });

  test('falling back when fully forward looks the other way first', () => {
    const tries = on(['fully forward', 'balance'], ['together', 'head'], ['rearward', 'balance']);
    expect(nextSetback(tries)).toEqual({ kind: 'swing', rung: 'middle' });
  });

  test('pain ends it, and so do two falls in a row', () => {
    expect(nextSetback(on(['fully forward', 'pain']))).toEqual({ kind: 'stop', why: 'pain' });
    expect(nextSetback(on(...COARSE, ['middle', 'balance'], ['heel pad', 'balance']))).toMatchObject({
      kind: 'stop',
    });
  });

  test('nothing is best before each was swung on; three alike are a third each', () => {
    expect(setbackFound(on(...COARSE, ['middle', 'held']))).toBeNull();
    const alike = on(['middle', 'held'], ['heel pad', 'held'], ['heel', 'held']);
    expect(setbackFound(alike)!.chance).toBeCloseTo(1 / 3, 2);
    // Shares of beta(2, 1) and twice beta(1, 2): 0.73, from the integral of 2x (2x - x²)².
    const one = on(['middle', 'held'], ['heel pad', 'head'], ['heel', 'head']);
    expect(setbackFound(one)!.chance).toBeCloseTo(2 * (4 / 4 - 4 / 5 + 1 / 6), 2);
  });
});

describe('a ladder of one’s own', () => {
  const own = ownLadder();
  test('is gone up and read like any other', () => {
    expect(rungCount(own)).toBe(7);
    const ladder = ladderFrom(own);
    const told = thresholdOf(
      ladder,
      scored([0, 40, 80, 120, 60].map((rung) => [rung, rung < 70 ? 'passed' : 'failed'])),
    )!;
    expect(told.middle).toBeGreaterThan(50);
    expect(told.middle).toBeLessThan(90);
    expect(ladder.warmUp).toBe(0);
  });
});
