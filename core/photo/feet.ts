import {
  footFromPoints,
  innerReach,
  toePoint,
  type Address,
  type FeetFigure,
  type FootName,
  type Point,
  type Shoe,
} from '../setup';
import type { Hand } from '../body';
import { degrees, radians } from '../units';
import { BALL_MIDDLE_MM, type KnownLength } from './byLength';
import { Degenerate } from './degenerate';
import { fitHomography } from './homography';
import { elevationOver, pointAt, poseFrom, seenAt, sharpnessAt, type Camera, type Pose } from './pose';
import type { Told } from './uncertainty';

/** Points of known places on the ground with where they are seen: a sheet's corners, or a printed code's edges. */
export interface Known {
  /** mm */
  ground: readonly Point[];
  /** pixels */
  image: readonly Point[];
  /**
   * A factor of the covariance of where they are seen, as `cornerSpread` has it, where they err together; absent means
   * that each errs by itself, as the doubts say.
   */
  spread?: readonly (readonly number[])[];
}

/** A shoe as it was tapped, pixels: toe and heel, or where the heel is hidden two points along its inner edge. */
export type TappedShoe = { toe: Point } & ({ heel: Point } | { edge: readonly [Point, Point] });

export interface Taps {
  lead: TappedShoe;
  trail: TappedShoe;
  ball: Point;
  /** Two points of a stick along the target line, pixels; null where the sheet itself lies along it. */
  stick: readonly [Point, Point] | null;
}

/** Heights of what is tapped, mm above the ground (starting values). */
export interface Heights {
  toe: number;
  heel: number;
}
/** By kind of shoe, each known to 5 mm (starting values). */
export const SHOE_HEIGHTS = {
  golf: { toe: 15, heel: 10 },
  trainer: { toe: 20, heel: 14 },
  flat: { toe: 8, heel: 5 },
} as const satisfies Record<string, Heights>;
export type ShoeKind = keyof typeof SHOE_HEIGHTS;
export const SHOE_KINDS = Object.keys(SHOE_HEIGHTS) as ShoeKind[];
export const USUAL_HEIGHTS: Heights = SHOE_HEIGHTS.golf;

/** One standard deviation of what goes in. */
export interface Doubts {
  /** Of a tap, pixels. */
  tap: number;
  /** Of a known point as it is seen, pixels. */
  known: number;
  /** Of the height of both shoes' toes, and of both heels, mm: a pair is alike. */
  height: number;
  /** Of each end's own height besides, mm: grass is uneven. */
  heightEach: number;
  /** Of the target line, degrees: beside what the taps on a stick bring. */
  line: number;
  /** Of the known points' lengths on the ground, a share. */
  scale: number;
  /** Of the focal length, a share. */
  focal: number;
  /** Of how far out the lens bends a corner of the picture, a share. */
  bend: number;
  /** Of the shoes' length, mm. */
  shoe: number;
  /** Of the length of a club between the places where its ends lie, mm. */
  laid: number;
}
/** Starting values; a lens of a phone bends by up to 1%. */
export const USUAL_DOUBTS: Doubts = {
  tap: 2,
  known: 0.5,
  height: 5,
  heightEach: 2,
  line: 0.3,
  scale: 0.001,
  focal: 0.012,
  bend: 0.005,
  shoe: 5,
  laid: 8,
};
/** Of a focal length that the photo does not say, a share (starting value). */
export const UNTOLD_FOCAL = 0.06;
/** Of the scale of a sheet whose paper is not seen whole, a share (starting value): printers that fit a page print at 94 to 100%. */
export const UNSEEN_PAPER = 0.02;
/** A sheet that was laid along the line by hand, degrees (starting value). */
export const LAID_BY_HAND = 2;

/** A photo of feet, as far as it is measured by. */
export interface FeetPhoto {
  camera: Camera;
  known: Known | KnownLength;
  taps: Taps;
  shoe: Shoe;
}

/** From where a photo shows the feet. */
export interface View {
  /** Of the camera above the middle of the feet, degrees. */
  elevation: number;
  /** Around the feet: 0 in front of the student, 90 beside, 180 behind, degrees. */
  around: number;
  /** Pixels a mm at the foot that is further away. */
  sharpness: number;
  /** How the student in the picture stands: it is the other hand's picture where it is mirrored, or lead taken for trail. */
  hand: Hand;
}

