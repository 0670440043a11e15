import type { PhotoListed } from '@pedastance/contract';
import type { Hand } from '@pedastance/core/body';
import { measureFeet, type MeasuredFeet } from '@pedastance/core/photo';
import type { Point, Shoe } from '@pedastance/core/setup';

/** The ground of two photos at one scale: the ball in the same place, the target line level. */

/** The box they are shown in, mm around the ball: to the sides, beyond the ball, and behind it. */
export const AROUND_MM = { aside: 620, beyond: 260, behind: 760 };

/** The feet of a photo that was kept, measured again from what it was measured by. */
export const measuredAgain = ({ sight }: PhotoListed, shoe: Shoe): MeasuredFeet =>
  measureFeet({ ...sight, shoe }, sight.heights);

/**
 * From an address to the box, as the student sees it looking down: the ball above, the target to the side of the lead foot.
 * @param scale px a mm
 */
export const toBox =
  (hand: Hand, scale: number) =>
  ({ x, y }: Point): Point => ({
    x: scale * (AROUND_MM.aside + (hand === 'right' ? -x : x)),
    y: scale * (AROUND_MM.beyond - y),
  });

type Three = readonly [number, number, number];
const times = (a: readonly Three[], b: readonly Three[]): Three[] =>
  a.map(
    (row) =>
      [0, 1, 2].map((column) =>
        row.reduce((sum, value, at) => sum + value * b[at]![column]!, 0),
      ) as unknown as Three,
  );

/** An address's axes on the ground of its photo, as a matrix. */
const toGround = ({ ball, x, y }: MeasuredFeet['frame']): Three[] => [
  [x.x, y.x, ball.x],
  [x.y, y.y, ball.y],
  [0, 0, 1],
];

/**
 * Where each point of the box is in the picture: nine numbers by rows, as a homography has them.
 * @param scale px a mm of the box
 */
export function boxToPicture({ frame }: MeasuredFeet, hand: Hand, scale: number): number[] {
  const side = hand === 'right' ? -1 : 1;
  const toAddress: Three[] = [
    [side / scale, 0, -side * AROUND_MM.aside],
    [0, -1 / scale, AROUND_MM.beyond],
    [0, 0, 1],
  ];
  const toPixels = [0, 3, 6].map((at) => frame.pose.homography.slice(at, at + 3) as unknown as Three);
  return times(toPixels, times(toGround(frame), toAddress)).flat();
}

/**
 * The transform of a picture that lays its ground into the box (CSS Transforms, matrix3d): pixels to ground, ground to
 * address, address to box.
 */
export function pictureOnGround({ frame }: MeasuredFeet, hand: Hand, scale: number): string {
  const back = [0, 3, 6].map((at) => frame.pose.back.slice(at, at + 3) as unknown as Three);
  const { ball, x, y } = frame;
  const toAddress: Three[] = [
    [x.x, x.y, -(x.x * ball.x + x.y * ball.y)],
    [y.x, y.y, -(y.x * ball.x + y.y * ball.y)],
    [0, 0, 1],
  ];
  const side = hand === 'right' ? -1 : 1;
  const toScreen: Three[] = [
    [side * scale, 0, scale * AROUND_MM.aside],
    [0, -scale, scale * AROUND_MM.beyond],
    [0, 0, 1],
  ];
  const whole = times(toScreen, times(toAddress, back));
  const sign = whole[2]![2] < 0 ? -1 : 1;
  const cell = (row: number, column: number) => sign * whole[row]![column]!;
  return `matrix3d(${[
    [cell(0, 0), cell(1, 0), 0, cell(2, 0)],
    [cell(0, 1), cell(1, 1), 0, cell(2, 1)],
    [0, 0, 1, 0],
    [cell(0, 2), cell(1, 2), 0, cell(2, 2)],
  ]
    .flat()
    .join(',')})`;
}
