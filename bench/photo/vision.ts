/** The time of a homography beside a general vision library's (OpenCV, findHomography, method 0), on the same points. */
import { fitHomography, groundPoint, projected } from '@pedastance/core/photo';
import { seeded } from '@pedastance/core/statistics';
import cvModule from '@techstark/opencv-js';

interface Matrix {
  data64F: Float64Array;
  delete(): void;
}
interface Vision {
  matFromArray(rows: number, columns: number, type: number, values: number[]): Matrix;
  CV_64FC2: number;
  findHomography(from: Matrix, to: Matrix, method: number): Matrix;
}

const TIMES = 4000;

function compare(vision: Vision, across: number, down: number) {
  const random = seeded(across * down);
  const homography = [1.4, 0.2, 900, -0.2, 1.3, 700, 1e-4, 5e-4, 1];
  const ground = Array.from({ length: across * down }, (_, at) => ({
    x: ((at % across) * 210) / (across - 1),
    y: (Math.floor(at / across) * 297) / (down - 1),
  }));
  const image = ground.map((point) => {
    const { x, y } = projected(homography, point);
    return { x: x + random() - 0.5, y: y + random() - 0.5 };
  });
  const flat = (points: typeof ground) => points.flatMap(({ x, y }) => [x, y]);
  const theirs = (): number[] => {
    const from = vision.matFromArray(ground.length, 1, vision.CV_64FC2, flat(ground));
    const to = vision.matFromArray(image.length, 1, vision.CV_64FC2, flat(image));
    const found = vision.findHomography(from, to, 0);
    const numbers = Array.from(found.data64F);
    for (const each of [from, to, found]) each.delete();
    return numbers;
  };
  const ours = () => fitHomography(ground, image);
  const timed = (work: () => unknown): number => {
    for (let at = 0; at < 200; at += 1) work();
    const began = performance.now();
    for (let at = 0; at < TIMES; at += 1) work();
    return ((performance.now() - began) / TIMES) * 1000;
  };
  const seen = projected(ours(), { x: -300, y: 450 });
  const [a, b] = [groundPoint(ours(), seen), groundPoint(theirs(), seen)];
  return {
    points: ground.length,
    apartMm: Math.hypot(a.x - b.x, a.y - b.y),
    oursUs: timed(ours),
    theirsUs: timed(theirs),
  };
}

(cvModule as unknown as { then(done: (vision: Vision) => void): void }).then((vision) => {
  console.log(
    JSON.stringify(
      [
        [2, 2],
        [6, 8],
      ].map(([across, down]) => compare(vision, across!, down!)),
    ),
  );
  process.exit(0);
});
