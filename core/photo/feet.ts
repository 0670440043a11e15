import {
  FEET_FIGURES,
  footFromPoints,
  groundFigure,
  measureAddress,
  type Address,
  type FeetFigure,
  type FootName,
  type Point,
  type Shoe,
} from '../setup';
import { radians } from '../units';
import { Degenerate, fitHomography } from './homography';
import { pointAt, poseFrom, type Camera } from './pose';
import { carried, type Told } from './uncertainty';

/** Points of known places on the ground with where they are seen: a sheet's corners, or a printed code's edges. */
export interface Known {
  /** mm */
  ground: readonly Point[];
  /** pixels */
  image: readonly Point[];
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
export const USUAL_HEIGHTS: Heights = { toe: 15, heel: 10 };

/** One standard deviation of what goes in. */
export interface Doubts {
  /** Of a tap, pixels. */
  tap: number;
  /** Of a known point as it is seen, pixels. */
  known: number;
  /** Of a height, mm. */
  height: number;
  /** Of the target line, degrees: beside what the taps on a stick bring. */
  line: number;
}
export const USUAL_DOUBTS: Doubts = { tap: 2, known: 0.5, height: 5, line: 0.3 };
/** A sheet that was laid along the line by hand, degrees (starting value). */
export const LAID_BY_HAND = 2;

/** A photo of feet, as far as it is measured by. */
export interface FeetPhoto {
  camera: Camera;
  known: Known;
  taps: Taps;
  shoe: Shoe;
}

/** The feet as a photo shows them, and how sure each figure is, mm and degrees. */
export interface MeasuredFeet {
  address: Address;
  figures: Record<FeetFigure, Told>;
}

const minus = (a: Point, b: Point): Point => ({ x: a.x - b.x, y: a.y - b.y });
const dot = (a: Point, b: Point): number => a.x * b.x + a.y * b.y;
const middle = (a: Point, b: Point): Point => ({ x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 });

function unit(a: Point): Point {
  const length = Math.hypot(a.x, a.y);
  if (!(length > 0)) throw new Degenerate();
  return { x: a.x / length, y: a.y / length };
}

/** What is worked with: the photo, or one of it a little changed. */
interface Given extends FeetPhoto {
  heights: Record<FootName, Heights>;
  /** The ball's middle above the ground, mm. */
  ballHeight: number;
  /** Degrees that the target line is turned from where it was taken to be. */
  turned: number;
}

/** Half of a ball: 42.67 mm at least (Equipment Rules of golf). */
const BALL_MIDDLE_MM = 21.3;

/** A shoe's two ends on the ground; a hidden heel lies a shoe's length from the toe along the inner edge. */
function endsOf(tapped: TappedShoe, { toe, heel }: Heights, { shoe }: Given, place: Place) {
  const end = place(tapped.toe, toe);
  if ('heel' in tapped) return { toe: end, heel: place(tapped.heel, heel) };
  const [a, b] = tapped.edge.map((point) => place(point, 0)) as [Point, Point];
  const along = unit(minus(a, b));
  // From the heel to the toe: the end of the edge that is nearer the toe is the front one.
  const sign = dot(along, minus(end, middle(a, b))) >= 0 ? 1 : -1;
  return {
    toe: end,
    heel: { x: end.x - sign * shoe.length * along.x, y: end.y - sign * shoe.length * along.y },
  };
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

/** The address that a photo shows: ball at the origin, x toward the target, y from the feet toward the ball. */
function addressOf(given: Given): Address {
  const { camera, known, taps, shoe, heights, ballHeight } = given;
  const pose = poseFrom(fitHomography(known.ground, known.image), camera);
  const place: Place = (pixel, height) => pointAt(pose, camera, pixel, height);
  const [lead, trail] = [
    endsOf(taps.lead, heights.lead, given, place),
    endsOf(taps.trail, heights.trail, given, place),
  ];
  const ball = place(taps.ball, ballHeight);
  const x = lineOf(given, place, minus(lead.heel, trail.heel));
  const across = { x: -x.y, y: x.x };
  const out = minus(ball, middle(lead.heel, trail.heel));
  const y = dot(across, out) >= 0 ? across : { x: -across.x, y: -across.y };
  const from = (point: Point): Point => ({ x: dot(minus(point, ball), x), y: dot(minus(point, ball), y) });
  return {
    shoe,
    lead: footFromPoints('lead', from(lead.heel), from(lead.toe)),
    trail: footFromPoints('trail', from(trail.heel), from(trail.toe)),
  };
}

/** Every point that was tapped, in one order, and taps with other points in their places. */
const tapsIn = ({ lead, trail, ball, stick }: Taps): Point[] => [
  ...shoePoints(lead),
  ...shoePoints(trail),
  ball,
  ...(stick ?? []),
];
const shoePoints = (shoe: TappedShoe): Point[] =>
  'heel' in shoe ? [shoe.toe, shoe.heel] : [shoe.toe, ...shoe.edge];

function withPoints(taps: Taps, points: readonly Point[]): Taps {
  let at = 0;
  const next = (): Point => points[at++]!;
  const shoeOf = (shoe: TappedShoe): TappedShoe =>
    'heel' in shoe ? { toe: next(), heel: next() } : { toe: next(), edge: [next(), next()] };
  const [lead, trail, ball] = [shoeOf(taps.lead), shoeOf(taps.trail), next()];
  return { lead, trail, ball, stick: taps.stick && [next(), next()] };
}

const numbersOf = (points: readonly Point[]): number[] => points.flatMap(({ x, y }) => [x, y]);
const pointsOf = (numbers: readonly number[]): Point[] =>
  Array.from({ length: numbers.length / 2 }, (_, at) => ({ x: numbers[2 * at]!, y: numbers[2 * at + 1]! }));

/**
 * Measures the feet in a photo: each tapped point on the plane of its own height, all doubts carried to every figure.
 * @param photo camera, known points, taps, and the student's shoe, mm
 * @param heights of toe and heel tips, mm
 * @param doubts one standard deviation of what goes in
 * @returns the address, and each figure of the feet with one standard deviation
 * @throws Degenerate where the known points fix no ground, or two taps are one
 */
export function measureFeet(
  photo: FeetPhoto,
  heights: Heights = USUAL_HEIGHTS,
  doubts: Doubts = USUAL_DOUBTS,
): MeasuredFeet {
  const seen = numbersOf(photo.known.image);
  const tapped = numbersOf(tapsIn(photo.taps));
  const given = (inputs: readonly number[]): Given => {
    const image = pointsOf(inputs.slice(0, seen.length));
    const taps = withPoints(photo.taps, pointsOf(inputs.slice(seen.length, seen.length + tapped.length)));
    const [leadToe, leadHeel, trailToe, trailHeel, turned] = inputs.slice(seen.length + tapped.length);
    return {
      ...photo,
      known: { ...photo.known, image },
      taps,
      heights: { lead: { toe: leadToe!, heel: leadHeel! }, trail: { toe: trailToe!, heel: trailHeel! } },
      ballHeight: BALL_MIDDLE_MM,
      turned: turned!,
    };
  };
  const inputs = [...seen, ...tapped, heights.toe, heights.heel, heights.toe, heights.heel, 0];
  const deviations = [
    ...seen.map(() => doubts.known),
    ...tapped.map(() => doubts.tap),
    ...Array<number>(4).fill(doubts.height),
    doubts.line,
  ];
  const figuresOf = (address: Address): number[] => {
    const measures = measureAddress(address);
    return FEET_FIGURES.map((name) => groundFigure(name)!.measure(measures, address));
  };
  const told = carried((values) => figuresOf(addressOf(given(values))), inputs, deviations);
  return {
    address: addressOf(given(inputs)),
    figures: Object.fromEntries(FEET_FIGURES.map((name, at) => [name, told[at]!])) as MeasuredFeet['figures'],
  };
}
