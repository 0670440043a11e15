import cvModule from '@techstark/opencv-js';
import { seeded, type Point } from '..';
import { fitHomography, projected } from './homography';
import { groundPoint } from './pose';

/** OpenCV 4 (findHomography, method 0: normalised direct linear transform, then Levenberg and Marquardt). */
interface Vision {
  Mat: unknown;
  matFromArray(rows: number, columns: number, type: number, values: number[]): { delete(): void };
  CV_64FC2: number;
  findHomography(from: unknown, to: unknown, method: number): { data64F: Float64Array; delete(): void };
}

let vision: Vision;
// The module hands itself on and is a thenable itself: waiting for it would never end.
beforeAll(
  () =>
    new Promise<void>((ready) => {
      (cvModule as unknown as { then(done: (loaded: Vision) => void): void }).then((loaded) => {
        vision = loaded;
        ready();
      });
    }),
  60_000,
);

const flat = (points: readonly Point[]): number[] => points.flatMap(({ x, y }) => [x, y]);

function byVision(ground: readonly Point[], image: readonly Point[]): number[] {
  const [from, to] = [ground, image].map((points) =>
    vision.matFromArray(points.length, 1, vision.CV_64FC2, flat(points)),
  ) as [{ delete(): void }, { delete(): void }];
  const found = vision.findHomography(from, to, 0);
  const numbers = Array.from(found.data64F);
  for (const each of [from, to, found]) each.delete();
  return numbers;
}

/** A sheet's grid of points as a camera above it sees it, with some noise. */
function seenGrid(seed: number, noise: number, across: number, down: number) {
  const random = seeded(seed);
  const homography = [
    1.4 + random(),
    0.3 * random(),
    900,
    -0.2,
    1.1 + random(),
    700,
    2e-4 * random(),
    5e-4,
    1,
  ];
  const ground = Array.from({ length: across * down }, (_, at) => ({
    x: ((at % across) * 210) / (across - 1),
    y: (Math.floor(at / across) * 297) / (down - 1),
  }));
  const image = ground.map((point) => {
    const { x, y } = projected(homography, point);
    return { x: x + noise * (random() - 0.5), y: y + noise * (random() - 0.5) };
  });
  return { ground, image };
}

test.each([
  ['a sheet’s corners', 2, 2],
  ['a grid', 6, 8],
  ['a code’s many places', 14, 14],
])('%s: the same ground as a general vision library finds, to 0.01 mm', (_name, across, down) => {
  for (let seed = 1; seed <= 25; seed += 1) {
    const { ground, image } = seenGrid(seed, 2, across, down);
    const [ours, theirs] = [fitHomography(ground, image), byVision(ground, image)];
    for (const far of [
      { x: -250, y: 100 },
      { x: 460, y: 380 },
    ]) {
      const seen = projected(ours, far);
      const [a, b] = [groundPoint(ours, seen), groundPoint(theirs, seen)];
      expect(Math.hypot(a.x - b.x, a.y - b.y)).toBeLessThan(0.01);
    }
  }
});
