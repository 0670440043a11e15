import { measureAgainOn, outgrewBy, stillGrows } from '.';

const then = { height: 1500, shoeLength: 260 };

test('a fiftieth taller is another body, whoever it is', () => {
  expect(outgrewBy(then, { ...then, height: 1530 }, false)).toBe('height');
  expect(outgrewBy(then, { ...then, height: 1520 }, true)).toBeNull();
});

test('a shoe size more is another body while it grows, and only other shoes once it is grown', () => {
  expect(outgrewBy(then, { ...then, shoeLength: 267 }, true)).toBe('shoes');
  expect(outgrewBy(then, { ...then, shoeLength: 267 }, false)).toBeNull();
  expect(outgrewBy(then, { ...then, shoeLength: 263 }, true)).toBeNull();
  // Narrower shoes are no growth.
  expect(outgrewBy(then, { ...then, shoeLength: 250 }, true)).toBeNull();
});

test('minors grow, and whoever is noted to; not once that is over', () => {
  const growing = { state: 'growing', status: 'stands' } as const;
  expect(stillGrows({ birthYear: 2014, bornOn: null, facts: [] }, '2026-11-27')).toBe(true);
  expect(stillGrows({ birthYear: 2000, bornOn: null, facts: [] }, '2026-11-27')).toBe(false);
  expect(stillGrows({ birthYear: 2007, bornOn: null, facts: [growing] }, '2026-11-27')).toBe(true);
  expect(
    stillGrows({ birthYear: 2007, bornOn: null, facts: [{ ...growing, status: 'over' }] }, '2026-11-27'),
  ).toBe(false);
});

test('a growing body is measured again after a third of a year', () => {
  expect(measureAgainOn('2026-11-27')).toBe('2027-03-27');
});
