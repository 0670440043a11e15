import { driftAndPath, type DriftAndPath } from '.';

// Anscombe 1973, Graphs in statistical analysis, first set: slope 0.500, its standard error 0.118, t(9) = 2.262.
const X = [10, 8, 13, 9, 11, 14, 6, 4, 12, 7, 5];
const Y = [8.04, 6.95, 7.58, 8.81, 8.33, 9.96, 7.24, 4.26, 10.84, 4.82, 5.68];
const pairs = X.map((drift, at): DriftAndPath => ({ drift, path: Y[at]! }));

test('a published set of pairs: its slope and the interval of it', () => {
  const told = driftAndPath(pairs)!;
  expect(told.slope).toBeCloseTo(0.5, 3);
  expect(told.low).toBeCloseTo(0.5 - 2.262 * 0.1179, 2);
  expect(told.high).toBeCloseTo(0.5 + 2.262 * 0.1179, 2);
  expect(told).toMatchObject({ swings: 11, sure: true });
});

test('too few, or a drift that never differs, tell nothing; chance alone is not sure', () => {
  expect(driftAndPath(pairs.slice(0, 4))).toBeNull();
  expect(driftAndPath(pairs.map(({ path }) => ({ drift: 5, path })))).toBeNull();
  const chance = [1, 2, 3, 4, 5, 6].map((drift) => ({ drift, path: drift % 2 }));
  expect(driftAndPath(chance)!.sure).toBe(false);
});
