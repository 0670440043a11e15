import { CholeskyDecomposition, Matrix } from 'ml-matrix';
import { median } from 'simple-statistics';
import type { Point } from '../setup';
import { greyAt, type Grey } from './grey';
import { Degenerate } from './degenerate';
import { projected, type Homography } from './homography';

/** A straight edge of known place on the ground between dark and light. */
export interface KnownEdge {
  /** mm */
  from: Point;
  /** mm */
  to: Point;
  /** A point on its dark side, mm: as far from it as the edge may be looked for. */
  dark: Point;
}

/** Greys that dark and light have to differ by at least. */
const LEAST_CONTRAST = 24;
const STEP_PX = 0.5;

/**
 * Where a profile across an edge goes from dark to light: the crossing of the middle between its two ends' greys that
 * is nearest where it was expected.
 * @param grey the picture
 * @param at where the edge is expected, pixels
 * @param light unit direction toward the light side
 * @param reach how far to either side, pixels
 * @returns how far toward the light side the edge lies, pixels; null where there is none
 */
export function edgeAcross(grey: Grey, at: Point, light: Point, reach: number): number | null {
  const steps = Math.max(2, Math.round(reach / STEP_PX));
  const greys: number[] = [];
  for (let step = -steps; step <= steps; step += 1) {
    const off = step * STEP_PX;
    const value = greyAt(grey, at.x + off * light.x, at.y + off * light.y);
    if (Number.isNaN(value)) return null;
    greys.push(value);
  }
  const low = (greys[0]! + greys[1]!) / 2;
  const high = (greys[greys.length - 1]! + greys[greys.length - 2]!) / 2;
  if (high - low < LEAST_CONTRAST) return null;
  const middle = (low + high) / 2;
  let best: number | null = null;
  for (let place = 1; place < greys.length; place += 1) {
    const [before, after] = [greys[place - 1]!, greys[place]!];
    if (before > middle || after <= middle) continue;
    const off = (place - 1 - steps + (middle - before) / (after - before)) * STEP_PX;
    if (best === null || Math.abs(off) < Math.abs(best)) best = off;
  }
  return best;
}

/** A place on a known edge with how far off it was seen, and along which direction of the picture that counts. */
export interface EdgeSeen {
  /** mm */
  ground: Point;
  /** Unit, pixels. */
  normal: Point;
  /** From where the homography has it, along the normal, pixels. */
  off: number;
  /** Which edge it is of. */
  edge: number;
}

const between = (a: Point, b: Point, share: number): Point => ({
  x: a.x + share * (b.x - a.x),
  y: a.y + share * (b.y - a.y),
});
const distance = (a: Point, b: Point): number => Math.hypot(a.x - b.x, a.y - b.y);

/** Shares of the room beside an edge that are looked over, and pixels that are looked over at most and at least. */
const REACH_SHARE = 0.45;
const MOST_REACH_PX = 8;
const LEAST_REACH_PX = 1.5;
const MOST_A_EDGE = 12;
const A_SAMPLE_PX = 3;

/**
 * Looks for known edges where a homography expects them.
 * @param grey the picture
 * @param homography ground mm to pixels, a few pixels off at most
 * @param edges what is known of the ground
 * @param farther looks this many times as far as usual, where the homography is rough
 * @returns places that were found, and how many were looked for
 */
export function lookForEdges(
  grey: Grey,
  homography: Homography,
  edges: readonly KnownEdge[],
  farther = 1,
): { seen: EdgeSeen[]; looked: number } {
  const seen: EdgeSeen[] = [];
  let looked = 0;
  edges.forEach(({ from, to, dark }, edge) => {
    const [start, end] = [projected(homography, from), projected(homography, to)];
    const length = distance(start, end);
    const count = Math.min(MOST_A_EDGE, Math.max(1, Math.floor(length / A_SAMPLE_PX)));
    if (!(length > 2)) return;
    const normal = { x: (end.y - start.y) / length, y: (start.x - end.x) / length };
    const inside = projected(homography, {
      x: dark.x + (to.x - from.x) / 2,
      y: dark.y + (to.y - from.y) / 2,
    });
    const middle = projected(homography, between(from, to, 0.5));
    const depth = (inside.x - middle.x) * normal.x + (inside.y - middle.y) * normal.y;
    const light = depth > 0 ? { x: -normal.x, y: -normal.y } : normal;
    const reach = Math.min(MOST_REACH_PX, farther * REACH_SHARE * Math.abs(depth));
    if (reach < LEAST_REACH_PX) return;
    // Corners are rounded by the lens: what is near them is left out.
    const ends = Math.min(0.3, (1 + reach / 2) / length);
    for (let at = 0; at < count; at += 1) {
      const share = ends + ((1 - 2 * ends) * (at + 0.5)) / count;
      const ground = between(from, to, share);
      looked += 1;
      const off = edgeAcross(grey, projected(homography, ground), light, reach);
      if (off !== null) seen.push({ ground, normal: light, off, edge });
    }
  });
  return { seen, looked };
}

