import { seeded, type Point } from '..';
import { fitHomography, groundPoint, projected } from '.';
import { seenTogether, type SeenFlat } from './together';

const A4: Point[] = [
  { x: 0, y: 0 },
  { x: 210, y: 0 },
  { x: 210, y: -297 },
  { x: 0, y: -297 },
];
/** A camera at chest height: sheet mm to pixels. */
const TRUE = [1.2, 0.06, 900, -0.05, -0.8, 600, 2e-5, -2.5e-4, 1];
const FAR = { x: -400, y: -250 };

function flatSeen(
  lying: { x: number; y: number; turn: number },
  noise: number,
  random: () => number,
): SeenFlat {
  const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
  const image = A4.map(({ x, y }) => {
    const [cosine, sine] = [Math.cos(lying.turn), Math.sin(lying.turn)];
    const seen = projected(TRUE, { x: lying.x + x * cosine - y * sine, y: lying.y + x * sine + y * cosine });
    return { x: seen.x + noise * normal(), y: seen.y + noise * normal() };
  });
  const spread = Array.from({ length: 8 }, (_, row) =>
    Array.from({ length: 8 }, (_each, at) => (row === at ? Math.max(noise, 1e-3) : 0)),
  );
  return { ground: A4, image, spread };
}

const FIRST = { x: 0, y: 0, turn: 0 };
const SECOND = { x: -620, y: -120, turn: 0.4 };

test('one alone is itself; two without noise are the camera’s', () => {
  const random = seeded(1);
  const [one, two] = [flatSeen(FIRST, 0, random), flatSeen(SECOND, 0, random)];
  expect(seenTogether([one])).toBe(one);
  seenTogether([one, two]).image.forEach((corner, at) => {
    expect(corner.x).toBeCloseTo(one.image[at]!.x, 4);
    expect(corner.y).toBeCloseTo(one.image[at]!.y, 4);
  });
});

test('two tell what lies beyond them far better than one, and say how sure they are', () => {
  const random = seeded(8);
  const off = (flat: SeenFlat) => {
    const found = groundPoint(fitHomography(flat.ground, flat.image), projected(TRUE, FAR));
    return Math.hypot(found.x - FAR.x, found.y - FAR.y);
  };
  let [alone, together, inside, told] = [0, 0, 0, 0];
  for (let time = 0; time < 200; time += 1) {
    const [one, two] = [flatSeen(FIRST, 0.4, random), flatSeen(SECOND, 0.4, random)];
    const both = seenTogether([one, two]);
    alone += off(one);
    together += off(both);
    both.image.forEach((corner, at) => {
      const truth = projected(TRUE, A4[at]!);
      const deviation = Math.hypot(...both.spread[2 * at]!);
      told += 1;
      if (Math.abs(corner.x - truth.x) <= 1.96 * deviation) inside += 1;
    });
  }
  expect(together).toBeLessThan(0.5 * alone);
  expect(inside / told).toBeGreaterThan(0.93);
  expect(inside / told).toBeLessThan(0.97);
});