/** The feet as a photo shows them, and how sure each figure is, mm and degrees. */
export interface MeasuredFeet {
  address: Address;
  figures: Record<FeetFigure, Told>;
  view: View;
  /** How much longer each shoe was tapped than it is, in standard deviations; absent where its heel is hidden. */
  lengthOff: Partial<Record<FootName, number>>;
  /** Where the ground's axes of the address lie in the picture: it can be drawn over the photo. */
  frame: Frame;
}

/** An address's place on the ground that the known points are on, mm. */
export interface Frame {
  pose: Pose;
  ball: Point;
  /** Unit, toward the target. */
  x: Point;
  /** Unit, from the feet toward the ball. */
  y: Point;
}

const minus = (a: Point, b: Point): Point => ({ x: a.x - b.x, y: a.y - b.y });
const dot = (a: Point, b: Point): number => a.x * b.x + a.y * b.y;
const mean = (values: readonly number[]): number =>
  values.reduce((sum, value) => sum + value, 0) / values.length;
const middle = (a: Point, b: Point): Point => ({ x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 });

function unit(a: Point): Point {
  const length = Math.hypot(a.x, a.y);
  if (!(length > 0)) throw new Degenerate();
  return { x: a.x / length, y: a.y / length };
}

/** What is worked with: the photo, or one of it a little changed. */
export interface Given extends Omit<FeetPhoto, 'known'> {
  pose: Pose;
  heights: Record<FootName, Heights>;
  /** Degrees that the target line is turned from where it was taken to be. */
  turned: number;
  /** How far out the lens bends a corner of the picture, a share. */
  bend: number;
  /** Between a shoe's ends, mm. */
  length: number;
}

/** Where a point would be seen through a lens that bends nothing (first order in the bend), pixels. */
export function straightened({ x, y }: Point, { centre }: Camera, bend: number): Point {
  const [u, v] = [x - centre.x, y - centre.y];
  const out = 1 - (bend * (u * u + v * v)) / (centre.x ** 2 + centre.y ** 2);
  return { x: centre.x + out * u, y: centre.y + out * v };
}

/** Where the inner edge of a sole is seen, mm above the ground (starting value). */
const EDGE_MM = 6;
/** How far the long axis may be turned from the line of two taps on the edge, degrees: a sole is narrower at its heel. */
const MOST_TURNED = 20;

/**
 * Which way a shoe points, from its toe and two points of its inner edge: the direction in which both points are as far
 * in as the sole's shape has them, whatever its breadth.
 */
function alongEdge(toe: Point, edge: readonly [Point, Point], length: number): Point {
  const line = unit(minus(edge[0], edge[1]));
  const forward = dot(line, minus(toe, middle(edge[0], edge[1]))) >= 0 ? line : { x: -line.x, y: -line.y };
  const turned = (by: number): Point => {
    const [sine, cosine] = [Math.sin(radians(by)), Math.cos(radians(by))];
    return { x: forward.x * cosine - forward.y * sine, y: forward.x * sine + forward.y * cosine };
  };
  /** How much more breadth one point asks for than the other. */
  const off = (by: number): number => {
    const along = turned(by);
    const [first, second] = edge.map((point) => {
      const back = minus(point, toe);
      const share = 1 + dot(back, along) / length;
      const inward = Math.abs(back.x * along.y - back.y * along.x);
      return { inward, reach: Math.max(0.05, innerReach(share)) };
    }) as [Reached, Reached];
    return first.inward * second.reach - second.inward * first.reach;
  };
  let [low, high] = [-MOST_TURNED, MOST_TURNED];
  const rises = off(high) > off(low);
  for (let round = 0; round < 40; round += 1) {
    const by = (low + high) / 2;
    if (off(by) > 0 === rises) high = by;
    else low = by;
  }
  return turned((low + high) / 2);
}

interface Reached {
  inward: number;
  reach: number;
}

/** A shoe's two ends on the ground; a hidden heel lies a shoe's length from the toe, as its inner edge points. */
function endsOf(tapped: TappedShoe, { toe, heel }: Heights, { length }: Given, place: Place): Ends {
  const end = place(tapped.toe, toe);
  if ('heel' in tapped) return { toe: end, heel: place(tapped.heel, heel) };
  const edge = tapped.edge.map((point) => place(point, EDGE_MM)) as [Point, Point];
  const along = alongEdge(end, edge, length);
  return { toe: end, heel: { x: end.x - length * along.x, y: end.y - length * along.y } };
}

