import { inverse, LuDecomposition, Matrix, SingularValueDecomposition, solve } from 'ml-matrix';
import type { Point } from '../setup';

/** A plane homography, ground mm to image pixels: nine numbers, row by row. */
export type Homography = readonly number[];

/** The points do not fix a homography: too few, or all but one on one line. */
export class Degenerate extends Error {
  constructor() {
    super('the points lie on one line, or are too few');
  }
}

/**
 * Where a homography takes a point.
 * @param homography nine numbers, row by row
 * @param point in the plane it maps from
 * @returns the point in the plane it maps to
 * @example projected([2, 0, 1, 0, 2, 0, 0, 0, 1], { x: 3, y: 4 }) // { x: 7, y: 8 }
 */
export function projected(homography: Homography, { x, y }: Point): Point {
  const [a, b, c, d, e, f, g, h, i] = homography as [
    number,
    number,
    number,
    number,
    number,
    number,
    number,
    number,
    number,
  ];
  const scale = g * x + h * y + i;
  return { x: (a * x + b * y + c) / scale, y: (d * x + e * y + f) / scale };
}

/**
 * The homography back.
 * @param homography ground to image
 * @returns image to ground
 * @throws Degenerate where there is none
 */
export function inverted(homography: Homography): Homography {
  const matrix = new Matrix([homography.slice(0, 3), homography.slice(3, 6), homography.slice(6, 9)]);
  try {
    return inverse(matrix).to1DArray();
  } catch {
    throw new Degenerate();
  }
}

/** Moves points to their middle and to a mean distance of √2 (Hartley 1997, In defense of the eight-point algorithm). */
function normalised(points: readonly Point[]): { moved: Point[]; transform: Matrix } {
  const [x, y] = [mean(points.map((point) => point.x)), mean(points.map((point) => point.y))];
  const spread = mean(points.map((point) => Math.hypot(point.x - x, point.y - y)));
  if (!(spread > 0)) throw new Degenerate();
  const scale = Math.SQRT2 / spread;
  return {
    moved: points.map((point) => ({ x: scale * (point.x - x), y: scale * (point.y - y) })),
    transform: new Matrix([
      [scale, 0, -scale * x],
      [0, scale, -scale * y],
      [0, 0, 1],
    ]),
  };
}

const mean = (values: readonly number[]): number =>
  values.reduce((sum, value) => sum + value, 0) / values.length;

/** The second smallest of the singular values, as a share of the largest, below which points fix nothing. */
const LEAST_RANK = 1e-7;
/** Of eight equations on normalised points, below which four points fix nothing. */
const LEAST_DETERMINANT = 1e-9;

/** Two equations a point in the nine numbers. */
const equations = (from: readonly Point[], to: readonly Point[]): number[][] =>
  from.flatMap(({ x, y }, at) => {
    const { x: u, y: v } = to[at]!;
    return [
      [-x, -y, -1, 0, 0, 0, u * x, u * y, u],
      [0, 0, 0, -x, -y, -1, v * x, v * y, v],
    ];
  });

/** Four points are met exactly: eight equations in eight numbers, the ninth being one. */
function exact(from: readonly Point[], to: readonly Point[]): number[] {
  const rows = equations(from, to);
  const system = new LuDecomposition(new Matrix(rows.map((row) => row.slice(0, 8))));
  if (Math.abs(system.determinant) < LEAST_DETERMINANT) throw new Degenerate();
  return [...system.solve(Matrix.columnVector(rows.map((row) => -row[8]!))).to1DArray(), 1];
}

/** The direct linear transform on normalised points. */
function direct(from: readonly Point[], to: readonly Point[]): number[] {
  const rows = equations(from, to);
  const { diagonal, rightSingularVectors } = new SingularValueDecomposition(new Matrix(rows), {
    autoTranspose: false,
  });
  if (diagonal[7]! < LEAST_RANK * diagonal[0]!) throw new Degenerate();
  return rightSingularVectors.getColumn(8);
}

const ROUNDS = 20;
const SETTLED = 1e-12;

/** Distances of projected points from where they were seen, and how each changes with eight of the nine numbers. */
function residuals(homography: readonly number[], from: readonly Point[], to: readonly Point[]) {
  const off: number[] = [];
  const slopes: number[][] = [];
  from.forEach(({ x, y }, at) => {
    const scale = homography[6]! * x + homography[7]! * y + homography[8]!;
    const { x: u, y: v } = projected(homography, { x, y });
    off.push(u - to[at]!.x, v - to[at]!.y);
    const [sx, sy, s1] = [x / scale, y / scale, 1 / scale];
    slopes.push([sx, sy, s1, 0, 0, 0, -u * sx, -u * sy], [0, 0, 0, sx, sy, s1, -v * sx, -v * sy]);
  });
  return { off, slopes };
}

const squares = (values: readonly number[]): number => values.reduce((sum, value) => sum + value * value, 0);

/** Least squares of the distances in the image, by Levenberg and Marquardt. */
function refined(start: readonly number[], from: readonly Point[], to: readonly Point[]): number[] {
  let best = start.map((value) => value / start[8]!);
  let { off, slopes } = residuals(best, from, to);
  let damping = 1e-3;
  for (let round = 0; round < ROUNDS; round += 1) {
    const jacobian = new Matrix(slopes);
    const normal = jacobian.transpose().mmul(jacobian);
    for (let at = 0; at < 8; at += 1) normal.set(at, at, normal.get(at, at) * (1 + damping) + 1e-15);
    const step = solve(normal, jacobian.transpose().mmul(Matrix.columnVector(off))).to1DArray();
    const tried = [...best.slice(0, 8).map((value, at) => value - step[at]!), 1];
    const next = residuals(tried, from, to);
    const [was, is] = [squares(off), squares(next.off)];
    if (is < was) {
      best = tried;
      ({ off, slopes } = next);
      damping /= 10;
      if (was - is <= SETTLED * was) break;
    } else if (damping > 1e6 || was === 0) break;
    else damping *= 10;
  }
  return best;
}

/**
 * The homography that takes points of the ground to where they were seen: normalised direct linear transform, then
 * least squares of the distances in the image (Hartley & Zisserman, Multiple View Geometry, algorithms 4.2 and 4.3,
 * from memory).
 * @param ground mm, four or more
 * @param image pixels, as many, in the same order
 * @returns nine numbers, row by row
 * @throws Degenerate where the points do not fix one
 */
export function fitHomography(ground: readonly Point[], image: readonly Point[]): Homography {
  if (ground.length < 4 || ground.length !== image.length) throw new Degenerate();
  const [from, to] = [normalised(ground), normalised(image)];
  const found =
    ground.length === 4
      ? exact(from.moved, to.moved)
      : refined(direct(from.moved, to.moved), from.moved, to.moved);
  const inside = new Matrix([found.slice(0, 3), found.slice(3, 6), found.slice(6, 9)]);
  const whole = inverse(to.transform).mmul(inside).mmul(from.transform);
  return whole.div(whole.get(2, 2)).to1DArray();
}
