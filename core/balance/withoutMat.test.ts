import { feltUnder, seenWithoutMat, type Stripes } from '.';

const seen = { lead: true, trail: true };
const early: Stripes = {
  address: seen,
  top: seen,
  'early down': { lead: false, trail: true },
  impact: seen,
};
const finishes = (held: number, fell: number) => [
  ...Array<{ held: boolean }>(held).fill({ held: true }),
  ...Array<{ held: boolean }>(fell).fill({ held: false }),
];
const looked = (stripes: number, held = 0, fell = 0) => ({
  stripes: Array<Stripes>(stripes).fill(early),
  finishes: finishes(held, fell),
});

// Exact limits of 6 of 6 from handbook tables: 54.1% (Clopper and Pearson 1934).
test('an eye has to see it six times of six', () => {
  expect(seenWithoutMat(looked(6), 'centred')).toEqual({ pattern: 'toes early coming down', way: 'stripe' });
  expect(seenWithoutMat(looked(5), 'centred')).toBeNull();
  expect(seenWithoutMat(looked(6), 'long drive')).toBeNull();
  expect(seenWithoutMat(looked(0, 0, 6), 'centred')).toEqual({ pattern: 'falls back', way: 'finish' });
  expect(seenWithoutMat(looked(0, 1, 5), 'centred')).toBeNull();
  expect(seenWithoutMat(looked(0), 'centred')).toBeNull();
});

test('the stick is felt where it is felt more often than not', () => {
  const felt = (...places: ('heels' | 'middle' | 'toes')[]) =>
    feltUnder(places.map((each) => ({ felt: each })));
  expect(felt('toes', 'middle', 'toes')).toBe('toes');
  expect(felt('toes', 'heels')).toBeNull();
  expect(felt()).toBeNull();
});
