import { projected } from '@pedastance/core/photo';
import type { PhotoListed } from '@pedastance/contract';
import { AROUND_MM, measuredAgain, pictureOnGround, toBox } from './groundView';

const SHOE = { length: 290, breadth: 105 };
/** A camera above the ground; what it sees is put in by its homography, sheet mm to pixels. */
const HOMOGRAPHY = [1.1, 0.05, 700, -0.04, -0.9, 500, 1e-5, -2e-4, 1];
const see = (x: number, y: number) => projected(HOMOGRAPHY, { x, y });

/** A right-hander's feet: the target is to the left, the ball beyond the sheet. */
const photo: PhotoListed = {
  id: 'one',
  studentId: 'student',
  addressId: 'address',
  madeAt: '2026-05-01T10:00:00.000Z',
  width: 1600,
  height: 1200,
  sight: {
    camera: { centre: { x: 800, y: 600 }, focal: 4000 },
    known: {
      ground: [
        { x: 0, y: 0 },
        { x: 210, y: 0 },
        { x: 210, y: -297 },
        { x: 0, y: -297 },
      ],
      image: [see(0, 0), see(210, 0), see(210, -297), see(0, -297)],
    },
    taps: {
      lead: { toe: see(-120, -60), heel: see(-100, -350) },
      trail: { toe: see(330, -60), heel: see(320, -350) },
      ball: see(60, 240),
      stick: [see(500, 300), see(-300, 300)],
    },
    heights: { toe: 0, heel: 0 },
  },
};

/** Where a CSS matrix3d puts a pixel. */
function transformed(css: string, { x, y }: { x: number; y: number }) {
  const m = css.slice('matrix3d('.length, -1).split(',').map(Number);
  const w = m[3]! * x + m[7]! * y + m[15]!;
  return { x: (m[0]! * x + m[4]! * y + m[12]!) / w, y: (m[1]! * x + m[5]! * y + m[13]!) / w };
}

test('a photo is laid flat with the ball in its place, the target line level, at the scale asked for', () => {
  const measured = measuredAgain(photo, SHOE);
  const css = pictureOnGround(measured, 'right', 0.5);
  const ball = transformed(css, projected(measured.frame.pose.homography, measured.frame.ball));
  expect(ball.x).toBeCloseTo(0.5 * AROUND_MM.aside, 3);
  expect(ball.y).toBeCloseTo(0.5 * AROUND_MM.beyond, 3);
  const [from, to] = photo.sight.taps.stick!.map((end) => transformed(css, end));
  expect(from!.y).toBeCloseTo(to!.y, 3);
  expect(Math.abs(from!.x - to!.x)).toBeCloseTo(0.5 * 800, 1);
  // Whoever is right-handed and looks down at the ball has the target on the left.
  expect(to!.x).toBeLessThan(from!.x);
  const heel = transformed(css, see(-100, -350));
  const placed = toBox('right', 0.5)(measured.address.lead.heel);
  expect(Math.hypot(heel.x - placed.x, heel.y - placed.y)).toBeLessThan(6);
});
