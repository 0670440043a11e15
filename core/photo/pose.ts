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

/**
 * Where the camera stood, from how it saw the ground (Zhang 2000, A flexible new technique for camera calibration,
 * section 3.1, from memory).
 * @param homography ground mm to image pixels
 * @param camera centre and focal length, pixels
 * @returns the pose; the camera is above the ground
 */
export function poseFrom(homography: Homography, { centre, focal }: Camera): Pose {
  const column = (at: number): Vector => {
    const [u, v, w] = [homography[at]!, homography[at + 3]!, homography[at + 6]!];
    return [(u - centre.x * w) / focal, (v - centre.y * w) / focal, w];
  };
  const [first, second, third] = [column(0), column(1), column(2)];
  const scale = 2 / (Math.sqrt(dot(first, first)) + Math.sqrt(dot(second, second)));
  // The ground lies in front of the camera: its origin's depth is positive.
  const sign = third[2] < 0 ? -scale : scale;
  const [x, y] = squared(times(first, sign), times(second, sign));
  const z = cross(x, y);
  const shift = times(third, sign);
  const place: Vector = [-dot(x, shift), -dot(y, shift), -dot(z, shift)];
  return { rotation: [x, y, z], place };
}

/**
 * The point at a height above the ground that a pixel shows.
 * @param pose the camera's
 * @param camera centre and focal length, pixels
 * @param pixel where it was tapped
 * @param height mm above the ground
 * @returns mm on the ground plane, below the point
 */
export function pointAt(pose: Pose, { centre, focal }: Camera, pixel: Point, height: number): Point {
  const ray: Vector = [(pixel.x - centre.x) / focal, (pixel.y - centre.y) / focal, 1];
  const [x, y, z] = pose.rotation;
  const along: Vector = [dot(x, ray), dot(y, ray), dot(z, ray)];
  const far = (height - pose.place[2]) / along[2];
  return { x: pose.place[0] + far * along[0], y: pose.place[1] + far * along[1] };
}

/**
 * Where a point at a height is seen.
 * @param pose the camera's
 * @param camera centre and focal length, pixels
 * @param point mm on the ground plane
 * @param height mm above it
 * @returns pixels
 */
export function seenAt(pose: Pose, { centre, focal }: Camera, point: Point, height: number): Point {
  const from = minus([point.x, point.y, height], pose.place);
  const [x, y, z] = pose.rotation;
  const inCamera = [0, 1, 2].map((at) => x[at]! * from[0] + y[at]! * from[1] + z[at]! * from[2]) as [
    number,
    number,
    number,
  ];
  return {
    x: centre.x + (focal * inCamera[0]) / inCamera[2],
    y: centre.y + (focal * inCamera[1]) / inCamera[2],
  };
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
 * Pixels that a millimetre of the ground is wide where it is narrowest, at a point.
 * @param homography ground mm to image pixels
 * @param point mm
 * @returns pixels a mm
 */
export function sharpnessAt(homography: Homography, point: Point): number {
  const at = projected(homography, point);
  const right = projected(homography, { x: point.x + 1, y: point.y });
  const up = projected(homography, { x: point.x, y: point.y + 1 });
  const [a, b, c, d] = [right.x - at.x, up.x - at.x, right.y - at.y, up.y - at.y];
  // The smaller singular value of the two by two matrix of slopes.
  const [sum, determinant] = [a * a + b * b + c * c + d * d, a * d - b * c];
  return Math.sqrt(
    Math.max(0, (sum - Math.sqrt(Math.max(0, sum * sum - 4 * determinant * determinant))) / 2),
  );
}

/**
 * A point of the ground from where it was seen, taking it to lie on the ground.
 * @param homography ground mm to image pixels
 * @param pixel where it was seen
 * @returns mm
 */
export const groundPoint = (homography: Homography, pixel: Point): Point =>
  projected(inverted(homography), pixel);
