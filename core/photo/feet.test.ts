import { seeded } from '..';
import { KNOWN, scene, TRUTH, type Scene } from '../test/feetPhoto';
import { USUAL_DOUBTS, USUAL_HEIGHTS } from './feet';
import { measureFeet } from './measureFeet';

/** Errors of many photos of one kind, and how often what is told holds the truth. */
function tried(kind: Scene, seed: number, times = 100) {
  const random = seeded(seed);
  const widths: number[] = [];
  const flares: number[] = [];
  let [inside, all] = [0, 0];
  for (let at = 0; at < times; at += 1) {
    const { figures } = measureFeet(scene(kind, random), USUAL_HEIGHTS, {
      ...USUAL_DOUBTS,
      known: KNOWN,
      line: 0,
    });
    const off = (told: { value: number; uncertainty: number }, truth: number) => {
      all += 1;
      if (Math.abs(told.value - truth) <= 1.96 * told.uncertainty) inside += 1;
      return Math.abs(told.value - truth);
    };
    widths.push(off(figures.stanceWidth, TRUTH.width));
    flares.push(off(figures.leadFlare, TRUTH.leadFlare), off(figures.trailFlare, TRUTH.trailFlare));
    off(figures.setback, TRUTH.setback);
    off(figures.ballAlong, TRUTH.ballAlong);
  }
  const p95 = (values: number[]) => values.sort((a, b) => a - b)[Math.floor(0.95 * values.length)]!;
  return { width: p95(widths), flare: p95(flares), held: inside / all };
}

const FRONT: Scene = { elevation: 60, around: 0, left: false, heel: 'seen' };

describe('feet from a photo', () => {
  test('with nothing in doubt, every figure is the truth, for either hand, from either end', () => {
    const calm = () => 0; // A draw of zero is no noise at all.
    for (const left of [false, true])
      for (const around of [0, 35, 180]) {
        const { figures, address } = measureFeet(scene({ ...FRONT, around, left }, calm));
        expect(figures.stanceWidth.value).toBeCloseTo(TRUTH.width, 1);
        expect(figures.leadFlare.value).toBeCloseTo(TRUTH.leadFlare, 1);
        expect(figures.trailFlare.value).toBeCloseTo(TRUTH.trailFlare, 1);
        expect(figures.setback.value).toBeCloseTo(TRUTH.setback, 1);
        expect(figures.ballAlong.value).toBeCloseTo(TRUTH.ballAlong, 1);
        expect(address.lead.heel.x).toBeGreaterThan(address.trail.heel.x);
      }
  });

  test.each([
    ['in front, at 35°', { ...FRONT, elevation: 35 }, 6, 2],
    ['in front, at 50°, left-handed', { ...FRONT, elevation: 50, left: true }, 6, 2],
    ['behind, at 45°', { ...FRONT, elevation: 45, around: 180 }, 6, 2],
    ['from above, beside', { ...FRONT, elevation: 70, around: 90 }, 10, 2],
  ] as const)('%s: taps of 2 px, tips known to 5 mm', (_name, kind, width, flare) => {
    const found = tried(kind, 3);
    expect(found.width).toBeLessThan(width);
    expect(found.flare).toBeLessThan(flare);
    expect(found.held).toBeGreaterThan(0.92);
    expect(found.held).toBeLessThan(0.98);
  });

  test('a hidden heel is found by the shoe’s length and its inner edge, with a larger doubt that still holds', () => {
    const hidden = tried({ ...FRONT, elevation: 50, heel: 'hidden' }, 5);
    expect(hidden.held).toBeGreaterThan(0.93);
    const random = seeded(9);
    const [seen, edge] = (['seen', 'hidden'] as const).map(
      (heel) => measureFeet(scene({ ...FRONT, elevation: 50, heel }, random)).figures.trailFlare.uncertainty,
    );
    expect(edge!).toBeGreaterThan(0);
    expect(seen!).toBeGreaterThan(0);
  });

  test('a low camera doubts more than a high one: heights are then most of it', () => {
    const doubt = (elevation: number) =>
      measureFeet(scene({ ...FRONT, elevation }, () => 0)).figures.setback.uncertainty;
    expect(doubt(25)).toBeGreaterThan(1.7 * doubt(75));
  });
});
