import type { FeetFigure, Point } from '../setup';
import {
  UNSEEN_PAPER,
  type Doubts,
  type FeetPhoto,
  type Heights,
  type Known,
  type MeasuredFeet,
} from './feet';
import { projected } from './homography';
import { measureFeet } from './measureFeet';

/** What can be done before the photo is taken again. */
export const PHOTO_REMEDIES = ['sheet', 'stick', 'whole sheet', 'sheet nearer', 'higher', 'nearer'] as const;
export type PhotoRemedy = (typeof PHOTO_REMEDIES)[number];

interface Changed {
  photo?: FeetPhoto;
  doubts?: Partial<Doubts>;
}

/** About as large as a sheet, mm. */
const SIDE_MM = 250;

/**
 * Points of the ground of a measured photo, between the feet and the ball: what it was measured by may have been no points
 * at all.
 * @param measured the feet
 * @returns four points, mm and pixels
 */
export function pointsOfGround({ frame }: MeasuredFeet): Known {
  const { ball, x, y } = frame;
  const at = (along: number, out: number): Point => ({
    x: ball.x + along * x.x + out * y.x,
    y: ball.y + along * x.y + out * y.y,
  });
  const ground = [at(-SIDE_MM, -SIDE_MM), at(0, -SIDE_MM), at(0, 0), at(-SIDE_MM, 0)];
  return { ground, image: ground.map((point) => projected(frame.pose.homography, point)) };
}

/** The photo as each remedy would have it at best; a remedy that was taken already is left out. */
function betterBy(photo: FeetPhoto, heights: Heights, doubts: Doubts): Partial<Record<PhotoRemedy, Changed>> {
  const { known, taps } = photo;
  if ('length' in known) {
    const ground = pointsOfGround(measureFeet(photo, heights, doubts));
    return { sheet: { photo: { ...photo, known: ground } } };
  }
  const sure: Known = { ...known, spread: known.image.flatMap(() => [[0], [0]]) };
  return {
    ...(taps.stick ? {} : { stick: { doubts: { line: 0 } } }),
    ...(doubts.scale < UNSEEN_PAPER ? {} : { 'whole sheet': { doubts: { scale: 0 } } }),
    'sheet nearer': { photo: { ...photo, known: sure } },
    higher: { doubts: { height: 0, heightEach: 0 } },
    nearer: { doubts: { tap: 0 } },
  };
}

/** What to do, and how unsure the figure would then be at best: one standard deviation, mm or degrees. */
export interface PhotoAdvice {
  remedy: PhotoRemedy;
  uncertainty: number;
}

/**
 * What would make a figure surest when the photo is taken again: the doubt is found without which it is least unsure.
 * @param photo that was measured
 * @param heights of toe and heel tips, mm
 * @param doubts one standard deviation of what went in
 * @param figure that is too unsure
 * @returns what to do, and how sure the figure could be
 * @throws Degenerate as `measureFeet` does
 */
export function photoAdvice(
  photo: FeetPhoto,
  heights: Heights,
  doubts: Doubts,
  figure: FeetFigure,
): PhotoAdvice {
  const tried = Object.entries(betterBy(photo, heights, doubts)).map(([remedy, better]): PhotoAdvice => {
    const measured = measureFeet(better.photo ?? photo, heights, { ...doubts, ...better.doubts });
    return { remedy: remedy as PhotoRemedy, uncertainty: measured.figures[figure].uncertainty };
  });
  return tried.sort((a, b) => a.uncertainty - b.uncertainty)[0]!;
}
