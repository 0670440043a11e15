import { differencesOf } from './compare';
import { isNewer } from './check';

test('figures agree within a millionth, and everything else exactly', () => {
  expect(differencesOf({ a: 1, b: [2, { c: 'x' }] }, { a: 1 + 1e-9, b: [2, { c: 'x' }] })).toEqual([]);
  expect(differencesOf({ a: 1e6 }, { a: 1e6 + 0.5 })).toEqual([]);
  expect(differencesOf({ a: null }, {})).toEqual([]);
  expect(differencesOf({ a: 1, b: [2, { c: 'x' }] }, { a: 1.01, b: [2, { c: 'y' }] })).toEqual([
    { place: 'a', told: '1', computed: '1.01' },
    { place: 'b.1.c', told: 'x', computed: 'y' },
  ]);
  expect(differencesOf({ a: [1, 2] }, { a: [1] })).toEqual([
    { place: 'a.1', told: '2', computed: 'nothing' },
  ]);
  expect(differencesOf(Array(500).fill(1), Array(500).fill(2))).toHaveLength(20);
});

test('a version comes after another by its first number that differs', () => {
  expect(isNewer('2.1.0', '2.1.0')).toBe(false);
  expect(isNewer('2.10.0', '2.9.9')).toBe(true);
  expect(isNewer('1.9.9', '2.0.0')).toBe(false);
  expect(isNewer('2.1.1', '2.1.0')).toBe(true);
});
