import type { Point } from '../setup';
import { radians } from '../units';
import { inverted } from './homography';
import type { Camera, Pose } from './pose';

/**
 * A club or stick of known length along the target line, where nothing of known size lies flat: the taps of the stick are
 * its ends.
 */
export interface KnownLength {
  /** mm */
  length: number;
  /** The two sides of the ball, as far apart as it is seen, pixels. */
  ball: readonly [Point, Point];
}

/** Across a ball, mm: 42.67 at least (Equipment Rules of golf), and balls are made no larger than they must be. */
export const BALL_MM = 42.7;
export const BALL_MIDDLE_MM = 21.3;
/** How far balls are from it, one standard deviation, mm (starting value). */
export const BALL_DEVIATION_MM = 0.2;
/** How high the ends of a club on the ground are, mm: half a grip (starting value). */
export const LAID_UP_MM = 6;

/** How a camera was held over the ground, without anything that says where: mm and degrees. */
export interface CameraHeld {
  height: number;
  /** How far below the horizon it looked. */
  tilt: number;
  /** How far its right side was up. */
  side: number;
}

/** One standard deviation of how a camera is held, around where it is looked for (starting values). */
export const HELD_DEVIATIONS: CameraHeld = { height: 600, tilt: 25, side: 4 };

/**
 * The pose of a camera that is held so. Its place is above the ground's origin, and the ground's x axis is to its right.
 * @param held mm and degrees
 * @param camera centre and focal length, pixels
 * @returns the pose
 */
export function tiltedPose({ height, tilt, side }: CameraHeld, { centre, focal }: Camera): Pose {
  const [t, s] = [radians(tilt), radians(side)];
  // The camera's y runs down and its z forward: up is against both.
  const z = [Math.sin(s), -Math.cos(s) * Math.cos(t), -Math.cos(s) * Math.sin(t)] as const;
  const across = Math.cos(s);
  const x = [across, (-z[0] * z[1]) / across, (-z[0] * z[2]) / across] as const;
  const y = [z[1] * x[2] - z[2] * x[1], z[2] * x[0] - z[0] * x[2], z[0] * x[1] - z[1] * x[0]] as const;
  const shift = z.map((value) => -height * value);
  const row = (at: number): number[] => [x[at]!, y[at]!, shift[at]!];
  const [u, v, w] = [row(0), row(1), row(2)] as [number[], number[], number[]];
  const homography = [
    ...u.map((value, at) => focal * value + centre.x * w[at]!),
    ...v.map((value, at) => focal * value + centre.y * w[at]!),
    ...w,
  ].map((value) => value / w[2]!);
  return { rotation: [x, y, z], place: [0, 0, height], homography, back: inverted(homography) };
}

/**
 * How large a ball is that is seen at a place: the angle between its two sides, and how far away it is.
 * @param pose the camera's
 * @param camera centre and focal length, pixels
 * @param middle of the ball on the ground, mm
 * @param sides of the ball, pixels
 * @returns mm
 */
export function ballAcross(
  { place }: Pose,
  { centre, focal }: Camera,
  middle: Point,
  sides: readonly [Point, Point],
): number {
  const away = Math.hypot(place[0] - middle.x, place[1] - middle.y, place[2] - BALL_MIDDLE_MM);
  const rays = sides.map(({ x, y }) => [(x - centre.x) / focal, (y - centre.y) / focal] as const);
  const [[a, b], [c, d]] = rays as [readonly [number, number], readonly [number, number]];
  const cosine = (a * c + b * d + 1) / (Math.hypot(a, b, 1) * Math.hypot(c, d, 1));
  // Half of the angle by its sine, which keeps small angles exact.
  return 2 * away * Math.sqrt(Math.max(0, (1 - cosine) / 2));
}

/** Tilts that are begun from, degrees. */
const TILTS = [22, 30, 38, 46, 54, 62, 70, 78, 86];
const ANY_HEIGHT = 1500;

/**
 * Where to begin looking for how a camera was held: at each of several tilts the height follows from the known length;
 * the one is taken at which everything else comes out nearest to what it is.
 * @param length that is known, mm
 * @param lengthAt how long it comes out, mm
 * @param misfitAt how far everything else is off
 */
export function beginning(
  length: number,
  lengthAt: (held: CameraHeld) => number,
  misfitAt: (held: CameraHeld) => number,
): CameraHeld {
  const tried = TILTS.map((tilt): { held: CameraHeld; misfit: number } => {
    const any = { height: ANY_HEIGHT, tilt, side: 0 };
    const held = { ...any, height: (ANY_HEIGHT * length) / lengthAt(any) };
    return { held, misfit: misfitAt(held) };
  });
  return tried.sort((a, b) => a.misfit - b.misfit)[0]!.held;
}
