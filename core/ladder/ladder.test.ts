import { insideLeadHeel, lowPointTold, marksTell, strikesLean } from './lowPoint';
import { LADDERS, LADDER_NAMES, limitsFor, wholeLadder, type Try, type TryResult } from './ladders';
import { MOST_SCORED, nextOn } from './plan';
import { finishHeld, settledMiddle } from './settled';
import { ownBand, thresholdOf } from './threshold';

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

  test.each(['passed', 'failed'] as const)(
    'where every try is %s it is over soon, and nothing is offered',
    (result) => {
      for (const name of LADDER_NAMES)
        for (const limits of [wholeLadder(LADDERS[name]), limitsFor(LADDERS[name], true)]) {
          const done: (readonly [number, TryResult | null])[] = [];
          const next = () => nextOn(LADDERS[name], tries(done), 0, limits);
          for (let turn = next(); turn.kind === 'turn'; turn = next())
            done.push([turn.rung, turn.scored ? result : null]);
          expect(next()).toEqual({ kind: 'stop', why: 'changes nowhere' });
          expect(done.length).toBeLessThanOrEqual(WARM.length + 10);
          const told = thresholdOf(LADDERS[name], tries(done))!;
          expect([told.beyond !== null, told.standOn]).toEqual([true, null]);
          expect(ownBand(told, LADDERS[name])).toBeNull();
        }
    },
  );

  test('where it passes from 19 to 24° alone, that more is not better is found, and nothing is offered', () => {
    const done: (readonly [number, TryResult | null])[] = [];
    const next = () => nextOn(FLARE, tries(done), 0);
    for (let turn = next(); turn.kind === 'turn'; turn = next())
      done.push([turn.rung, turn.scored ? (turn.rung >= 19 && turn.rung < 24 ? 'passed' : 'failed') : null]);
    expect(thresholdOf(FLARE, tries(done))).toMatchObject({ doubt: 'more is not better', standOn: null });
  });

  test('scores that go with no change at all are doubted', () => {
    const toAndFro = [0, 10, 20, 30, 5, 25, 15, 35, 10, 20].map(
      (rung, at) => [rung, at % 2 === 0 ? 'passed' : 'failed'] as const,
    );
    expect(thresholdOf(FLARE, tries([...WARM, ...toAndFro]))).toMatchObject({ standOn: null });
    expect(thresholdOf(FLARE, tries([...WARM, ...toAndFro]))!.doubt).not.toBeNull();
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

  const shot = { mark: null, start: null, end: null, strike: null };
  const divot = (start: number, end: number) => ({ ...shot, start, end });

  // By hand: divots from 40 to 120 are lowest 76 ahead of a ball 90 inside the heel, 14 inside it; they start 40
  // ahead, and the ball goes to the middle of 5 behind and 20 short of that: 3 cm toward the target.
  test('measured divots tell it, and where the ball goes', () => {
    const told = lowPointTold([divot(40, 120), divot(38, 122), divot(42, 118)], 90)!;
    expect(told).toMatchObject({ by: 'divots', shots: 3, ballInside: 60 });
    expect(told.inside.middle).toBeCloseTo(14);
    expect(told.inside.low).toBeLessThan(4);
    expect(told.inside.high).toBeGreaterThan(24);
  });

  test('two divots are two more marks', () => {
    const marks = [
      { ...shot, mark: 'ahead' as const },
      { ...shot, mark: 'ahead' as const },
    ];
    const told = lowPointTold([...marks, divot(40, 120), divot(38, 122)], 90)!;
    expect(told).toMatchObject({ by: 'marks', shots: 4, ballInside: null });
    expect(told.inside.high).toBeLessThan(80);
    expect(lowPointTold([{ ...shot, strike: 'low' }], 90)).toBeNull();
  });

  test('strikes lean where most of them do, and three were looked at', () => {
    const strikes = (...heights: ('high' | 'middle' | 'low')[]) => heights.map((strike) => ({ strike }));
    expect(strikesLean(strikes('low', 'low'))).toBeNull();
    expect(strikesLean(strikes('low', 'low', 'middle'))).toBe('low');
    expect(strikesLean(strikes('low', 'high', 'middle', 'low'))).toBeNull();
    expect(strikesLean(strikes('high', 'high', 'high', 'low'))).toBe('high');
  });

  test('told from the lead heel it stays where the ball is moved', () => {
    expect(insideLeadHeel(90, 50)).toBe(-40);
    expect(insideLeadHeel(60, 20)).toBe(-40);
  });
});

describe('settling and finishing', () => {
  // By hand: 45, 50, 55 have a mean of 50, a squared standard error of 25 / 3, 25 by the eye: 33.3 in all, at 2 · 33.3² / 8.33² = 32
  // effective degrees of freedom (Welch and Satterthwaite), where Student's t is 2.037 (handbook tables).
  test('the middle of where the weight came to rest, with how it scattered and what an eye misses', () => {
    const told = settledMiddle([45, 50, 55])!;
    expect(told.middle).toBe(50);
    expect(told.high - 50).toBeCloseTo(2.037 * Math.sqrt(100 / 3), 2);
    expect(settledMiddle([50])).toBeNull();
  });

  // Exact binomial limits of 4 of 5 from handbook tables (Clopper and Pearson 1934): 28.4% and 99.5%.
  test('a finish held four times of five', () => {
    const told = finishHeld([true, true, false, true, true].map((held) => ({ held })))!;
    expect(told).toMatchObject({ held: 4, of: 5 });
    expect(told.low).toBeCloseTo(0.284, 3);
    expect(told.high).toBeCloseTo(0.995, 3);
  });
});
