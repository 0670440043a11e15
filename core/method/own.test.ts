import { agreedFigures, heldSince, NO_OWN_BANDS, ownBands, setupAsTaken, taughtFigure, withAgreed } from '..';
import { bands, taught } from '../test/taught';

const stand = (figures: Parameters<typeof setupAsTaken>[1]) =>
  setupAsTaken({ ...taught(), measured: {} }, figures, 'tape');
const BEFORE = stand({ stanceWidth: 350, leadFlare: 15, trailFlare: 5, setback: 0 });
const AFTER = stand({ stanceWidth: 350, leadFlare: 15, trailFlare: 25, setback: 70 });

test('what a change moved was agreed on, each figure with its way, and nothing that it left alone', () => {
  const agreed = agreedFigures(BEFORE, AFTER, { from: 0, to: 25 }, true);
  expect(agreed.map(({ item, by, today }) => [item, by, today])).toEqual([
    ['trailFlare', 'more', true],
    ['stanceLine', 'more', true],
    ['leadHeelLift', 'more', true],
  ]);
  expect(agreed[0]!.to).toBeCloseTo(25, 6);
  // A trail toe 70 mm back is agreed as the line that it makes.
  expect(agreed[1]!.to).toBeGreaterThan(6);
});

test('what was agreed is the band from then on, and its middle what is aimed at; the method’s own middle stays', () => {
  const own = withAgreed(bands(), [{ item: 'trailFlare', by: 'more', to: 25, today: false }]).figures
    .trailFlare!;
  expect(own.middle).toBe(15);
  expect(taughtFigure(own)).toBe(25);
  expect(own.own).toBe(true);
});

test('the newest word on a figure holds, and a tested band stands before what was agreed', () => {
  const twice = [20, 30].map((to) => ({
    item: 'trailFlare' as const,
    by: 'more' as const,
    to,
    today: false,
  }));
  expect(taughtFigure(withAgreed(bands(), twice).figures.trailFlare!)).toBe(30);
  const tested = { item: 'trailFlare' as const, low: 22, high: 28 };
  expect(ownBands(bands(), { agreed: twice, exceptions: [tested] }).figures.trailFlare).toMatchObject({
    low: 22,
    high: 28,
  });
  const taughtBands = bands();
  expect(ownBands(taughtBands, NO_OWN_BANDS)).toBe(taughtBands);
});

test.each([
  ['trailFlare', 25],
  ['stanceWidth', 350],
  ['ballAlong', 60],
] as const)(
  'nothing of the %s that held is out of its own band, and nothing that drifted is in it',
  (figure, at) => {
    const agreed = stand({ [figure]: at });
    const { low, high } = withAgreed(bands(), [{ item: figure, by: 'more', to: at, today: false }]).figures[
      figure
    ]!;
    for (let off = -40; off <= 40; off += 1.25) {
      const [held] = heldSince(agreed, stand({ [figure]: at + off }), [figure]);
      expect([at + off, held!.verdict]).toEqual([
        at + off,
        at + off >= low && at + off <= high ? 'held' : 'drifted',
      ]);
    }
  },
);
