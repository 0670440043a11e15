import fc from 'fast-check';
import { seeded, type Point } from '..';
import { Degenerate } from './degenerate';
import { fitHomography, inverted, projected } from './homography';
import { elevationOver, focalFrom35mm, groundPoint, pointAt, poseFrom, seenAt, sharpnessAt } from './pose';
import { carried } from './uncertainty';

/** ISO 216: A4 is 210 × 297 mm. */
const A4: Point[] = [
  { x: 0, y: 0 },
  { x: 210, y: 0 },
  { x: 210, y: 297 },
  { x: 0, y: 297 },
];
const CAMERA = { centre: { x: 2016, y: 1512 }, focal: 3029 };

/** A pinhole camera with equations of its own: at a place, looking at a point of the ground, its top up. */
function cameraAt(place: [number, number, number], at: Point) {
  const away = [at.x - place[0], at.y - place[1], -place[2]];
  const norm = (v: number[]) => v.map((value) => value / Math.hypot(...v));
  const crossed = (a: number[], b: number[]) => [
    a[1]! * b[2]! - a[2]! * b[1]!,
    a[2]! * b[0]! - a[0]! * b[2]!,
    a[0]! * b[1]! - a[1]! * b[0]!,
  ];
  const forward = norm(away);
  const right = norm(crossed(forward, [0, 0, 1]));
  const down = crossed(forward, right);
  return (point: Point, height = 0): Point => {
    const from = [point.x - place[0], point.y - place[1], height - place[2]];
    const along = (axis: number[]) => axis.reduce((sum, value, k) => sum + value * from[k]!, 0);
    const depth = along(forward);
    return {
      x: CAMERA.centre.x + (CAMERA.focal * along(right)) / depth,
      y: CAMERA.centre.y + (CAMERA.focal * along(down)) / depth,
    };
  };
}

const anyCamera = fc
  .record({
    turn: fc.double({ min: 0, max: 2 * Math.PI, noNaN: true }),
    elevation: fc.double({ min: 25, max: 88, noNaN: true }),
    far: fc.double({ min: 900, max: 2500, noNaN: true }),
  })
  .map(({ turn, elevation, far }) => {
    const [flat, height] = [
      far * Math.cos((elevation * Math.PI) / 180),
      far * Math.sin((elevation * Math.PI) / 180),
    ];
    const place: [number, number, number] = [
      100 + flat * Math.cos(turn),
      150 + flat * Math.sin(turn),
      height,
    ];
    return { place, elevation, see: cameraAt(place, { x: 100, y: 150 }) };
  });

