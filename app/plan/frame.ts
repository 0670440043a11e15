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
  /** And at right angles to it, from the furthest heel to the ball's strip, mm. */
  depth: number;
}

/** Between the toes and the drawn target line, mm; the ball's true distance is cut short by a break. */
export const STRIP_MM = 150;
const MARGIN_ACROSS_MM = 150;
const MARGIN_HEELS_MM = 110;
const MARGIN_BALL_MM = 75;
/** Both margins of a frame's depth together. */
export const MARGINS_MM = MARGIN_HEELS_MM + MARGIN_BALL_MM;
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
    depth: MARGIN_HEELS_MM + (toes - heels) + STRIP_MM + MARGIN_BALL_MM,
  };
}

/** Whether the feet have left the room a frame gives them, or shrunk well below it. */
export function needsNewFrame(frame: Frame, address: Address): boolean {
  const wanted = frameFor(address);
  const aside = Math.abs(wanted.centre.x - frame.centre.x) + (wanted.width - frame.width) / 2;
  return (
    aside > MARGIN_ACROSS_MM * 0.5 ||
    Math.abs(wanted.centre.y - frame.centre.y) > 60 ||
    wanted.depth > frame.depth + 40
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
