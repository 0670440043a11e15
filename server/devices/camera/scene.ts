import { soleOutline, type Shoe } from '@pedastance/core/setup';
import { seenBy, type Camera, type Vector } from './lens';

/** A place on the ground as it lies, mm: seen from above, y is from the feet toward the ball. */
export interface Spot {
  x: number;
  y: number;
}

/** How somebody stands for a photograph. Lengths mm, angles degrees. */
export interface Standing {
  hand: 'right' | 'left';
  shoe: Shoe;
  stanceWidth: number;
  leadFlare: number;
  trailFlare: number;
  setback: number;
  ballAlong: number;
  /** From the lead toe out to the ball. */
  ballBeyondToe: number;
  /** How high the foremost and the rearmost points of the soles are. */
  toeHeight: number;
  heelHeight: number;
}

/** A flat thing with a picture on it that lies on the ground, or hovers where it curls. */
export interface Laid {
  /** Its picture: a grey for each point, with so many points a mm. */
  raster: { width: number; height: number; data: Uint8Array; perMm: number };
  /** Its middle. */
  at: Spot;
  /** Turned against the clock, degrees. */
  turned: number;
  /** Printed lengths as a share of what they should be; the paper is not changed by it. */
  scale: number;
  /** How far its middle stands up, mm. */
  curl: number;
}

export interface Scene {
  standing: Standing;
  laid: readonly Laid[];
  /** A stick along the target line, this far beyond the ball, and how far it is turned from the line; null for none. */
  stick: { beyond: number; turned: number } | null;
  ground: 'grass' | 'mat';
  shoes: 'dark' | 'white';
  trousers: boolean;
}

/** Where a foot is: its ends on the ground and which way it points. */
export interface FootAt {
  heel: Spot;
  toe: Spot;
}

export interface Truth {
  lead: FootAt;
  trail: FootAt;
  ball: Spot;
  /** From away from the target toward it. */
  stick: readonly [Spot, Spot] | null;
}

export const BALL_RADIUS = 21.35;
export const STICK_HALF = 600;
const radians = (degrees: number): number => (degrees * Math.PI) / 180;

/** Where everything of a scene lies: the ball at the origin. */
export function truthOf({ standing, stick }: Scene): Truth {
  const { hand, shoe, stanceWidth, leadFlare, trailFlare, setback, ballAlong, ballBeyondToe } = standing;
  // Whoever is right-handed and faces the ball has the target on the left.
  const toTarget = hand === 'right' ? -1 : 1;
  const foot = (along: number, flare: number, outward: 1 | -1, toeY: number): FootAt => ({
    heel: { x: toTarget * along, y: toeY - shoe.length * Math.cos(radians(flare)) },
    toe: { x: toTarget * (along + outward * shoe.length * Math.sin(radians(flare))), y: toeY },
  });
  const end = (side: 1 | -1, { beyond, turned }: { beyond: number; turned: number }): Spot => ({
    x: side * toTarget * STICK_HALF * Math.cos(radians(turned)),
    y: beyond + side * STICK_HALF * Math.sin(radians(turned)),
  });
  return {
    lead: foot(ballAlong, leadFlare, 1, -ballBeyondToe),
    trail: foot(ballAlong - stanceWidth, trailFlare, -1, -ballBeyondToe - setback),
    ball: { x: 0, y: 0 },
    stick: stick && [end(-1, stick), end(1, stick)],
  };
}

/** Where a camera sees the two sides of the ball: its rays there only touch it. */
export function sidesOfBall(camera: Camera): [Spot, Spot] {
  const ray: Vector = [-camera.place[0], -camera.place[1], BALL_RADIUS - camera.place[2]];
  const away = Math.hypot(...ray);
  const level = Math.hypot(ray[0], ray[1]);
  // Straight above the ball every direction is to its side.
  const aside: Vector = level > 1 ? [-ray[1] / level, ray[0] / level, 0] : [1, 0, 0];
  const sine = BALL_RADIUS / away;
  const touched = (side: 1 | -1): Spot => {
    const out = side * BALL_RADIUS * Math.sqrt(1 - sine * sine);
    const nearer = (BALL_RADIUS * sine) / away;
    return seenBy(camera, [
      out * aside[0] - nearer * ray[0],
      out * aside[1] - nearer * ray[1],
      BALL_RADIUS - nearer * ray[2],
    ]);
  };
  return [touched(-1), touched(1)];
}

/** One slice of a shoe or a leg: an outline at a height, with its light. */
export interface Slice {
  height: number;
  outline: readonly Vector[];
  light: number;
  material: 'sole' | 'upper' | 'trousers';
}

const share = (value: number, from: number, to: number): number =>
  Math.min(1, Math.max(0, (value - from) / (to - from)));

/** How much shorter than the whole a sole is at a height: rounded in below its tip and above it. */
const drawnIn = (height: number, tip: number): number =>
  height < tip ? 10 * (1 - height / Math.max(1, tip)) ** 2 : 0.015 * (height - tip) ** 2;

const SLICE_MM = 2;
const SOLE_MM = 24;
const UPPER_MM = 84;
const LEG_MM = 360;
const LEG_RADIUS = 62;

/** A shoe with the leg above it, from the ground up. */
export function slicesOf(foot: FootAt, scene: Scene, inside: 1 | -1): Slice[] {
  const { shoe, toeHeight, heelHeight } = scene.standing;
  const length = Math.hypot(foot.toe.x - foot.heel.x, foot.toe.y - foot.heel.y);
  const along = { x: (foot.toe.x - foot.heel.x) / length, y: (foot.toe.y - foot.heel.y) / length };
  // Outward of the sole's outline is +x there.
  const outward = { x: inside * along.y, y: -inside * along.x };
  const at = (out: number, forward: number, height: number): Vector => [
    foot.heel.x + out * outward.x + forward * along.x,
    foot.heel.y + out * outward.y + forward * along.y,
    height,
  ];
  const outline = soleOutline(shoe);
  const slices: Slice[] = [];
  for (let height = 0; height <= UPPER_MM; height += SLICE_MM) {
    const up = share(height, SOLE_MM, UPPER_MM);
    const toe = shoe.length - Math.min(150, drawnIn(height, toeHeight)) - 60 * up ** 2;
    const heel = Math.min(40, drawnIn(height, heelHeight) * 0.6);
    const breadth = (1 - 0.35 * up) * (1 - 0.06 * (1 - share(height, 0, 8)));
    slices.push({
      height,
      material: height <= SOLE_MM ? 'sole' : 'upper',
      light: 0.55 + 0.45 * up,
      outline: outline.map(({ x, y }) => at(breadth * x, heel + (y / shoe.length) * (toe - heel), height)),
    });
  }
  if (!scene.trousers) return slices;
  for (let height = UPPER_MM; height <= LEG_MM; height += 6) {
    const round = Array.from({ length: 24 }, (_, step) => (2 * Math.PI * step) / 24);
    slices.push({
      height,
      material: 'trousers',
      light: 0.7 + 0.3 * share(height, UPPER_MM, LEG_MM),
      outline: round.map((turn) =>
        at(LEG_RADIUS * Math.cos(turn), 78 + LEG_RADIUS * Math.sin(turn) + 0.12 * height, height),
      ),
    });
  }
  return slices;
}
