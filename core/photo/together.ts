import { inverse, Matrix } from 'ml-matrix';
import type { Point } from '../setup';
import { factorOf } from './edges';
import { fitHomography, inverted, projected, type Homography } from './homography';

/** A flat thing of known size as it is seen: its corners on its own ground, in the picture, and how sure those are. */
export interface SeenFlat {
  /** mm */
  ground: readonly Point[];
  /** pixels */
  image: readonly Point[];
  /** A factor of the covariance of where the corners are seen, as `cornerSpread` has it. */
  spread: readonly (readonly number[])[];
}

/** Where a flat thing lies on the ground of the first: shifted, mm, and turned, radians. */
type Lying = readonly [x: number, y: number, turn: number];

const laid = ({ x, y }: Point, [dx, dy, turn]: Lying): Point => ({
  x: dx + x * Math.cos(turn) - y * Math.sin(turn),
  y: dy + x * Math.sin(turn) + y * Math.cos(turn),
});

const middleOf = (points: readonly Point[]): Point => ({
  x: points.reduce((sum, { x }) => sum + x, 0) / points.length,
  y: points.reduce((sum, { y }) => sum + y, 0) / points.length,
});

/** The turn and shift that bring points nearest to others (Arun, Huang & Blostein 1987, in the plane, from memory). */
function lyingOf(from: readonly Point[], to: readonly Point[]): Lying {
  const [a, b] = [middleOf(from), middleOf(to)];
  let [along, across] = [0, 0];
  from.forEach((point, at) => {
    const [px, py, qx, qy] = [point.x - a.x, point.y - a.y, to[at]!.x - b.x, to[at]!.y - b.y];
    along += px * qx + py * qy;
    across += px * qy - py * qx;
  });
  const turn = Math.atan2(across, along);
  const moved = laid(a, [0, 0, turn]);
  return [b.x - moved.x, b.y - moved.y, turn];
}

const numbersOf = (points: readonly Point[]): number[] => points.flatMap(({ x, y }) => [x, y]);
const H_SIZE = 8;
const ROUNDS = 6;
/** Steps of the unknowns for their slopes: shares of the homography's numbers, mm and radians. */
const STEP = 1e-6;

/** The homography's eight numbers, with where each thing but the first lies. */
interface Unknowns {
  homography: Homography;
  lying: readonly Lying[];
}

const asNumbers = ({ homography, lying }: Unknowns): number[] => [
  ...homography.slice(0, H_SIZE),
  ...lying.flat(),
];
const fromNumbers = (numbers: readonly number[]): Unknowns => ({
  homography: [...numbers.slice(0, H_SIZE), 1],
  lying: Array.from({ length: (numbers.length - H_SIZE) / 3 }, (_, at) => {
    const [x, y, turn] = numbers.slice(H_SIZE + 3 * at, H_SIZE + 3 * at + 3);
    return [x!, y!, turn!];
  }),
});

/** Where the corners of every thing would be seen. */
const seen = ({ homography, lying }: Unknowns, flats: readonly SeenFlat[]): number[] =>
  flats.flatMap(({ ground }, at) =>
    numbersOf(
      ground.map((corner) => projected(homography, at === 0 ? corner : laid(corner, lying[at - 1]!))),
    ),
  );

/** A block-diagonal matrix of the inverses of the covariances. */
function weightsOf(flats: readonly SeenFlat[]): Matrix {
  const size = flats.reduce((sum, { image }) => sum + 2 * image.length, 0);
  const weights = Matrix.zeros(size, size);
  let from = 0;
  for (const { spread } of flats) {
    const factor = new Matrix(spread.map((row) => [...row]));
    weights.setSubMatrix(inverse(factor.mmul(factor.transpose())), from, from);
    from += spread.length;
  }
  return weights;
}

function slopesOf(numbers: readonly number[], flats: readonly SeenFlat[]): Matrix {
  const columns = numbers.map((value, at) => {
    const step = STEP * Math.max(at < H_SIZE ? Math.abs(value) : 1, 1e-6);
    const of = (by: number) =>
      seen(fromNumbers(numbers.map((each, place) => (place === at ? value + by : each))), flats);
    const [less, more] = [of(-step), of(step)];
    return more.map((each, row) => (each - less[row]!) / (2 * step));
  });
  return new Matrix(columns).transpose();
}

/**
 * Several flat things on one ground, seen together: the first one's corners surer for the others, wherever those lie
 * (weighted least squares by Gauss and Newton; the weights are the inverses of the covariances).
 * @param flats one or more; the first one's ground is the one that is kept
 * @returns the first one's corners as all of them have them, with their spread
 */
export function seenTogether(flats: readonly SeenFlat[]): SeenFlat {
  const [first, ...others] = flats as [SeenFlat, ...SeenFlat[]];
  if (others.length === 0) return first;
  const alone = fitHomography(first.ground, first.image);
  const back = inverted(alone);
  const lying = others.map(({ ground, image }) =>
    lyingOf(
      ground,
      image.map((corner) => projected(back, corner)),
    ),
  );
  let numbers = asNumbers({ homography: alone, lying });
  const weights = weightsOf(flats);
  const found = flats.flatMap(({ image }) => numbersOf(image));
  let covariance = Matrix.eye(numbers.length);
  for (let round = 0; round < ROUNDS; round += 1) {
    const slopes = slopesOf(numbers, flats);
    const off = seen(fromNumbers(numbers), flats).map((value, at) => found[at]! - value);
    const weighted = slopes.transpose().mmul(weights);
    covariance = inverse(weighted.mmul(slopes));
    const step = covariance.mmul(weighted).mmul(Matrix.columnVector(off)).to1DArray();
    numbers = numbers.map((value, at) => value + step[at]!);
  }
  const { homography } = fromNumbers(numbers);
  const toCorners = slopesOf(numbers, [first]);
  return {
    ground: first.ground,
    image: first.ground.map((corner) => projected(homography, corner)),
    spread: factorOf(toCorners.mmul(covariance).mmul(toCorners.transpose())),
  };
}
