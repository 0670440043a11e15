import type { Point } from '../setup';
import { degrees, radians } from '../units';
import { inverted, projected, type Homography } from './homography';

/** A camera as far as a photo tells: its centre in the image and its focal length, pixels. */
export interface Camera {
  centre: Point;
  focal: number;
}

type Vector = readonly [number, number, number];

/** Where a camera stood: what turns the ground's axes into the camera's, and its place, mm; z is up from the ground. */
export interface Pose {
  rotation: readonly [Vector, Vector, Vector];
  place: Vector;
  /** Ground mm to pixels, and back: what lies on the ground needs no focal length. */
  homography: Homography;
  back: Homography;
}

const DIAGONAL_35MM = Math.hypot(36, 24);

/**
 * A focal length in pixels from the one that EXIF tells for a 35 mm frame, by the diagonals.
 * @param focal35 mm
 * @param width of the image, pixels
 * @param height of the image, pixels
 * @returns pixels
 * @example Math.round(focalFrom35mm(26, 4032, 3024)) // 3029
 */
export const focalFrom35mm = (focal35: number, width: number, height: number): number =>
  (focal35 * Math.hypot(width, height)) / DIAGONAL_35MM;

/** The field of view of a phone's main camera across the diagonal, degrees (common practice, no source). */
const USUAL_VIEW = 79;

/**
 * A phone's usual focal length, where the photo says none.
 * @param width of the image, pixels
 * @param height of the image, pixels
 * @returns pixels
 */
export const usualFocal = (width: number, height: number): number =>
  Math.hypot(width, height) / 2 / Math.tan(radians(USUAL_VIEW / 2));

const dot = (a: Vector, b: Vector): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
const times = (a: Vector, by: number): Vector => [a[0] * by, a[1] * by, a[2] * by];
const minus = (a: Vector, b: Vector): Vector => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
const plus = (a: Vector, b: Vector): Vector => [a[0] + b[0], a[1] + b[1], a[2] + b[2]];
const cross = (a: Vector, b: Vector): Vector => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];
const unit = (a: Vector): Vector => times(a, 1 / Math.sqrt(dot(a, a)));

/** Two directions made square to each other, each moved as far as the other. */
function squared(a: Vector, b: Vector): [Vector, Vector] {
  const [p, q] = [unit(a), unit(b)];
  const [sum, difference] = [unit(plus(p, q)), unit(minus(p, q))];
  return [unit(plus(sum, difference)), unit(minus(sum, difference))];
}

/** The ground's two axes and its origin as the camera has them, not of unit length. */
function columnsOf(homography: Homography, { centre, focal }: Camera): [Vector, Vector, Vector] {
  const column = (at: number): Vector => {
    const [u, v, w] = [homography[at]!, homography[at + 3]!, homography[at + 6]!];
    return [(u - centre.x * w) / focal, (v - centre.y * w) / focal, w];
  };
  return [column(0), column(1), column(2)];
}

/**
 * How far a camera would have to bend the ground for what it saw: nought where both axes are as long and square.
 * @param homography ground mm to image pixels
 * @param camera centre and focal length, pixels
 * @returns the logarithm of how much longer one axis is, and the cosine between them, together
 */
export function misfitOf(homography: Homography, camera: Camera): number {
  const [x, y] = columnsOf(homography, camera);
  const [along, across] = [Math.sqrt(dot(x, x)), Math.sqrt(dot(y, y))];
  return Math.hypot(Math.log(along / across), dot(x, y) / (along * across));
}

/**
 * Where the camera stood, from how it saw the ground (Zhang 2000, A flexible new technique for camera calibration,
 * section 3.1, from memory).
 * @param homography ground mm to image pixels
 * @param camera centre and focal length, pixels
 * @returns the pose; the camera is above the ground
 */
export function poseFrom(homography: Homography, camera: Camera): Pose {
  const [first, second, third] = columnsOf(homography, camera);
  const scale = 2 / (Math.sqrt(dot(first, first)) + Math.sqrt(dot(second, second)));
  // The ground lies in front of the camera: its origin's depth is positive.
  const sign = third[2] < 0 ? -scale : scale;
  const [x, y] = squared(times(first, sign), times(second, sign));
  const z = cross(x, y);
  const shift = times(third, sign);
  const place: Vector = [-dot(x, shift), -dot(y, shift), -dot(z, shift)];
  return { rotation: [x, y, z], place, homography, back: inverted(homography) };
}

/**
 * The point at a height above the ground that a pixel shows: the way from the ground to the camera, as far as that height.
 * @param pose the camera's
 * @param pixel where it was tapped
 * @param height mm above the ground
 * @returns mm on the ground plane, below the point
 */
export function pointAt({ back, place }: Pose, pixel: Point, height: number): Point {
  const ground = projected(back, pixel);
  const share = height / place[2];
  return { x: ground.x + share * (place[0] - ground.x), y: ground.y + share * (place[1] - ground.y) };
}

/**
 * Where a point at a height is seen.
 * @param pose the camera's
 * @param point mm on the ground plane
 * @param height mm above it
 * @returns pixels
 */
export function seenAt({ homography, place }: Pose, point: Point, height: number): Point {
  const share = height / place[2];
  return projected(homography, {
    x: (point.x - share * place[0]) / (1 - share),
    y: (point.y - share * place[1]) / (1 - share),
  });
}

/**
 * How steeply the camera looked at a point of the ground: 90° is straight down.
 * @param pose the camera's
 * @param point mm on the ground
 * @returns degrees above the horizon
 */
export function elevationOver({ place }: Pose, point: Point): number {
  return degrees(Math.atan2(place[2], Math.hypot(place[0] - point.x, place[1] - point.y)));
}

/**
 * Pixels that a millimetre is wide at a point of the ground, across the camera's view.
 * @param pose the camera's
 * @param camera centre and focal length, pixels
 * @param point mm on the ground
 * @returns pixels a mm
 */
export function sharpnessAt({ rotation, place }: Pose, { focal }: Camera, point: Point): number {
  const from: Vector = [point.x - place[0], point.y - place[1], -place[2]];
  return focal / (rotation[0][2] * from[0] + rotation[1][2] * from[1] + rotation[2][2] * from[2]);
}

/**
 * A point of the ground from where it was seen, taking it to lie on the ground.
 * @param homography ground mm to image pixels
 * @param pixel where it was seen
 * @returns mm
 */
export const groundPoint = (homography: Homography, pixel: Point): Point =>
  projected(inverted(homography), pixel);
