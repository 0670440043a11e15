import { insideLeadHeel, marksTell } from './lowPoint';
import { LADDERS, type Try, type TryResult } from './ladders';
import { MOST_SCORED, nextOn } from './plan';
import { thresholdOf } from './threshold';

const FLARE = LADDERS['trail flare'];

/** Tries in time, of one sitting. */
const tries = (scored: readonly (readonly [number, TryResult | null])[], sitting = 0): Try[] =>
  scored.map(([rung, result], turn) => ({ rung, result, sitting, turn }));
const WARM = [
  [0, null],
  [0, null],
  [0, null],
] as const;

describe('what comes next', () => {
  test('three turns to warm up, then up by tens until it changes, down until it changes back, then around the change', () => {
    const done: (readonly [number, TryResult | null])[] = [];
    const rungs: number[] = [];
    for (;;) {
      const next = nextOn(FLARE, tries(done), 0);
      if (next.kind === 'stop') {
        expect(next.why).toMatch(/found|enough for today/);
        break;
      }
      const { rung, scored } = next;
      rungs.push(rung);
      done.push([rung, scored ? (rung >= 24 ? 'passed' : 'failed') : null]);
    }
    expect(rungs.slice(0, 9)).toEqual([0, 0, 0, 0, 10, 20, 30, 30, 20]);
    expect(rungs.slice(9).every((rung) => rung >= 15 && rung <= 35)).toBe(true);
    expect(rungs.length - 3).toBeLessThanOrEqual(MOST_SCORED);
    const told = thresholdOf(FLARE, tries(done))!;
    expect(told.low).toBeLessThan(24);
    expect(told.high).toBeGreaterThan(20);
    expect(told.standOn).toBe(25);
  });

  test('pain ends it at once, and so do two that were worse in a row', () => {
    expect(nextOn(FLARE, tries([...WARM, [0, 'failed'], [10, 'pain']]), 0)).toEqual({
      kind: 'stop',
      why: 'pain',
    });
    expect(nextOn(FLARE, tries([...WARM, [0, 'worse'], [10, 'worse']]), 0)).toEqual({
      kind: 'stop',
      why: 'two worse in a row',
    });
    expect(nextOn(FLARE, tries([...WARM, [0, 'worse'], [10, 'failed'], [20, 'worse']]), 0).kind).toBe('turn');
  });

  test('fifteen are enough for a day; another day goes on where it was left, warmed up again', () => {
    const day = tries([...WARM, ...Array.from({ length: 15 }, () => [0, 'failed'] as const)]);
    expect(nextOn(FLARE, day, 0)).toEqual({ kind: 'stop', why: 'enough for today' });
    const few = tries([...WARM, [0, 'failed'], [10, 'failed']]);
    expect(nextOn(FLARE, few, 1)).toMatchObject({ scored: false });
    const warm = [...few, ...tries(WARM, 1)];
    expect(nextOn(FLARE, warm, 1)).toMatchObject({ kind: 'turn', rung: 20, scored: true });
  });

  test('a rung beyond the student’s limits is never offered, whatever was scored', () => {
    const limits = { least: 0, most: 20 };
    const done: (readonly [number, TryResult | null])[] = [];
    for (;;) {
      const next = nextOn(FLARE, tries(done), 0, limits);
      if (next.kind === 'stop') break;
      expect(next.rung).toBeLessThanOrEqual(20);
      done.push([next.rung, next.scored ? 'failed' : null]);
    }
    expect(thresholdOf(FLARE, tries(done))!.beyond).toBe('after the last');
  });

  test('a rest after every five', () => {
    const five = tries([...WARM, ...Array.from({ length: 5 }, (_, at) => [10 * at, 'failed'] as const)]);
    expect(nextOn(FLARE, five, 0)).toMatchObject({ rest: true });
    expect(nextOn(FLARE, five.slice(0, -1), 0)).toMatchObject({ rest: false });
  });
});

describe('where it changes', () => {
  test('nothing is said where nothing was scored, nor of a try that hurt', () => {
    expect(thresholdOf(FLARE, tries(WARM))).toBeNull();
    expect(thresholdOf(FLARE, tries([[20, 'pain']]))).toBeNull();
  });

  test('which try of a rung was which changes nothing', () => {
    const scored = [
      [10, 'failed'],
      [20, 'passed'],
      [20, 'failed'],
      [30, 'passed'],
      [20, 'failed'],
      [25, 'passed'],
    ] as const;
    const swapped = [scored[0], scored[2], scored[1], scored[3], scored[4], scored[5]];
    const told = thresholdOf(FLARE, tries([...WARM, ...scored]))!;
    const other = thresholdOf(FLARE, tries([...WARM, ...swapped]))!;
    expect(other).toEqual(told);
    expect(thresholdOf(FLARE, [...tries([...WARM, ...scored])].reverse())).toEqual(told);
  });

  test('all passed lies before the first rung, all failed after the last', () => {
    const all = (result: TryResult) => tries([0, 10, 20].map((rung) => [rung, result] as const));
    expect(thresholdOf(FLARE, all('passed'))!.beyond).toBe('before the first');
    expect(thresholdOf(FLARE, all('failed'))!.beyond).toBe('after the last');
  });

  test('scores that contradict each other are told, with the rungs', () => {
    const told = thresholdOf(FLARE, tries([...WARM, [10, 'passed'], [30, 'failed'], [35, 'passed']]))!;
    expect(told.contradictions).toEqual([{ passed: 10, failed: 30 }]);
    expect(told.high - told.low).toBeGreaterThan(15);
  });

  test('a width passes up to somewhere: the widest that still does is to be stood on', () => {
    const told = thresholdOf(
      LADDERS.width,
      tries([420, 450, 480, 510, 540, 570].map((rung) => [rung, rung <= 480 ? 'passed' : 'failed'] as const)),
    )!;
    expect(told.middle).toBeGreaterThan(470);
    expect(told.middle).toBeLessThan(520);
    expect(told.standOn).toBeLessThan(told.middle);
    expect(told.standOn).toBeGreaterThan(400);
  });
});

describe('where a club is lowest', () => {
  test('marks: all ahead lies toward the target, as many to either side lies at the ball', () => {
    expect(marksTell([])).toBeNull();
    expect(marksTell(Array(10).fill('ahead'))!.low).toBeGreaterThan(10);
    const even = marksTell(['ahead', 'behind', 'at', 'at', 'ahead', 'behind'])!;
    expect(Math.abs(even.middle)).toBeLessThan(3);
  });

  test('told from the lead heel it stays where the ball is moved', () => {
    expect(insideLeadHeel(90, 50)).toBe(-40);
    expect(insideLeadHeel(60, 20)).toBe(-40);
  });
});
