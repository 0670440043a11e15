import { innerReach, seeded, type Point } from '..';
import { measureFeet, USUAL_DOUBTS, USUAL_HEIGHTS, type FeetPhoto, type TappedShoe } from './feet';

const SHOE = { length: 290, breadth: 105 };
const A4: Point[] = [
  { x: 0, y: 0 },
  { x: 210, y: 0 },
  { x: 210, y: 297 },
  { x: 0, y: 297 },
];
const CAMERA = { centre: { x: 2016, y: 1512 }, focal: 3029 };
/** A printed code's edges, pixels. */
const KNOWN = 0.15;
const TRUTH = { width: 420, leadFlare: 22, trailFlare: 8, setback: 40, ballAlong: 60 };

interface Scene {
  /** Of the camera above the feet, degrees. */
  elevation: number;
  /** Where it stands around the feet: 0 in front of the student, 90 beside, degrees. */
  around: number;
  left: boolean;
  heel: 'seen' | 'hidden';
}

const rad = (degrees: number) => (degrees * Math.PI) / 180;

/** Feet drawn with plain trigonometry, the sheet between them, seen by a pinhole camera of this test's own. */
function scene({ elevation, around, left, heel }: Scene, random: () => number) {
  const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
  // The ground as it lies: x to the target for a left-hander, away from it for a right-hander; y toward the ball.
  const side = left ? 1 : -1;
  const at = (x: number, y: number): Point => ({ x: side * x, y });
  const foot = (heelX: number, flare: number, sign: number, toeY: number) => {
    const toe = { x: heelX + sign * SHOE.length * Math.sin(rad(flare)), y: toeY };
    return { toe, heel: { x: heelX, y: toeY - SHOE.length * Math.cos(rad(flare)) } };
  };
  const toes = -280;
  const lead = foot(TRUTH.ballAlong, TRUTH.leadFlare, 1, toes);
  const trail = foot(TRUTH.ballAlong - TRUTH.width, TRUTH.trailFlare, -1, toes - TRUTH.setback);
  const middle = at(TRUTH.ballAlong - TRUTH.width / 2, toes - 80);
  const far = 1600;
  const [flat, height] = [far * Math.cos(rad(elevation)), far * Math.sin(rad(elevation))];
  const place = [middle.x + flat * Math.sin(rad(around)), middle.y + flat * Math.cos(rad(around)), height];
  const norm = (v: number[]) => v.map((value) => value / Math.hypot(...v));
  const cross = (a: number[], b: number[]) => [
    a[1]! * b[2]! - a[2]! * b[1]!,
    a[2]! * b[0]! - a[0]! * b[2]!,
    a[0]! * b[1]! - a[1]! * b[0]!,
  ];
  const forward = norm([middle.x - place[0]!, middle.y - place[1]!, -height]);
  const right = norm(cross(forward, [0, 0, 1]));
  const down = cross(forward, right);
  const see = (point: Point, up: number, noise: number): Point => {
    const from = [point.x - place[0]!, point.y - place[1]!, up - height];
    const along = (axis: number[]) => axis.reduce((sum, value, k) => sum + value * from[k]!, 0);
    return {
      x: CAMERA.centre.x + (CAMERA.focal * along(right)) / along(forward) + noise * normal(),
      y: CAMERA.centre.y + (CAMERA.focal * along(down)) / along(forward) + noise * normal(),
    };
  };
  // A pair of shoes is alike; what is left is the grass.
  const [toesUp, heelsUp] = [15 + 5 * normal(), 10 + 5 * normal()];
  const tapped = ({ toe, heel: back }: typeof lead): TappedShoe => {
    const tip = see(at(toe.x, toe.y), toesUp + 2 * normal(), 2);
    if (heel === 'seen') return { toe: tip, heel: see(at(back.x, back.y), heelsUp + 2 * normal(), 2) };
    // The sole's inner edge, toward the other foot.
    const inward = toe.x > back.x ? -1 : 1;
    const edge = (share: number) => {
      const [along, across] = [(toe.x - back.x) / SHOE.length, (toe.y - back.y) / SHOE.length];
      const reach = inward * SHOE.breadth * innerReach(share);
      const [x, y] = [back.x + share * (toe.x - back.x), back.y + share * (toe.y - back.y)];
      return see(at(x + reach * across, y - reach * along), 6, 2);
    };
    return { toe: tip, edge: [edge(0.3), edge(0.8)] };
  };
  const sheet = A4.map(({ x, y }) => ({ x: middle.x - 105 + x, y: middle.y - 60 + y }));
  const photo: FeetPhoto = {
    camera: CAMERA,
    shoe: { ...SHOE, length: SHOE.length + 5 * normal() },
    known: { ground: A4, image: sheet.map((corner) => see(corner, 0, KNOWN)) },
    taps: {
      lead: tapped(lead),
      trail: tapped(trail),
      ball: see(at(0, 0), 21.3, 2),
      stick: [see(at(-700, 120), 0, 2), see(at(500, 120), 0, 2)],
    },
  };
  return photo;
}

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
