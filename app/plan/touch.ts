import {
  footFromPoints,
  outwardSign,
  toePoint,
  type FootName,
  type Point,
  type Setup,
} from '@pedastance/core/setup';
import { radians } from '@pedastance/core/units';
import type { Projection } from './frame';

/** What a finger has hold of. */
export type Hold =
  | { kind: 'toe'; foot: FootName }
  | { kind: 'shoe'; foot: FootName }
  | { kind: 'load'; foot: FootName }
  | { kind: 'ball' };

const FEET: readonly FootName[] = ['lead', 'trail'];

/** A ground point in a foot's own frame: outward from its axis, and along it from the heel. */
export function inFoot(setup: Setup, foot: FootName, point: Point): { outward: number; along: number } {
  const { heel, flare } = setup.address[foot];
  const x = outwardSign(foot) * (point.x - heel.x);
  const y = point.y - heel.y;
  const sine = Math.sin(radians(flare));
  const cosine = Math.cos(radians(flare));
  return { outward: x * cosine - y * sine, along: x * sine + y * cosine };
}

const distance = (a: Point, b: Point): number => Math.hypot(a.x - b.x, a.y - b.y);

function shoeUnder(setup: Setup, point: Point, reach: number): FootName | undefined {
  const { length, breadth } = setup.address.shoe;
  return FEET.map((foot) => ({ foot, ...inFoot(setup, foot, point) }))
    .filter(
      ({ outward, along }) =>
        Math.abs(outward) < breadth / 2 + reach && along > -reach && along < length + reach,
    )
    .sort((a, b) => Math.abs(a.outward) - Math.abs(b.outward))[0]?.foot;
}

/**
 * What is under a finger at a screen point of the drawing (mm); `lineY` is where the ball's line is drawn. `reach` is how far off it may be,
 * mm; `load` asks for the soles alone.
 */
export function holdAt(
  setup: Setup,
  { place, lineY }: { place: Projection; lineY: number },
  at: Point,
  reach: number,
  load: boolean,
): Hold | null {
  const ground = place.toGround(at);
  const shoe = shoeUnder(setup, ground, reach / 2);
  if (load) return shoe ? { kind: 'load', foot: shoe } : null;
  const toes = FEET.map((foot) => ({ foot, off: distance(ground, toePoint(setup.address, foot)) }))
    .filter(({ off }) => off < reach)
    .sort((a, b) => a.off - b.off);
  if (toes[0]) return { kind: 'toe', foot: toes[0].foot };
  if (shoe) return { kind: 'shoe', foot: shoe };
  const ball = { x: place.toScreen({ x: 0, y: 0 }).x, y: place.signs.y * lineY };
  return distance(at, ball) < reach * 1.2 ? { kind: 'ball' } : null;
}

/** The flare that points a foot's axis from its heel at a ground point, degrees. */
export function flareToward(setup: Setup, foot: FootName, point: Point): number {
  const { flare } = footFromPoints(foot, setup.address[foot].heel, point);
  return Math.min(90, Math.max(-45, flare));
}

/** Where along the sole a finger is, 0 heel to 100 toe. */
export function loadAlong(setup: Setup, foot: FootName, point: Point): number {
  const along = inFoot(setup, foot, point).along / setup.address.shoe.length;
  return Math.min(100, Math.max(0, along * 100));
}
