import { linearRegression, median } from 'simple-statistics';
import type { Point } from '../setup';
import { greyAt, type Grey } from './grey';

/** How a sheet's corners were found: where, and how sure each is, pixels. */
export interface Corners {
  points: Point[];
  /** One standard deviation of each coordinate. */
  deviation: number;
  /** Sides whose edge the picture shows; a side without one lies where it was tapped. */
  sidesSeen: number;
}

/** How far from a tapped line its edge is looked for, as a share of the side, and in pixels at most. */
const REACH_SHARE = 0.06;
const MOST_REACH_PX = 30;
const ACROSS_A_SIDE = 40;
const LEAST_STEP = 14;
const LEAST_SHARE = 0.5;
/** One standard deviation of a corner that was tapped alone, and of one whose edges are seen, pixels (starting values). */
const TAPPED_PX = 4;
const SEEN_PX = 0.5;

/** Where grey changes most along a line through a point, pixels from the point; null where it hardly does. */
function steepestAcross(grey: Grey, at: Point, normal: Point, reach: number): number | null {
  let best: number | null = null;
  let most = LEAST_STEP;
  let before: readonly number[] = [];
  for (let off = -reach; off <= reach; off += 0.5) {
    const of = (by: number) => greyAt(grey, at.x + (off + by) * normal.x, at.y + (off + by) * normal.y);
    const change = Math.abs(of(1) - of(-1));
    before = [...before.slice(-2), change];
    // The middle of three, where it is the highest: half a step back.
    const [a, b, c] = before;
    if (c === undefined || !(b! > most) || a! > b! || c > b!) continue;
    const bend = a! - 2 * b! + c;
    most = b!;
    best = off - 0.5 + (bend === 0 ? 0 : (0.25 * (a! - c)) / bend);
  }
  return best;
}

interface Line {
  at: Point;
  along: Point;
  seen: boolean;
}

/** One side's edge, near where it was tapped: what most of its places agree on. */
function sideLine(grey: Grey, from: Point, to: Point): Line {
  const length = Math.hypot(to.x - from.x, to.y - from.y);
  const along = { x: (to.x - from.x) / length, y: (to.y - from.y) / length };
  const normal = { x: along.y, y: -along.x };
  const tapped: Line = { at: from, along, seen: false };
  const reach = Math.min(MOST_REACH_PX, REACH_SHARE * length);
  const places: [number, number][] = [];
  for (let step = 0; step < ACROSS_A_SIDE; step += 1) {
    const far = length * (0.06 + (0.88 * step) / (ACROSS_A_SIDE - 1));
    const off = steepestAcross(grey, { x: from.x + far * along.x, y: from.y + far * along.y }, normal, reach);
    if (off !== null) places.push([far, off]);
  }
  let kept = places;
  for (const tolerance of [4, 1.5]) {
    if (kept.length < LEAST_SHARE * ACROSS_A_SIDE) return tapped;
    const line = throughMost(kept);
    kept = places.filter(([far, off]) => Math.abs(off - line.b - line.m * far) < tolerance);
  }
  if (kept.length < LEAST_SHARE * ACROSS_A_SIDE) return tapped;
  const { m, b } = linearRegression(kept);
  return {
    at: { x: from.x + b * normal.x, y: from.y + b * normal.y },
    along: { x: along.x + m * normal.x, y: along.y + m * normal.y },
    seen: true,
  };
}

/** A line that a minority of stray places does not move (Theil 1950, Sen 1968, from memory). */
function throughMost(places: readonly [number, number][]): { m: number; b: number } {
  const slopes = places.flatMap(([x, y], at) =>
    places.slice(at + 1).map(([otherX, otherY]) => (otherY - y) / (otherX - x)),
  );
  const m = median(slopes);
  return { m, b: median(places.map(([x, y]) => y - m * x)) };
}

function meeting(a: Line, b: Line): Point | null {
  const turn = a.along.x * b.along.y - a.along.y * b.along.x;
  if (Math.abs(turn) < 1e-6) return null;
  const [x, y] = [b.at.x - a.at.x, b.at.y - a.at.y];
  const far = (x * b.along.y - y * b.along.x) / turn;
  return { x: a.at.x + far * a.along.x, y: a.at.y + far * a.along.y };
}

/**
 * A sheet's corners from where they were tapped: each side moves to the edge that the picture shows near it.
 * @param grey the picture
 * @param tapped four corners, going round, pixels
 * @returns the corners
 */
export function refinedCorners(grey: Grey, tapped: readonly Point[]): Corners {
  const sides = tapped.map((corner, at) => sideLine(grey, corner, tapped[(at + 1) % 4]!));
  const points = tapped.map((corner, at) => {
    const found = meeting(sides[(at + 3) % 4]!, sides[at]!);
    const far = found && Math.hypot(found.x - corner.x, found.y - corner.y);
    return found && far! < 2 * MOST_REACH_PX ? found : corner;
  });
  const sidesSeen = sides.filter(({ seen }) => seen).length;
  return { points, sidesSeen, deviation: sidesSeen === 4 ? SEEN_PX : TAPPED_PX };
}

/** A change of grey that is an edge. */
const LEAST_EDGE = 12;
/**
 * How soon an edge counts less for being further from the tap, as a share of the reach: on rendered shoes a careful tap is
 * then moved off its place no further than it was, and a careless one gets a quarter nearer (starting value).
 */
const NEAR = 0.3;
/** Greys are taken across so many pixels beside the line, so that grass makes no edge. */
const BESIDE_PX = 3;

/**
 * The edge across a line that is nearest a tap on it: a sole ends where its axis leaves it. Strong and near counts most.
 * @param grey the picture
 * @param tapped pixels
 * @param toward another point of the line, pixels
 * @param reach how far the edge may be, pixels
 * @returns the place on the line, or the tap itself where no edge is seen
 */
export function snappedAlong(grey: Grey, tapped: Point, toward: Point, reach: number): Point {
  const length = Math.hypot(toward.x - tapped.x, toward.y - tapped.y);
  if (!(length > 0)) return tapped;
  const along = { x: (toward.x - tapped.x) / length, y: (toward.y - tapped.y) / length };
  const at = (far: number, beside = 0): Point => ({
    x: tapped.x + far * along.x - beside * along.y,
    y: tapped.y + far * along.y + beside * along.x,
  });
  const meanAt = (far: number): number => {
    let sum = 0;
    for (let beside = -BESIDE_PX; beside <= BESIDE_PX; beside += 1) {
      const { x, y } = at(far, beside);
      sum += greyAt(grey, x, y);
    }
    return sum / (2 * BESIDE_PX + 1);
  };
  const off = Math.ceil(reach);
  let [best, most] = [0, 0];
  for (let far = -off; far <= off; far += 0.5) {
    const change = Math.abs(meanAt(far + 2) - meanAt(far - 2));
    const counts = change * Math.exp(-((far / (NEAR * off)) ** 2) / 2);
    if (change >= LEAST_EDGE && counts > most) [best, most] = [far, counts];
  }
  return at(best);
}
