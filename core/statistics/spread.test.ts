import { nineOfTen, normals, seeded } from '.';

// By hand: the sample deviation of 4 and 6 is the root of two, and 1.645 deviations hold nine of ten.
test('the middle of values and how far nine of ten lie from it', () => {
  expect(nineOfTen([4, 6])).toEqual({ middle: 5, spread: expect.closeTo(1.645 * Math.SQRT2, 9) });
  const normal = normals(seeded(5));
  const values = Array.from({ length: 5000 }, () => 3 + 2 * normal());
  const { middle, spread } = nineOfTen(values);
  const within = values.filter((value) => Math.abs(value - middle) <= spread).length / values.length;
  expect(within).toBeGreaterThan(0.89);
  expect(within).toBeLessThan(0.91);
});
