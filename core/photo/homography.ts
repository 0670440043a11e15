import { inverse, Matrix } from 'ml-matrix';
import type { Point } from '../setup';
import { solved } from './solve';
import { Degenerate } from './degenerate';

/** A plane homography, ground mm to image pixels: nine numbers, row by row. */
export type Homography = readonly number[];

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

/** What moves points to their middle and to a mean distance of √2 (Hartley 1997, In defense of the eight-point algorithm). */
interface Normal {
  x: number;
  y: number;
  scale: number;
}

function normalOf(points: readonly Point[]): Normal {
  let [x, y, spread] = [0, 0, 0];
  for (const point of points) {
    x += point.x / points.length;
    y += point.y / points.length;
  }
  for (const point of points) spread += Math.hypot(point.x - x, point.y - y) / points.length;
  if (!(spread > 0)) throw new Degenerate();
  return { x, y, scale: Math.SQRT2 / spread };
}

/** Points in their normal places, x and y after one another. */
function moved(points: readonly Point[], { x, y, scale }: Normal): Float64Array {
  const values = new Float64Array(2 * points.length);
  points.forEach((point, at) => {
    values[2 * at] = scale * (point.x - x);
    values[2 * at + 1] = scale * (point.y - y);
  });
  return values;
}

/** Eight of the nine numbers; the ninth is one, which in normal places it can always be made. */
const SIZE = 8;
const ROUNDS = 20;
/** A round that changes the sum of squares by less than this share ends it: far below what any pixel tells. */
const SETTLED = 1e-8;

/** Eight equations: the square and the right side of each, row after row. */
type Equations = Float64Array;
const WIDTH = SIZE + 1;

/** The unknowns that a point's two equations have anything to do with. */
const OF_U = [0, 1, 2, 6, 7] as const;
const OF_V = [3, 4, 5, 6, 7] as const;

/** Adds an equation in five unknowns to those of least squares, on and above the diagonal. */
function add(into: Equations, unknowns: readonly number[], row: Float64Array, right: number): void {
  for (let i = 0; i < 5; i += 1) {
    const [by, line] = [row[i]!, unknowns[i]! * WIDTH];
    for (let j = i; j < 5; j += 1) into[line + unknowns[j]!]! += by * row[j]!;
    into[line + SIZE]! += by * right;
  }
}

/** Puts what is above the diagonal below it too. */
function mirrored(equations: Equations): Equations {
  for (let i = 1; i < SIZE; i += 1)
    for (let j = 0; j < i; j += 1) equations[i * WIDTH + j] = equations[j * WIDTH + i]!;
  return equations;
}

function put(row: Float64Array, a: number, b: number, c: number, d: number, e: number): Float64Array {
  row[0] = a;
  row[1] = b;
  row[2] = c;
  row[3] = d;
  row[4] = e;
  return row;
}

/** How far off projected points are, squared and summed; adds what least squares needs to move them there. */
function steps(numbers: Float64Array, from: Float64Array, to: Float64Array, into: Equations): number {
  const row = new Float64Array(5);
  let sum = 0;
  for (let at = 0; at < from.length; at += 2) {
    const x = from[at]!;
    const y = from[at + 1]!;
    const one = 1 / (numbers[6]! * x + numbers[7]! * y + 1);
    const u = (numbers[0]! * x + numbers[1]! * y + numbers[2]!) * one;
    const v = (numbers[3]! * x + numbers[4]! * y + numbers[5]!) * one;
    const offU = to[at]! - u;
    const offV = to[at + 1]! - v;
    sum += offU * offU + offV * offV;
    const sx = x * one;
    const sy = y * one;
    add(into, OF_U, put(row, sx, sy, one, -u * sx, -u * sy), offU);
    add(into, OF_V, put(row, sx, sy, one, -v * sx, -v * sy), offV);
  }
  mirrored(into);
  return sum;
}

/** Least squares of the distances in the image, by Levenberg and Marquardt. */
function refined(start: Float64Array, from: Float64Array, to: Float64Array): Float64Array {
  let best = start;
  let equations = new Float64Array(SIZE * WIDTH);
  let off = steps(best, from, to, equations);
  let damping = 1e-6;
  for (let round = 0; round < ROUNDS && off > 0; round += 1) {
    const damped = equations.slice();
    for (let at = 0; at < SIZE; at += 1) damped[at * WIDTH + at]! *= 1 + damping;
    const step = solved(damped, SIZE);
    const tried = best.map((value, at) => value + step[at]!);
    const next = new Float64Array(SIZE * WIDTH);
    const is = steps(tried, from, to, next);
    const settled = Math.abs(off - is) <= SETTLED * off;
    const better = is < off;
    if (better) [best, equations, off] = [tried, next, is];
    if (settled || damping > 1e6) break;
    damping *= better ? 0.1 : 10;
  }
  return best;
}

/** The direct linear transform: two equations a point. Four points are met exactly, more by least squares. */
function direct(from: Float64Array, to: Float64Array): Float64Array {
  const exact = from.length === SIZE;
  const equations = new Float64Array(SIZE * WIDTH);
  const row = new Float64Array(5);
  const take = (at: number, unknowns: readonly number[], right: number): void => {
    if (!exact) return add(equations, unknowns, row, right);
    unknowns.forEach((unknown, place) => (equations[at * WIDTH + unknown] = row[place]!));
    equations[at * WIDTH + SIZE] = right;
  };
  for (let at = 0; at < from.length; at += 2) {
    const [x, y, u, v] = [from[at]!, from[at + 1]!, to[at]!, to[at + 1]!];
    put(row, x, y, 1, -u * x, -u * y);
    take(at, OF_U, u);
    put(row, x, y, 1, -v * x, -v * y);
    take(at + 1, OF_V, v);
  }
  return solved(exact ? equations : mirrored(equations), SIZE);
}

/** The numbers for the places as they were, from those for normal places. */
function asTheyWere(inside: Float64Array, from: Normal, to: Normal): number[] {
  const [a, b, c, d, e, f, g, h] = inside as unknown as [
    number,
    number,
    number,
    number,
    number,
    number,
    number,
    number,
  ];
  const { scale: s, x, y } = from;
  // Right by what moves the ground: each row's last number takes in the middle.
  const row = (p: number, q: number, r: number) => [s * p, s * q, r - s * (p * x + q * y)] as const;
  const [top, middle, last] = [row(a, b, c), row(d, e, f), row(g, h, 1)];
  // Left by what moves the image back.
  const whole = [
    ...top.map((value, at) => value / to.scale + to.x * last[at]!),
    ...middle.map((value, at) => value / to.scale + to.y * last[at]!),
    ...last,
  ];
  return whole.map((value) => value / whole[8]!);
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
  const [fromNormal, toNormal] = [normalOf(ground), normalOf(image)];
  const [from, to] = [moved(ground, fromNormal), moved(image, toNormal)];
  const start = direct(from, to);
  const found = ground.length === 4 ? start : refined(start, from, to);
  return asTheyWere(found, fromNormal, toNormal);
}
