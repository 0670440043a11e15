import { radians } from '../units';
import { ballMark, flareMark, gapMark } from './marks';

const SHOE = { length: 290, breadth: 105 };

describe('marks without a protractor', () => {
  test.each([
    [0, 'shoes side by side, all but touching'],
    [80, 'a club head between the shoes, 8 cm'],
    // A pitch: two club heads between the feet, common practice.
    [160, 'two club heads between the shoes, 16 cm'],
    [290, 'a shoe’s length between the shoes, 29 cm'],
    [362.5, 'a shoe’s length and a quarter between the shoes, 36 cm'],
    [390, 'a little over a shoe’s length and a quarter between the shoes, 39 cm'],
    [412, 'a little under a shoe’s length and a half between the shoes, 41 cm'],
    [435, 'a shoe’s length and a half between the shoes, 44 cm'],
    [580, 'two shoe lengths between the shoes, 58 cm'],
  ])('a gap of %d mm', (gap, words) => {
    expect(gapMark(gap, SHOE, 'cm')).toBe(words);
  });

  test.each([
    [0, 'straight ahead'],
    [3, 'straight ahead'],
    [-15, 'in by a little over half a shoe’s breadth, 15°'],
    [10.43, 'out by half a shoe’s breadth, 10°'],
    [21.23, 'out by a shoe’s breadth, 21°'],
    [25, 'out by a little over a shoe’s breadth, 25°'],
    [32.9, 'out by a shoe’s breadth and a half, 33°'],
    [40, 'out by a little under two shoe breadths, 40°'],
  ])('a flare of %d°', (flare, words) => {
    expect(flareMark(flare, SHOE)).toBe(words);
  });

  test.each([
    [0, 'level with the lead heel'],
    [45, 'half a hand inside the lead heel, 5 cm'],
    [90, 'a hand inside the lead heel, 9 cm'],
    [135, 'a hand and a half inside the lead heel, 14 cm'],
    [-45, 'half a hand outside the lead heel, 5 cm'],
  ])('a ball %d mm inside the heel', (inside, words) => {
    expect(ballMark(inside, 'cm')).toBe(words);
  });

  test('a foot set by its mark stands within 6° of the flare that was meant', () => {
    const halves: Record<string, number> = {
      'half a shoe’s breadth': 0.5,
      'a shoe’s breadth': 1,
      'a shoe’s breadth and a half': 1.5,
      'two shoe breadths': 2,
    };
    for (let flare = 5; flare <= 45; flare += 1) {
      const [, about, mark] = /^out by (a little over |a little under )?(.*), \d+°$/.exec(
        flareMark(flare, SHOE),
      )!;
      const share = halves[mark!]! + (about === undefined ? 0 : about.includes('over') ? 0.15 : -0.15);
      const set = Math.asin((share * SHOE.breadth) / SHOE.length) / radians(1);
      expect(Math.abs(set - flare)).toBeLessThan(6);
    }
  });
});
