import { dot } from '../statistics';
import {
  FEET_FIGURES,
  groundFigure,
  measureAddress,
  type FeetFigure,
  type FootName,
  type Point,
} from '../setup';
import {
  BALL_DEVIATION_MM,
  BALL_MIDDLE_MM,
  BALL_MM,
  ballAcross,
  beginning,
  HELD_DEVIATIONS,
  LAID_UP_MM,
  tiltedPose,
  type CameraHeld,
  type KnownLength,
} from './byLength';
import {
  placeIn,
  poseOf,
  standingIn,
  straightened,
  USUAL_DOUBTS,
  USUAL_HEIGHTS,
  viewOf,
  type Doubts,
  type FeetPhoto,
  type Given,
  type Heights,
  type Known,
  type MeasuredFeet,
  type TappedShoe,
  type Taps,
} from './feet';
import { Degenerate } from './degenerate';
import type { Camera, Pose } from './pose';
import { agreed, type Check } from './uncertainty';

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

const diagonal = (size: number, value: number): number[][] =>
  Array.from({ length: size }, (_, row) =>
    Array.from({ length: size }, (_each, at) => (at === row ? value : 0)),
  );
/** Numbers in runs of the lengths given, and those that are left. */
function split(
  numbers: readonly number[],
  lengths: readonly [number, number],
): [number[], number[], number[]] {
  const [first, second] = [lengths[0], lengths[0] + lengths[1]];
  return [numbers.slice(0, first), numbers.slice(first, second), numbers.slice(second)];
}

/** What comes out and ought to be as it is known. */
interface Comparison {
  of: (given: Given, basis: readonly number[]) => number;
  known: number;
  deviation: number;
}

/** What the pose follows from: inputs of its own, and what they have to agree with. */
interface Basis {
  inputs: readonly number[];
  /** One standard deviation of each. */
  deviations: readonly number[];
  pose: (inputs: readonly number[], scale: number, camera: Camera, bend: number) => Pose;
  comparisons: readonly Comparison[];
  /** How often everything is worked through: more often from a beginning that is far off. */
  rounds: number;
}

/** Known points that err together are carried by what makes them err, each of which is independent of the others. */
function byPoints(known: Known, doubts: Doubts): Basis {
  const spread = known.spread ?? diagonal(2 * known.image.length, doubts.known);
  // Most inputs leave the pose as it is: it is worked out once for each that does not.
  const poses = new Map<string, Pose>();
  return {
    inputs: spread.map(() => 0),
    deviations: spread.map(() => 1),
    comparisons: [],
    rounds: 2,
    pose(errors, scale, camera, bend) {
      const key = [...errors, scale, camera.focal, bend].join();
      const kept = poses.get(key);
      if (kept) return kept;
      const seen = numbersOf(known.image).map((value, at) => value + dot(spread[at]!, errors));
      const ground = known.ground.map(({ x, y }) => ({ x: x * scale, y: y * scale }));
      const pose = poseOf({ ground, image: pointsOf(seen) }, camera, bend);
      poses.set(key, pose);
      return pose;
    },
  };
}

const apart = (a: Point, b: Point): number => Math.hypot(a.x - b.x, a.y - b.y);

/** How long the club comes out that lies along the target line, mm. */
function laidLength(given: Given): number {
  const [one, other] = given.taps.stick!;
  const place = placeIn(given);
  return apart(place(one, LAID_UP_MM), place(other, LAID_UP_MM));
}

/** How far shoes and ball may be off while a beginning is looked for, mm. */
const SHOE_OFF = 15;
const BALL_OFF = 2;

/** A known length, the ball and the shoes: together they say how the camera was held. */
function byLength(known: KnownLength, doubts: Doubts, photo: Omit<Given, 'pose'>): Basis {
  const [one, other] = known.ball;
  const seenAcross = apart(one, other);
  if (!(seenAcross > 1)) throw new Degenerate();
  const ballIn = (given: Given, across: number): number => {
    const { taps, camera, bend, pose } = given;
    const side = (by: number): Point => ({
      x: taps.ball.x + (by * across * (other.x - one.x)) / seenAcross,
      y: taps.ball.y + (by * across * (other.y - one.y)) / seenAcross,
    });
    const sides = [-0.5, 0.5].map((by) => straightened(side(by), camera, bend)) as [Point, Point];
    return ballAcross(pose, camera, placeIn(given)(taps.ball, BALL_MIDDLE_MM), sides);
  };
  const at = (held: CameraHeld): Given => ({ ...photo, pose: tiltedPose(held, photo.camera) });
  const misfitAt = (held: CameraHeld): number => {
    const { lead, trail } = standingIn(at(held)).lengths;
    const shoes = ((lead - photo.length) / SHOE_OFF) ** 2 + ((trail - photo.length) / SHOE_OFF) ** 2;
    return shoes + ((ballIn(at(held), seenAcross) - BALL_MM) / BALL_OFF) ** 2;
  };
  const { height, tilt, side } = beginning(known.length, (held) => laidLength(at(held)), misfitAt);
  return {
    inputs: [height, tilt, side, seenAcross],
    deviations: [HELD_DEVIATIONS.height, HELD_DEVIATIONS.tilt, HELD_DEVIATIONS.side, Math.SQRT2 * doubts.tap],
    pose: ([up, down, aside], _scale, camera) =>
      tiltedPose({ height: up!, tilt: down!, side: aside! }, camera),
    comparisons: [
      { of: laidLength, known: known.length, deviation: doubts.laid },
      { of: (given, basis) => ballIn(given, basis[3]!), known: BALL_MM, deviation: BALL_DEVIATION_MM },
    ],
    rounds: 8,
  };
}