/** A shoe's two ends on the ground, mm. */
interface Ends {
  toe: Point;
  heel: Point;
}
type Place = (pixel: Point, height: number) => Point;

/** The target line as a direction on the ground: along the stick, or along the sheet's edge that is nearest the heels' line. */
function lineOf({ taps, turned }: Given, place: Place, heels: Point): Point {
  const found = taps.stick
    ? unit(minus(place(taps.stick[1], 0), place(taps.stick[0], 0)))
    : Math.abs(heels.x) >= Math.abs(heels.y)
      ? { x: 1, y: 0 }
      : { x: 0, y: 1 };
  const toward = dot(found, heels) >= 0 ? found : { x: -found.x, y: -found.y };
  const [sine, cosine] = [Math.sin(radians(turned)), Math.cos(radians(turned))];
  return { x: toward.x * cosine - toward.y * sine, y: toward.x * sine + toward.y * cosine };
}

/** Where the camera stood, from known points. */
export const poseOf = (known: Known, camera: Camera, bend: number): Pose =>
  poseFrom(
    fitHomography(
      known.ground,
      known.image.map((point) => straightened(point, camera, bend)),
    ),
    camera,
  );

/** Where a pixel's point at a height lies, mm. */
export const placeIn =
  ({ camera, bend, pose }: Given): Place =>
  (pixel, height) =>
    pointAt(pose, straightened(pixel, camera, bend), height);

/** An address in a photo, and how long the shoes come out, mm. */
interface Standing {
  address: Address;
  frame: Frame;
  lengths: Record<FootName, number>;
}

/** The address that a photo shows, and where it lies: ball at the origin, x toward the target, y from the feet toward the ball. */
export function standingIn(given: Given): Standing {
  const { taps, shoe, heights, pose } = given;
  const place = placeIn(given);
  const [lead, trail] = [
    endsOf(taps.lead, heights.lead, given, place),
    endsOf(taps.trail, heights.trail, given, place),
  ];
  const ball = place(taps.ball, BALL_MIDDLE_MM);
  const x = lineOf(given, place, minus(lead.heel, trail.heel));
  const across = { x: -x.y, y: x.x };
  const out = minus(ball, middle(lead.heel, trail.heel));
  const y = dot(across, out) >= 0 ? across : { x: -across.x, y: -across.y };
  const from = (point: Point): Point => ({ x: dot(minus(point, ball), x), y: dot(minus(point, ball), y) });
  return {
    address: {
      shoe,
      lead: footFromPoints('lead', from(lead.heel), from(lead.toe)),
      trail: footFromPoints('trail', from(trail.heel), from(trail.toe)),
    },
    frame: { pose, ball, x, y },
    lengths: { lead: lengthOf(lead), trail: lengthOf(trail) },
  };
}

const lengthOf = ({ toe, heel }: Ends): number => Math.hypot(toe.x - heel.x, toe.y - heel.y);

/** A point of an address on the ground of the picture, mm. */
const onGround = ({ ball, x, y }: Frame, point: Point): Point => ({
  x: ball.x + point.x * x.x + point.y * y.x,
  y: ball.y + point.x * x.y + point.y * y.y,
});

/**
 * Where a point of a measured address is seen, to be drawn over the photo.
 * @param frame where the address lies
 * @param point of the address, mm
 * @param height above the ground, mm
 * @returns pixels
 */
export const addressSeen = (frame: Frame, point: Point, height: number): Point =>
  seenAt(frame.pose, onGround(frame, point), height);

/** From where a photo shows an address. */
export function viewOf(frame: Frame, camera: Camera, address: Address): View {
  const ends = [address.lead.heel, toePoint(address, 'lead'), address.trail.heel, toePoint(address, 'trail')];
  const feet = { x: mean(ends.map(({ x }) => x)), y: mean(ends.map(({ y }) => y)) };
  const at = onGround(frame, feet);
  const away = minus({ x: frame.pose.place[0], y: frame.pose.place[1] }, at);
  return {
    elevation: elevationOver(frame.pose, at),
    around: degrees(Math.abs(Math.atan2(dot(away, frame.x), dot(away, frame.y)))),
    sharpness: Math.min(...ends.map((end) => sharpnessAt(frame.pose, camera, onGround(frame, end)))),
    // Seen from above, a left-hander's target is to the right of the ball's direction.
    hand: frame.x.x * frame.y.y - frame.x.y * frame.y.x > 0 ? 'left' : 'right',
  };
}