describe('homography', () => {
  test('from exact projections of a sheet, every point of the ground is where it is', () => {
    fc.assert(
      fc.property(anyCamera, fc.double({ min: -500, max: 500, noNaN: true }), ({ see }, off) => {
        const homography = fitHomography(
          A4,
          A4.map((corner) => see(corner)),
        );
        const point = { x: off, y: off / 2 };
        const found = groundPoint(homography, see(point));
        expect(Math.hypot(found.x - point.x, found.y - point.y)).toBeLessThan(1e-4);
      }),
    );
  });

  test('there and back is where it began', () => {
    const homography = fitHomography(
      A4,
      A4.map((corner) => cameraAt([400, -900, 1200], { x: 100, y: 150 })(corner)),
    );
    const back = projected(inverted(homography), projected(homography, { x: 33, y: 44 }));
    expect([back.x, back.y]).toEqual([expect.closeTo(33, 6), expect.closeTo(44, 6)]);
  });

  test('of many noisy points it is nearer the truth than of four', () => {
    const see = cameraAt([300, -1200, 1300], { x: 100, y: 150 });
    const next = seeded(7);
    const noisy = ({ x, y }: Point): Point => ({ x: x + 2 * (next() - 0.5), y: y + 2 * (next() - 0.5) });
    const grid = Array.from({ length: 48 }, (_, at) => ({ x: (at % 6) * 42, y: Math.floor(at / 6) * 42 }));
    const far = { x: 500, y: 0 };
    const off = (points: Point[]) => {
      const homography = fitHomography(
        points,
        points.map((point) => noisy(see(point))),
      );
      const found = groundPoint(homography, see(far));
      return Math.hypot(found.x - far.x, found.y - far.y);
    };
    const tries = Array.from({ length: 40 }, () => [off(A4), off(grid)] as const);
    const mean = (values: number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;
    expect(mean(tries.map(([, many]) => many))).toBeLessThan(0.6 * mean(tries.map(([four]) => four)));
  });

  test.each([
    ['too few', A4.slice(0, 3)],
    ['on one line', [0, 1, 2, 3].map((at) => ({ x: at * 100, y: at * 50 }))],
    ['all the same', [A4[0]!, A4[0]!, A4[0]!, A4[0]!]],
  ])('points %s fix nothing', (_name, points) => {
    const see = cameraAt([300, -1200, 1300], { x: 100, y: 150 });
    expect(() =>
      fitHomography(
        points,
        points.map((point) => see(point)),
      ),
    ).toThrow(Degenerate);
  });
});

describe('the camera’s pose', () => {
  test('is where the camera stood, and a tip above the ground is placed at its own height', () => {
    fc.assert(
      fc.property(
        anyCamera,
        fc.double({ min: 0, max: 25, noNaN: true }),
        ({ place, elevation, see }, height) => {
          const homography = fitHomography(
            A4,
            A4.map((corner) => see(corner)),
          );
          const pose = poseFrom(homography, CAMERA);
          pose.place.forEach((value, at) => expect(Math.abs(value - place[at]!)).toBeLessThan(0.05));
          expect(elevationOver(pose, { x: 100, y: 150 })).toBeCloseTo(elevation, 2);
          const toe = { x: 320, y: 210 };
          const found = pointAt(pose, see(toe, height), height);
          expect(Math.hypot(found.x - toe.x, found.y - toe.y)).toBeLessThan(0.05);
          const seen = seenAt(pose, toe, height);
          expect(Math.hypot(seen.x - see(toe, height).x, seen.y - see(toe, height).y)).toBeLessThan(0.05);
        },
      ),
    );
  });

  test('a tip 15 mm up, taken to lie on the ground, is off by 15 mm over the tangent of the elevation', () => {
    const see = cameraAt([100, -1000, 1000], { x: 100, y: 0 });
    const homography = fitHomography(
      A4,
      A4.map((corner) => see(corner)),
    );
    const found = groundPoint(homography, see({ x: 100, y: 0 }, 15));
    // By plane geometry: the ray through a point 15 mm up meets the ground 15/985 of the way further.
    expect(found.y).toBeCloseTo((1000 * 15) / (1000 - 15), 3);
  });

  test('the focal length follows the diagonal', () => {
    expect(focalFrom35mm(Math.hypot(36, 24), 4000, 3000)).toBeCloseTo(5000, 6);
  });

  test('from straight above a millimetre is as many pixels as the focal length over the height', () => {
    const see = cameraAt([100, 149.99, 1500], { x: 100, y: 150 });
    const homography = fitHomography(
      A4,
      A4.map((corner) => see(corner)),
    );
    expect(sharpnessAt(poseFrom(homography, CAMERA), CAMERA, { x: 100, y: 150 })).toBeCloseTo(
      CAMERA.focal / 1500,
      2,
    );
  });
});

describe('what is carried through', () => {
  test('a sum and a product, as the Guide to the expression of uncertainty has them', () => {
    const [sum, product] = carried(([a, b]) => [a! + b!, a! * b!], [3, 4], [0.3, 0.4]);
    expect(sum).toEqual({ value: 7, uncertainty: expect.closeTo(0.5, 8) });
    expect(product!.uncertainty).toBeCloseTo(Math.hypot(4 * 0.3, 3 * 0.4), 6);
  });

  test('taps of two pixels: what is told holds the truth as often as it says', () => {
    const see = cameraAt([160, -1100, 1150], { x: 100, y: 150 });
    const homography = fitHomography(
      A4,
      A4.map((corner) => see(corner)),
    );
    const toe = { x: 350, y: 220 };
    const next = seeded(11);
    const normal = () => Math.sqrt(-2 * Math.log(1 - next())) * Math.cos(2 * Math.PI * next());
    let inside = 0;
    const tries = 1000;
    for (let at = 0; at < tries; at += 1) {
      const { x, y } = see(toe);
      const [across] = carried(
        ([u, v]) => [groundPoint(homography, { x: u!, y: v! }).x],
        [x + 2 * normal(), y + 2 * normal()],
        [2, 2],
      );
      if (Math.abs(across!.value - toe.x) <= 1.96 * across!.uncertainty) inside += 1;
    }
    expect(inside / tries).toBeGreaterThan(0.93);
    expect(inside / tries).toBeLessThan(0.97);
  });
});