const FEET = ['lead', 'trail'] as const satisfies readonly FootName[];

/**
 * Measures the feet in a photo: each tapped point on the plane of its own height, all doubts carried to every figure.
 * @param photo camera, known points or a known length, taps, and the student's shoe, mm
 * @param heights of toe and heel tips, mm
 * @param doubts one standard deviation of what goes in
 * @returns the address, and each figure of the feet with one standard deviation
 * @throws Degenerate where what is known fixes no ground, or two taps are one
 */
export function measureFeet(
  photo: FeetPhoto,
  heights: Heights = USUAL_HEIGHTS,
  doubts: Doubts = USUAL_DOUBTS,
): MeasuredFeet {
  const { known, camera, taps, shoe } = photo;
  const unmoved = {
    camera,
    taps,
    shoe,
    heights: { lead: heights, trail: heights },
    turned: 0,
    bend: 0,
    length: shoe.length,
  };
  const basis = 'length' in known ? byLength(known, doubts, unmoved) : byPoints(known, doubts);
  const tapped = numbersOf(tapsIn(taps));
  const parts = (inputs: readonly number[]) => split(inputs, [basis.inputs.length, tapped.length]);
  const given = (inputs: readonly number[]): Given => {
    const [pose, moved, rest] = parts(inputs);
    const [toes, heels, leadToe, leadHeel, trailToe, trailHeel, turned, scale, focal, bend, length] =
      rest as [number, number, number, number, number, number, number, number, number, number, number];
    const lens = { ...camera, focal: camera.focal * focal };
    return {
      ...unmoved,
      camera: lens,
      pose: basis.pose(pose, scale, lens, bend),
      taps: withPoints(taps, pointsOf(moved)),
      heights: {
        lead: { toe: toes + leadToe, heel: heels + leadHeel },
        trail: { toe: toes + trailToe, heel: heels + trailHeel },
      },
      turned,
      bend,
      length,
    };
  };
  const { toe, heel } = heights;
  const inputs = [...basis.inputs, ...tapped, toe, heel, 0, 0, 0, 0, 0, 1, 1, 0, shoe.length];
  const deviations = [
    ...basis.deviations,
    ...tapped.map(() => doubts.tap),
    doubts.height,
    doubts.height,
    ...Array<number>(4).fill(doubts.heightEach),
    doubts.line,
    doubts.scale,
    doubts.focal,
    doubts.bend,
    doubts.shoe,
  ];
  // A shoe whose both ends were tapped is as long as the other shoes say: mostly that tells how high its ends were.
  const whole = FEET.filter((foot) => 'heel' in taps[foot]);
  const checks = [
    ...whole.map(() => ({ known: shoe.length, deviation: doubts.shoe })),
    ...basis.comparisons,
  ].map(({ known: value, deviation }, at): Check => ({
    result: FEET_FIGURES.length + at,
    known: value,
    deviation,
  }));
  const resultsOf = (values: readonly number[]): number[] => {
    const now = given(values);
    const { address, lengths } = standingIn(now);
    const measures = measureAddress(address);
    return [
      ...FEET_FIGURES.map((name) => groundFigure(name)!.measure(measures, address)),
      ...whole.map((foot) => lengths[foot]),
      ...basis.comparisons.map(({ of }) => of(now, parts(values)[0])),
    ];
  };
  const { told, off, inputs: best } = agreed(resultsOf, checks, inputs, deviations, basis.rounds);
  if (!told.every(({ value }) => Number.isFinite(value))) throw new Degenerate();
  const at = given(best);
  const { address, frame } = standingIn(at);
  return {
    address,
    frame,
    figures: Object.fromEntries(FEET_FIGURES.map((name, place) => [name, told[place]!])) as Record<
      FeetFigure,
      MeasuredFeet['figures'][FeetFigure]
    >,
    view: viewOf(frame, at.camera, address),
    lengthOff: Object.fromEntries(whole.map((foot, place) => [foot, off[place]!])),
  };
}
