import { heldSince, setupAsTaken, type Setup } from '..';
import { taught } from '../test/taught';

const stand = (figures: Parameters<typeof setupAsTaken>[1], way: 'tape' | 'by eye' = 'tape'): Setup =>
  setupAsTaken({ ...taught(), measured: {} }, figures, way);
const AGREED = stand({ stanceWidth: 370, trailFlare: 25, setback: 0 });
const verdictOn = (today: Setup | null, figure: 'stanceWidth' | 'trailFlare' | 'setback') =>
  heldSince(AGREED, today, [figure])[0]?.verdict;

test('within what two tapes explain it has held: 1.96 √(10² + 10²) is 27.7 mm', () => {
  expect(verdictOn(stand({ stanceWidth: 397 }), 'stanceWidth')).toBe('held');
  expect(verdictOn(stand({ stanceWidth: 399 }), 'stanceWidth')).toBe('drifted');
});

test('what an eye tells drifts only by more: 1.96 √(2² + 8²) is 16.2 degrees', () => {
  expect(verdictOn(stand({ trailFlare: 10 }), 'trailFlare')).toBe('drifted');
  expect(verdictOn(stand({ trailFlare: 21 }, 'by eye'), 'trailFlare')).toBe('held');
  expect(verdictOn(stand({ trailFlare: 8 }, 'by eye'), 'trailFlare')).toBe('drifted');
});

test('off by what a tape would tell, but not an eye: nobody can tell', () => {
  expect(verdictOn(stand({ trailFlare: 10 }, 'by eye'), 'trailFlare')).toBe('cannot tell');
  expect(verdictOn(stand({ setback: 60 }, 'by eye'), 'setback')).toBe('cannot tell');
});

test('what was not measured since is said to be so, and what was never agreed on is not asked', () => {
  expect(heldSince(AGREED, stand({ stanceWidth: 370 }))).toEqual([
    { figure: 'stanceWidth', verdict: 'held', agreed: expect.closeTo(370, 6), today: expect.closeTo(370, 6) },
    { figure: 'trailFlare', verdict: 'not measured', agreed: expect.closeTo(25, 6), today: null },
    { figure: 'setback', verdict: 'not measured', agreed: expect.closeTo(0, 6), today: null },
  ]);
  expect(verdictOn(null, 'trailFlare')).toBe('not measured');
});
