import type { Hand } from '@pedastance/core/body';
import { soleReach, toePoint, type Address, type Point } from '@pedastance/core/setup';

/**
 * How the ground is laid on the screen. The core knows lead and trail only; the screen mirrors.
 * Seen by the coach facing the student, the ball is below the feet and a right-hander's target to
 * the right; seen by the student looking down, both are the other way round.
 */
export interface Frame {
  /** The ground point at the middle of the drawing's feet, mm. */
  centre: Point;
  /** What the drawing has to show across the target line, mm. */
  width: number;
  /** And at right angles to it, from the furthest heel to the furthest toe, mm. */
  depth: number;
}

const MARGIN_ACROSS_MM = 165;
const LEAST_WIDTH_MM = 700;

/** A frame that shows both feet with room to move them. */
export function frameFor(address: Address): Frame {
  const left = soleReach(address, 'trail').least;
  const right = soleReach(address, 'lead').greatest;
  const heels = Math.min(address.lead.heel.y, address.trail.heel.y);
  const toes = Math.max(toePoint(address, 'lead').y, toePoint(address, 'trail').y);
  return {
    centre: { x: (left + right) / 2, y: toes },
    width: Math.max(LEAST_WIDTH_MM, right - left + 2 * MARGIN_ACROSS_MM),
    depth: toes - heels,
  };
}

/** The feet may come so much nearer to what is written beside them, and behind and before them, mm. */
const ROOM_ACROSS_MM = 35;
const ROOM_ALONG_MM = 20;

/** Whether the feet have left the room a frame gives them, or shrunk well below it. */
export function needsNewFrame(frame: Frame, address: Address): boolean {
  const wanted = frameFor(address);
  const aside = Math.abs(wanted.centre.x - frame.centre.x) + (wanted.width - frame.width) / 2;
  return (
    aside > ROOM_ACROSS_MM ||
    Math.abs(wanted.centre.y - frame.centre.y) > ROOM_ALONG_MM ||
    wanted.depth > frame.depth + ROOM_ALONG_MM
  );
}

/** Signs that take ground axes to the screen's (x to the right, y down). */
export function screenSigns(hand: Hand, viewpoint: Viewpoint): { x: 1 | -1; y: 1 | -1 } {
  const targetToTheRight = (hand === 'right') === (viewpoint === 'coach');
  return { x: targetToTheRight ? 1 : -1, y: viewpoint === 'coach' ? 1 : -1 };
}

export interface Projection {
  toScreen: (point: Point) => Point;
  toGround: (point: Point) => Point;
  signs: { x: 1 | -1; y: 1 | -1 };
}

/** Ground millimetres to drawing millimetres and back; the middle of the toes is the drawing's origin. */
export function projection(frame: Frame, hand: Hand, viewpoint: Viewpoint): Projection {
  const signs = screenSigns(hand, viewpoint);
  return {
    signs,
    toScreen: ({ x, y }) => ({ x: signs.x * (x - frame.centre.x), y: signs.y * (y - frame.centre.y) }),
    toGround: ({ x, y }) => ({ x: x * signs.x + frame.centre.x, y: y * signs.y + frame.centre.y }),
  };
}

export type Viewpoint = 'coach' | 'student';
