import type { Point } from '@pedastance/core/setup';

/** Attributes of the drawing's parts by part and attribute; `text` is a part's words. */
export type Drawing = Record<string, Record<string, string>>;

/** A number as it is written in the drawing: to a hundredth of a millimetre. */
export const n = (value: number): string => (Math.round(value * 100) / 100).toString();

export const moved = (x: number, y: number): string => `translate(${n(x)} ${n(y)})`;

/**
 * Words at a place. The place is the transform of a group around them: a text whose own transform
 * changes has its letters laid out again, one that is carried along has not.
 */
export const label = (part: string, x: number, y: number, attributes: Drawing[string]): Drawing => ({
  [`${part}-at`]: { transform: moved(x, y) },
  [part]: attributes,
});

export const segment = (from: Point, to: Point) => ({
  x1: n(from.x),
  y1: n(from.y),
  x2: n(to.x),
  y2: n(to.y),
});
