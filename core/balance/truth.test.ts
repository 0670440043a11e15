import { practiceAmong, readPressure, swingsFound, tracesOf } from '.';
import { written, type Scene, type TrueSwing } from '../test/matSwings';

/** Recordings by somebody else's hand: forces as a plate shows them, feet that land, clocks that round. */
const SEEDS = Array.from({ length: 20 }, (_, seed) => 1000 + seed);
const THREE: readonly Scene[] = ['stands', 'swing', 'swing', 'swing', 'stands'];
const STEADY = { rate: 100, roundedTo: 0 };

function told(seed: number, scenes: readonly Scene[], options: Parameters<typeof written>[2]) {
  const { rows, swings } = written(seed, scenes, options);
  const read = readPressure(rows, 'right');
  if ('faults' in read) throw new Error(JSON.stringify(read.faults[0]));
  const { swings: found, leftOut } = swingsFound(read.recording);
  const of = (swing: TrueSwing) => found.find(({ impact }) => Math.abs(impact - swing.impact) < 400);
  return {
    recording: read.recording,
    swings,
    found,
    leftOut,
    pairs: swings.map((swing) => [swing, of(swing)] as const),
  };
}

const share = (values: readonly boolean[]): number => values.filter(Boolean).length / values.length;

describe.each([
  ['60 Hz in whole ms', THREE, { rate: 60, roundedTo: 1 }],
  ['120 Hz in whole ms', THREE, { rate: 120, roundedTo: 1 }],
  ['soft swings between waggles', ['stands', 'soft', 'waggles', 'soft', 'soft', 'stands'], STEADY],
  ['nobody on it for half of the time', ['steps off', 'steps in', 'swing', 'steps off', 'steps off'], STEADY],
] as const)('%s', (_name, scenes, options) => {
  const all = SEEDS.map((seed) => told(seed, scenes, options));
  const pairs = all.flatMap((each) => each.pairs);

  test('nearly every swing is found, and no other', () => {
    expect(share(pairs.map(([, found]) => found !== undefined))).toBeGreaterThanOrEqual(0.95);
    for (const { found, swings } of all) expect(found.length).toBeLessThanOrEqual(swings.length);
  });

  test('its strike is told within 20 ms and its top within 50, nearly always', () => {
    const found = pairs.flatMap(([swing, times]) => (times ? [[swing, times] as const] : []));
    const strikes = found.map(([swing, { impact }]) => Math.abs(impact - swing.impact) <= 20);
    const tops = found.map(([swing, { top }]) => Math.abs(top - swing.top) <= 50);
    expect(share(strikes)).toBeGreaterThanOrEqual(0.95);
    expect(share(tops)).toBeGreaterThanOrEqual(0.88);
  });
});

test('feet that step in, and a club that waggles, are no swing', () => {
  const found = SEEDS.flatMap(
    (seed) => told(seed, ['steps in', 'stands', 'waggles', 'steps off', 'steps in', 'waggles'], STEADY).found,
  );
  expect(found.length).toBeLessThanOrEqual(1);
});

test('a practice swing is asked about, a swing with a ball is not', () => {
  const asked = SEEDS.flatMap((seed) => {
    const { recording, found, pairs } = told(
      seed,
      ['stands', 'practice', 'swing', 'practice', 'swing'],
      STEADY,
    );
    const places = practiceAmong(tracesOf(recording, found));
    return pairs.flatMap(([swing, times]) =>
      times ? [[swing.kind, places.includes(found.indexOf(times))] as const] : [],
    );
  });
  const of = (kind: string) => share(asked.flatMap(([each, is]) => (each === kind ? [is] : [])));
  expect(of('practice')).toBeGreaterThanOrEqual(0.85);
  expect(of('swing')).toBeLessThanOrEqual(0.05);
});

test('a swing whose strike lies in a gap is left out; those that are told are told as well as without gaps', () => {
  const gaps = { count: 3, ms: 110, near: 'strike' } as const;
  for (const seed of SEEDS) {
    const { found, leftOut, swings } = told(seed, THREE, { ...STEADY, gaps });
    expect([found.length, leftOut]).toEqual([0, swings.length]);
  }
  const some = SEEDS.flatMap(
    (seed) => told(seed, THREE, { ...STEADY, gaps: { count: 12, ms: 110, near: 'anywhere' } }).pairs,
  );
  const off = some.flatMap(([swing, times]) => (times ? [Math.abs(times.impact - swing.impact) <= 25] : []));
  expect(off.length).toBeGreaterThan(15);
  expect(share(off)).toBeGreaterThanOrEqual(0.95);
});