/** How a point's place along a direction changes with eight of a homography's nine numbers. */
function slopesAlong(homography: Homography, { x, y }: Point, normal: Point): number[] {
  const scale = homography[6]! * x + homography[7]! * y + homography[8]!;
  const { x: u, y: v } = projected(homography, { x, y });
  const [a, b] = [normal.x / scale, normal.y / scale];
  const c = a * u + b * v;
  return [a * x, a * y, a, b * x, b * y, b, -c * x, -c * y];
}

/** Residuals beyond this many of their usual size count less (Huber 1964, from memory). */
const HUBER = 1.5;
/** The scale of a median of absolute values, for bell-shaped errors. */
const MEDIAN_TO_DEVIATION = 1.4826;

/**
 * The standard deviation of bell-shaped errors about nought, told by their median so that stray ones hardly count.
 * @param off the errors, one or more
 * @returns in their unit
 */
export const deviationOf = (off: readonly number[]): number =>
  MEDIAN_TO_DEVIATION * median(off.map(Math.abs));

/** No edge is seen more exactly than this, pixels. */
const LEAST_DEVIATION_PX = 0.05;

/** A homography moved toward edges that were seen, with how sure it is. */
export interface FittedEdges {
  homography: Homography;
  /** Of eight of its numbers. */
  covariance: Matrix;
  /** One standard deviation of an edge, pixels. */
  deviation: number;
}

const MM_SCALE = 100;

/** A homography of ground in decimetres, whose numbers are of more even sizes, and back. */
const scaled = (homography: Homography, by: number): number[] =>
  homography.map((value, at) => (at % 3 === 2 ? value : value * by));

/**
 * One step of weighted least squares: the homography that brings the edges nearest to where they were seen.
 * @param homography ground mm to pixels, its last number 1
 * @param seen places of edges and how far off each was seen
 * @returns the better homography; its covariance takes the places along one edge to err together
 * @throws Degenerate where the edges do not fix it
 */
export function fitEdges(homography: Homography, seen: readonly EdgeSeen[]): FittedEdges {
  if (seen.length < 8) throw new Degenerate();
  const deviation = Math.max(LEAST_DEVIATION_PX, deviationOf(seen.map(({ off }) => off)));
  const even = scaled(homography, MM_SCALE);
  const rows = seen.map(({ ground, normal }) =>
    slopesAlong(even, { x: ground.x / MM_SCALE, y: ground.y / MM_SCALE }, normal),
  );
  const normal = Matrix.zeros(8, 8);
  const right = Matrix.zeros(8, 1);
  rows.forEach((row, at) => {
    const off = seen[at]!.off;
    const weight = Math.min(1, (HUBER * deviation) / Math.max(1e-9, Math.abs(off)));
    for (let i = 0; i < 8; i += 1) {
      right.set(i, 0, right.get(i, 0) + weight * row[i]! * off);
      for (let j = 0; j <= i; j += 1) {
        const sum = normal.get(i, j) + weight * row[i]! * row[j]!;
        normal.set(i, j, sum).set(j, i, sum);
      }
    }
  });
  const factored = new CholeskyDecomposition(normal);
  if (!factored.isPositiveDefinite()) throw new Degenerate();
  const moved = factored.solve(right).to1DArray();
  const better = even.map((value, at) => value + (moved[at] ?? 0));
  const edges = new Set(seen.map(({ edge }) => edge)).size;
  const spread = factored.solve(Matrix.eye(8)).mul(deviation ** 2 * (seen.length / edges));
  const toMm = Matrix.diag([0, 1, 2, 3, 4, 5, 6, 7].map((at) => (at % 3 === 2 ? 1 : 1 / MM_SCALE)));
  return {
    homography: scaled(better, 1 / MM_SCALE),
    covariance: toMm.mmul(spread).mmul(toMm),
    deviation,
  };
}

/**
 * How sure the places of ground points in the picture are, from how sure the homography is.
 * @param fitted the homography with its covariance
 * @param points mm
 * @returns rows of a factor whose product with its transpose is the covariance of u and v of each point, pixels
 */
export function cornerSpread({ homography, covariance }: FittedEdges, points: readonly Point[]): number[][] {
  const slopes = new Matrix(
    points.flatMap((point) => [
      slopesAlong(homography, point, { x: 1, y: 0 }),
      slopesAlong(homography, point, { x: 0, y: 1 }),
    ]),
  );
  return factorOf(slopes.mmul(covariance).mmul(slopes.transpose()));
}

/**
 * A factor of a covariance whose product with its transpose is the covariance.
 * @param covariance as it was computed: symmetric and positive but for rounding
 * @returns rows of the lower triangle
 */
export function factorOf(covariance: Matrix): number[][] {
  const even = covariance.clone().add(covariance.transpose()).div(2);
  for (let at = 0; at < even.rows; at += 1) even.set(at, at, even.get(at, at) * (1 + 1e-9) + 1e-12);
  return new CholeskyDecomposition(even).lowerTriangularMatrix.to2DArray();
}
