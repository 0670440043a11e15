import { degrees, radians } from '../units';
import type { Address, FootName, PlacedFoot, Point, Shoe } from './ground';

/** So much flare starts to stop the turn again (common practice, no source), degrees. */
export const MOST_FLARE = 45;

/**
 * +1 where outward is toward the target (lead foot), -1 where it is away from it (trail foot).
 * @param foot lead or trail
 * @returns the sign of outward along +x
 * @example outwardSign('trail') // -1
 */
export const outwardSign = (foot: FootName): 1 | -1 => (foot === 'lead' ? 1 : -1);

/**
 * From the heel point to the toe point of a foot flared by `flare` degrees, mm.
 * @param foot lead or trail
 * @param flare degrees
 * @param shoeLength mm
 * @returns x toward the target, y toward the ball, mm
 * @example heelToToe('lead', 0, 290) // { x: 0, y: 290 }
 */
export function heelToToe(foot: FootName, flare: number, shoeLength: number): Point {
  return {
    x: outwardSign(foot) * shoeLength * Math.sin(radians(flare)),
    y: shoeLength * Math.cos(radians(flare)),
  };
}

/**
 * The foremost point of the sole on its long axis, mm.
 * @param address the address, mm and degrees
 * @param foot lead or trail
 * @returns x toward the target, y toward the ball, mm
 */
export function toePoint(address: Address, foot: FootName): Point {
  const { heel, flare } = address[foot];
  const along = heelToToe(foot, flare, address.shoe.length);
  return { x: heel.x + along.x, y: heel.y + along.y };
}

/**
 * A foot from its two end points: the flare is read from the line between them.
 * @param foot lead or trail
 * @param heel mm
 * @param toe mm
 * @returns the heel with the flare, degrees
 * @example footFromPoints('lead', { x: 0, y: 0 }, { x: 0, y: 290 }) // { heel: { x: 0, y: 0 }, flare: 0 }
 */
export function footFromPoints(foot: FootName, heel: Point, toe: Point): PlacedFoot {
  return { heel, flare: degrees(Math.atan2(outwardSign(foot) * (toe.x - heel.x), toe.y - heel.y)) };
}

/** Share of the half breadth at `along` (0 heel, pi toe) on one side of the sole, before scaling. */
const sideShape = (along: number, waist: number): number =>
  Math.sin(along) ** 0.72 * (1 - 0.2 * Math.cos(along) + waist * Math.cos(2 * along));

const OUTLINE_STEPS = 24;
const OUTER_WAIST = 0.12;
const INNER_WAIST = 0.2;

function sideOfSole(waist: number): Point[] {
  const shares = Array.from({ length: OUTLINE_STEPS + 1 }, (_, step) => {
    const along = (Math.PI * step) / OUTLINE_STEPS;
    return { x: Math.max(0, sideShape(along, waist)), y: (1 - Math.cos(along)) / 2 };
  });
  const widest = Math.max(...shares.map((share) => share.x));
  return shares.map((share) => ({ x: share.x / (2 * widest), y: share.y }));
}

const OUTER_SIDE = sideOfSole(OUTER_WAIST);
const INNER_SIDE = sideOfSole(INNER_WAIST);

/** The sole as a closed outline in shares of breadth (x, outward positive) and length (y, heel 0). */
const UNIT_OUTLINE: readonly Point[] = [
  ...OUTER_SIDE,
  ...INNER_SIDE.slice(1, -1)
    .reverse()
    .map((point) => ({ x: -point.x, y: point.y })),
];

/**
 * The sole's outline in the foot's own frame, mm: heel point at the origin, +y toward the toe,
 * +x outward. A simple shoe shape (starting value), widest at half the breadth on each side.
 * @param shoe length and breadth, mm
 * @returns the corners in order, mm
 */
export function soleOutline(shoe: Shoe): Point[] {
  return UNIT_OUTLINE.map((point) => ({ x: point.x * shoe.breadth, y: point.y * shoe.length }));
}

/**
 * Points of a foot's own frame (as `soleOutline` has them) where they lie in an address.
 * @param address the address, mm and degrees
 * @param foot lead or trail
 * @param points +x outward and +y toward the toe from the heel, mm
 * @returns x toward the target, y toward the ball, mm
 */
export function footPoints(address: Address, foot: FootName, points: readonly Point[]): Point[] {
  const { heel, flare } = address[foot];
  const along = heelToToe(foot, flare, 1);
  const outward = outwardSign(foot);
  const [cosine, sine] = [Math.cos(radians(flare)), Math.sin(radians(flare))];
  return points.map(({ x, y }) => ({
    x: heel.x + y * along.x + outward * x * cosine,
    y: heel.y + y * along.y - x * sine,
  }));
}

/**
 * How far in from the long axis the sole's inner edge is, as a share of the breadth.
 * @param along share of the length, 0 heel to 1 toe
 * @returns share of the breadth; nought beyond the ends
 * @example innerReach(0) // 0
 */
export function innerReach(along: number): number {
  const after = INNER_SIDE.findIndex(({ y }) => y >= along);
  if (after <= 0 || along > 1) return 0;
  const [a, b] = [INNER_SIDE[after - 1]!, INNER_SIDE[after]!];
  return a.x + ((along - a.y) / (b.y - a.y)) * (b.x - a.x);
}

/**
 * How far the sole reaches along the target line, from its least to its greatest x, mm.
 * @param address the address, mm and degrees
 * @param foot lead or trail
 * @returns the least and the greatest x, mm
 */
export function soleReach(address: Address, foot: FootName): { least: number; greatest: number } {
  const { heel, flare } = address[foot];
  const sign = outwardSign(foot);
  const sine = Math.sin(radians(flare));
  const cosine = Math.cos(radians(flare));
  let least = Infinity;
  let greatest = -Infinity;
  for (const point of UNIT_OUTLINE) {
    const outward = point.x * address.shoe.breadth * cosine + point.y * address.shoe.length * sine;
    const x = heel.x + sign * outward;
    if (x < least) least = x;
    if (x > greatest) greatest = x;
  }
  return { least, greatest };
}
