import { LADDERS, marksTell, thresholdOf, type Mark } from '@pedastance/core/ladder';
import { lowPointOfShots } from '@pedastance/core/trial';
import { bell, chanceFrom } from '../devices/chance';
import { anyChange, goneThrough, stopsTold, succeeds } from './ladders';

const STUDENTS = 150;

describe('on simulated students, who cannot see the analysis', () => {
  // Aims: the rung that is told lies within a rung for 80 of 100; intervals hold 93. Less here, for 150 students are few.
  test.each([
    ['trail flare', 5, 5, 0.8, 15],
    ['trail flare', 0, 5, 0.8, 15],
    ['lead flare', 5, 5, 0.8, 15],
    ['width', 0, 30, 0.8, 100],
  ] as const)('%s, warming by %i: found within %i', (name, drift, within, near, width) => {
    const told = succeeds(name, drift, within, STUDENTS);
    expect(told.near).toBeGreaterThanOrEqual(near);
    expect(told.held).toBeGreaterThanOrEqual(0.91);
    expect(told.width).toBeLessThanOrEqual(width);
  });

  test('more tries never widen the interval on average', () => {
    const widths = [6, 9, 12, 15].map((count) => {
      const all = Array.from({ length: 40 }, (_, at) => {
        const chance = chanceFrom('more', at);
        const body = {
          change: anyChange('trail flare', chance),
          passing: 'from',
          spread: 5,
          lapses: 0.03,
          drift: 5,
        } as const;
        const tries = goneThrough('trail flare', body, `more ${at}`).slice(0, 3 + count);
        const { low, high } = thresholdOf(LADDERS['trail flare'], tries)!;
        return high - low;
      });
      return all.reduce((sum, width) => sum + width, 0) / all.length;
    });
    expect([...widths].sort((a, b) => b - a)).toEqual(widths);
  });
});

describe('turns measured on rungs', () => {
  test('two or more that the trail leg stopped halve the interval of its stop, which still holds it', () => {
    const told = stopsTold(500);
    expect(told.narrowed).toBeLessThanOrEqual(0.5);
    expect(told.held).toBeGreaterThanOrEqual(0.92);
    expect(told.offAfter).toBeLessThan(told.offBefore);
  });
});

describe('where a club is lowest', () => {
  const times = 300;
  const near = (find: (low: number, chance: () => number) => boolean): number => {
    let good = 0;
    for (let at = 0; at < times; at += 1) {
      const chance = chanceFrom('divots', at);
      good += find(120 * (chance() - 0.4), chance) ? 1 : 0;
    }
    return good / times;
  };

  test('ten divots of 20 mm scatter tell it within 15 mm, nine times of ten', () => {
    const share = near((low, chance) => {
      const divots = Array.from({ length: 10 }, () => {
        const [middle, half] = [low + 20 * bell(chance), 35 + 20 * chance()];
        return { mishit: false, divotStart: middle - half, divotEnd: middle + half };
      });
      return Math.abs(lowPointOfShots(divots)!.value - low) <= 15;
    });
    expect(share).toBeGreaterThanOrEqual(0.9);
  });

  test('ten marks that were only looked at give bounds that hold it', () => {
    const share = near((low, chance) => {
      const marks = Array.from({ length: 10 }, (): Mark => {
        const at = low + 20 * bell(chance);
        return at > 21 ? 'ahead' : at < -21 ? 'behind' : 'at';
      });
      const told = marksTell(marks)!;
      return told.low <= low && low <= told.high;
    });
    expect(share).toBeGreaterThanOrEqual(0.93);
  });
});
