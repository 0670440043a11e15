import { innerReach, type Point } from '..';
import type { FeetPhoto, TappedShoe } from '../photo';

const SHOE = { length: 290, breadth: 105 };
const A4: Point[] = [
  { x: 0, y: 0 },
  { x: 210, y: 0 },
  { x: 210, y: 297 },
  { x: 0, y: 297 },
];
export const CAMERA = { centre: { x: 2016, y: 1512 }, focal: 3029 };
/** A printed code's edges, pixels. */
export const KNOWN = 0.15;
export const TRUTH = { width: 420, leadFlare: 22, trailFlare: 8, setback: 40, ballAlong: 60 };

export interface Scene {
  /** Of the camera above the feet, degrees. */
  elevation: number;
  /** Where it stands around the feet: 0 in front of the student, 90 beside, degrees. */
  around: number;
  left: boolean;
  heel: 'seen' | 'hidden';
  /** How the photo is scaled: a sheet between the feet, or the club that lies along the target line. */
  scaledBy?: 'sheet' | 'club';
  /** From the middle of the feet, mm. */
  far?: number;
  /** How far from between the feet the sheet lies, mm. */
  sheetAside?: number;
}

/** The club that lies along the line, mm. */
const CLUB = 1200;

const rad = (degrees: number) => (degrees * Math.PI) / 180;

/** Feet drawn with plain trigonometry, the sheet between them, seen by a pinhole camera of this test's own. */
export function scene(
  { elevation, around, left, heel, scaledBy = 'sheet', far = 1600, sheetAside = 0 }: Scene,
  random: () => number,
): FeetPhoto {
  const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
  // The ground as it lies: x to the target for a left-hander, away from it for a right-hander; y toward the ball.
  const side = left ? 1 : -1;
  const at = (x: number, y: number): Point => ({ x: side * x, y });
  const foot = (heelX: number, flare: number, sign: number, toeY: number) => {
    const toe = { x: heelX + sign * SHOE.length * Math.sin(rad(flare)), y: toeY };
    return { toe, heel: { x: heelX, y: toeY - SHOE.length * Math.cos(rad(flare)) } };
  };
  const toes = -280;
  const lead = foot(TRUTH.ballAlong, TRUTH.leadFlare, 1, toes);
  const trail = foot(TRUTH.ballAlong - TRUTH.width, TRUTH.trailFlare, -1, toes - TRUTH.setback);
  const middle = at(TRUTH.ballAlong - TRUTH.width / 2, toes - 80);
  const [flat, height] = [far * Math.cos(rad(elevation)), far * Math.sin(rad(elevation))];
  const place = [middle.x + flat * Math.sin(rad(around)), middle.y + flat * Math.cos(rad(around)), height];
  const norm = (v: number[]) => v.map((value) => value / Math.hypot(...v));
  const cross = (a: number[], b: number[]) => [
    a[1]! * b[2]! - a[2]! * b[1]!,
    a[2]! * b[0]! - a[0]! * b[2]!,
    a[0]! * b[1]! - a[1]! * b[0]!,
  ];
  const forward = norm([middle.x - place[0]!, middle.y - place[1]!, -height]);
  const right = norm(cross(forward, [0, 0, 1]));
  const down = cross(forward, right);
  const see = (point: Point, up: number, noise: number): Point => {
    const from = [point.x - place[0]!, point.y - place[1]!, up - height];
    const along = (axis: number[]) => axis.reduce((sum, value, k) => sum + value * from[k]!, 0);
    return {
      x: CAMERA.centre.x + (CAMERA.focal * along(right)) / along(forward) + noise * normal(),
      y: CAMERA.centre.y + (CAMERA.focal * along(down)) / along(forward) + noise * normal(),
    };
  };
  // Where rays of the camera touch the ball's sides: a little nearer to the camera than its middle.
  const touched = (side: number): Point => {
    const ray = [-place[0]!, -place[1]!, 21.35 - place[2]!];
    const away = Math.hypot(...ray);
    const aside = norm(cross(ray, [0, 0, 1]));
    const out = side * 21.35 * Math.sqrt(1 - (21.35 / away) ** 2);
    const nearer = (21.35 / away) ** 2;
    const [x, y, z] = [0, 1, 2].map((k) => out * aside[k]! - nearer * ray[k]!);
    return see({ x: x!, y: y! }, 21.35 + z!, 2);
  };
  // A pair of shoes is alike; what is left is the grass.
  const [toesUp, heelsUp] = [15 + 5 * normal(), 10 + 5 * normal()];
  const tapped = ({ toe, heel: back }: typeof lead): TappedShoe => {
    const tip = see(at(toe.x, toe.y), toesUp + 2 * normal(), 2);
    if (heel === 'seen') return { toe: tip, heel: see(at(back.x, back.y), heelsUp + 2 * normal(), 2) };
    // The sole's inner edge, toward the other foot.
    const inward = toe.x > back.x ? -1 : 1;
    const edge = (share: number) => {
      const [along, across] = [(toe.x - back.x) / SHOE.length, (toe.y - back.y) / SHOE.length];
      const reach = inward * SHOE.breadth * innerReach(share);
      const [x, y] = [back.x + share * (toe.x - back.x), back.y + share * (toe.y - back.y)];
      return see(at(x + reach * across, y - reach * along), 6, 2);
    };
    return { toe: tip, edge: [edge(0.3), edge(0.8)] };
  };
  const sheet = A4.map(({ x, y }) => ({ x: middle.x - 105 + sheetAside + x, y: middle.y - 60 + y }));
  const ball = [-1, 1].map((side) => touched(side)) as [Point, Point];
  return {
    camera: CAMERA,
    shoe: { ...SHOE, length: SHOE.length + 5 * normal() },
    known:
      scaledBy === 'club'
        ? { length: CLUB + 8 * normal(), ball }
        : { ground: A4, image: sheet.map((corner) => see(corner, 0, KNOWN)) },
    taps: {
      lead: tapped(lead),
      trail: tapped(trail),
      ball:
        scaledBy === 'club'
          ? { x: (ball[0].x + ball[1].x) / 2, y: (ball[0].y + ball[1].y) / 2 }
          : see(at(0, 0), 21.3, 2),
      stick: [see(at(-700, 120), 6, 2), see(at(500, 120), 6, 2)],
    },
  };
}
