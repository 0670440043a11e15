import { median } from 'simple-statistics';
import type { Point } from '../setup';
import { greyAt, type Grey } from './grey';
import { projected, type Homography } from './homography';
import { PAPERS, PAPER_NAMES, type Paper, type Sheet } from './sheet';

/** How a sheet was printed: on which paper, and at which scale. */
export interface PaperSeen {
  paper: Paper;
  /** Printed lengths as a share of what they should be. */
  scale: number;
}

/** Scales that a printer could have used. */
const SCALES = { least: 0.85, most: 1.1 };
/** Across and along may tell scales that differ by this share at most. */
const AGREE = 0.012;
const A_SIDE = 25;
const LEAST_SEEN = 8;
const LEAST_DROP = 18;

/** Where the paper ends along a line that goes out from it: the steepest fall of grey, as a share of the way. */
function endAlong(grey: Grey, from: Point, to: Point): number | null {
  const length = Math.hypot(to.x - from.x, to.y - from.y);
  const steps = Math.ceil(length / 0.5);
  if (steps < 6) return null;
  const greys: number[] = [];
  for (let step = 0; step <= steps; step += 1) {
    const share = step / steps;
    greys.push(greyAt(grey, from.x + share * (to.x - from.x), from.y + share * (to.y - from.y)));
  }
  let [best, drop] = [0, LEAST_DROP];
  for (let step = 2; step < greys.length - 2; step += 1) {
    const fall = greys[step - 2]! + greys[step - 1]! - greys[step + 1]! - greys[step + 2]!;
    if (fall / 2 > drop) [best, drop] = [step, fall / 2];
  }
  if (best === 0) return null;
  // Within the steepest place, the crossing of the middle between what is on either side.
  const middle = (greys[best - 2]! + greys[best + 2]!) / 2;
  for (let step = best - 1; step <= best + 2; step += 1) {
    const [before, after] = [greys[step - 1]!, greys[step]!];
    if (before > middle && after <= middle) return (step - 1 + (before - middle) / (before - after)) / steps;
  }
  return best / steps;
}

/** How far out one side of the paper is seen, in printed mm; null where it is not. */
function sideSeen(grey: Grey, homography: Homography, lines: readonly (readonly [Point, Point])[]) {
  const outs = lines
    .map(([from, to]) => endAlong(grey, projected(homography, from), projected(homography, to)) ?? NaN)
    .map((share, at) => {
      const [from, to] = lines[at]!;
      const [a, b] = [projected(homography, from), projected(homography, to)];
      // Back to the ground along the line: shares of the picture are not shares of the ground.
      return groundShare(homography, from, to, {
        x: a.x + share * (b.x - a.x),
        y: a.y + share * (b.y - a.y),
      });
    })
    .filter((share) => !Number.isNaN(share));
  if (outs.length < LEAST_SEEN) return null;
  const middle = median(outs);
  const near = outs.filter((out) => Math.abs(out - middle) < 0.08);
  if (near.length < LEAST_SEEN) return null;
  return near.reduce((sum, out) => sum + out, 0) / near.length;
}

/** The share of the way between two ground points at which a pixel on their line lies. */
function groundShare(homography: Homography, from: Point, to: Point, pixel: Point): number {
  if (Number.isNaN(pixel.x)) return NaN;
  let [low, high] = [0, 1];
  const end = projected(homography, to);
  const start = projected(homography, from);
  const wanted = Math.hypot(pixel.x - start.x, pixel.y - start.y);
  if (wanted >= Math.hypot(end.x - start.x, end.y - start.y)) return NaN;
  for (let round = 0; round < 30; round += 1) {
    const share = (low + high) / 2;
    const at = projected(homography, {
      x: from.x + share * (to.x - from.x),
      y: from.y + share * (to.y - from.y),
    });
    if (Math.hypot(at.x - start.x, at.y - start.y) < wanted) low = share;
    else high = share;
  }
  return (low + high) / 2;
}

/**
 * The scale a sheet was printed at, by the edges of the paper it is on: paper is cut to 0.1% or better.
 * @param grey the picture
 * @param homography from the sheet's printed mm (x right, y up its page) to pixels
 * @param sheet which
 * @returns paper and scale; null where its edges are not seen on all four sides
 */
export function paperSeen(grey: Grey, homography: Homography, sheet: Sheet): PaperSeen | null {
  const { width, height } = sheet;
  const out = Math.max(PAPERS.Letter.width, PAPERS.A4.height) * 0.12;
  const inside = 5;
  const shares = Array.from({ length: A_SIDE }, (_, at) => 0.15 + (0.7 * at) / (A_SIDE - 1));
  const reach = inside + out;
  const sides = {
    left: shares.map(
      (s) =>
        [
          { x: inside, y: -s * height },
          { x: -out, y: -s * height },
        ] as const,
    ),
    right: shares.map(
      (s) =>
        [
          { x: width - inside, y: -s * height },
          { x: width + out, y: -s * height },
        ] as const,
    ),
    top: shares.map(
      (s) =>
        [
          { x: s * width, y: -inside },
          { x: s * width, y: out },
        ] as const,
    ),
    bottom: shares.map(
      (s) =>
        [
          { x: s * width, y: -height + inside },
          { x: s * width, y: -height - out },
        ] as const,
    ),
  };
  const [left, right, top, bottom] = [sides.left, sides.right, sides.top, sides.bottom].map((lines) =>
    sideSeen(grey, homography, lines),
  );
  if (left == null || right == null || top == null || bottom == null) return null;
  const across = width - 2 * inside + reach * (left + right);
  const along = height - 2 * inside + reach * (top + bottom);
  const fits = PAPER_NAMES.map((paper) => {
    const [x, y] = [PAPERS[paper].width / across, PAPERS[paper].height / along];
    return { paper, scale: Math.sqrt(x * y), apart: Math.abs(x / y - 1) };
  }).sort((a, b) => a.apart - b.apart);
  const { paper, scale, apart } = fits[0]!;
  return apart <= AGREE && scale >= SCALES.least && scale <= SCALES.most ? { paper, scale } : null;
}
