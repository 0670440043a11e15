import { seeded, type Point } from '..';
import { CAMERA, KNOWN, scene, TRUTH, type Scene } from '../test/feetPhoto';
import { ballAcross, tiltedPose } from './byLength';
import { Degenerate } from './degenerate';
import { UNSEEN_PAPER, USUAL_DOUBTS, USUAL_HEIGHTS } from './feet';
import { photoFaults } from './goodEnough';
import { measureFeet } from './measureFeet';
import { elevationOver, pointAt, seenAt } from './pose';
import { pointsOfGround, photoAdvice } from './remedy';

const FRONT: Scene = { elevation: 55, around: 0, left: false, heel: 'seen', scaledBy: 'club' };
type Two = readonly [Point, Point];
const calm = () => 0; // A draw of zero is no noise at all.

describe('a camera held over the ground', () => {
  test('looks at a place as steeply as it is tilted, and sees what it would see', () => {
    const pose = tiltedPose({ height: 1000, tilt: 30, side: 0 }, CAMERA);
    const at = pointAt(pose, CAMERA.centre, 0);
    expect(Math.hypot(at.x, at.y)).toBeCloseTo(1000 / Math.tan(Math.PI / 6), 6);
    expect(elevationOver(pose, at)).toBeCloseTo(30, 8);
    // Nearer to the camera is lower in the picture; its right is the picture's right.
    expect(seenAt(pose, { x: 0, y: 0.9 * at.y }, 0).y).toBeGreaterThan(CAMERA.centre.y);
    expect(seenAt(pose, { x: 100, y: at.y }, 0).x).toBeGreaterThan(CAMERA.centre.x);
  });

  test.each([0, 20, -10])('a right side up by %i° lifts it by so much', (side) => {
    const pose = tiltedPose({ height: 1000, tilt: 50, side }, CAMERA);
    // The z parts of the ground's axes: what the camera's own x axis climbs.
    expect(-(Math.asin(pose.rotation[2][0]) * 180) / Math.PI).toBeCloseTo(-side, 8);
    const ground = { x: 120, y: 700 };
    const back = pointAt(pose, seenAt(pose, ground, 40), 40);
    expect(back.x).toBeCloseTo(ground.x, 6);
    expect(back.y).toBeCloseTo(ground.y, 6);
  });

  test('a ball straight below comes out by the tangent cone of a sphere', () => {
    const height = 1000;
    const pose = tiltedPose({ height, tilt: 90, side: 0 }, CAMERA);
    const half = Math.asin(21.3 / (height - 21.3));
    const sides = [-1, 1].map((side) => ({
      x: CAMERA.centre.x + side * CAMERA.focal * Math.tan(half),
      y: CAMERA.centre.y,
    })) as [{ x: number; y: number }, { x: number; y: number }];
    expect(ballAcross(pose, CAMERA, { x: 0, y: 0 }, sides)).toBeCloseTo(42.6, 6);
  });
});

describe('a club of known length and a ball, in place of a sheet', () => {
  test.each([false, true])('with nothing in doubt the feet come out, left-handed: %s', (left) => {
    for (const elevation of [35, 55, 80]) {
      const { figures } = measureFeet(scene({ ...FRONT, elevation, left }, calm));
      expect(Math.abs(figures.stanceWidth.value - TRUTH.width)).toBeLessThan(3);
      expect(Math.abs(figures.leadFlare.value - TRUTH.leadFlare)).toBeLessThan(1);
      expect(Math.abs(figures.setback.value - TRUTH.setback)).toBeLessThan(4);
    }
  });

  test('what is told holds the truth, and is less sure than with a sheet', () => {
    const random = seeded(4);
    let inside = 0;
    const times = 60;
    for (let at = 0; at < times; at += 1) {
      const { figures } = measureFeet(scene(FRONT, random));
      const { value, uncertainty } = figures.stanceWidth;
      if (Math.abs(value - TRUTH.width) <= 1.96 * uncertainty) inside += 1;
    }
    expect(inside / times).toBeGreaterThan(0.88);
    const [club, sheet] = (['club', 'sheet'] as const).map(
      (scaledBy) => measureFeet(scene({ ...FRONT, scaledBy }, calm)).figures.stanceWidth.uncertainty,
    );
    expect(club!).toBeGreaterThan(1.5 * sheet!);
  });

  test('from behind it is a guess, and said to be one', () => {
    const taken = { hand: 'right', unevenMm: null, tapPx: 1.25, byClub: true } as const;
    const behind = measureFeet(scene({ ...FRONT, around: 180 }, calm));
    expect(photoFaults(behind, taken)).toContain('behind a club');
    expect(photoFaults(behind, { ...taken, byClub: false })).toEqual([]);
    expect(photoFaults(measureFeet(scene(FRONT, calm)), taken)).toEqual([]);
  });

  test.each([
    [
      'the ball has no width',
      {
        ball: [
          { x: 500, y: 500 },
          { x: 500, y: 500 },
        ],
      },
    ],
    [
      'the club has no length',
      {
        stick: [
          { x: 500, y: 500 },
          { x: 500, y: 500 },
        ],
      },
    ],
  ] as const)(
    'where %s, nothing is measured',
    (_name, { ball, stick }: Partial<Record<'ball' | 'stick', Two>>) => {
      const photo = scene(FRONT, calm);
      expect(() =>
        measureFeet({
          ...photo,
          known: ball ? { length: 1200, ball } : photo.known,
          taps: stick ? { ...photo.taps, stick } : photo.taps,
        }),
      ).toThrow(Degenerate);
    },
  );

  test('points of the ground stand for it afterwards: the same feet again', () => {
    const photo = scene({ ...FRONT, around: 12 }, seeded(8));
    const measured = measureFeet(photo);
    const again = measureFeet({ ...photo, known: pointsOfGround(measured) });
    expect(Math.abs(again.figures.stanceWidth.value - measured.figures.stanceWidth.value)).toBeLessThan(6);
    expect(Math.abs(again.figures.leadFlare.value - measured.figures.leadFlare.value)).toBeLessThan(1.5);
  });
});

describe('what would help', () => {
  const doubts = { ...USUAL_DOUBTS, known: KNOWN };
  const sheet: Scene = { ...FRONT, scaledBy: 'sheet' };
  test.each([
    ['sheet', FRONT, doubts, 'stanceWidth'],
    ['higher', { ...sheet, elevation: 30 }, doubts, 'setback'],
    ['nearer', { ...sheet, elevation: 85, far: 4000 }, doubts, 'leadFlare'],
    ['whole sheet', { ...sheet, elevation: 70 }, { ...doubts, scale: 3 * UNSEEN_PAPER }, 'stanceWidth'],
    ['sheet nearer', { ...sheet, elevation: 70, sheetAside: 700 }, { ...doubts, known: 2 }, 'stanceWidth'],
  ] as const)('%s', (remedy, kind, of, figure) => {
    expect(photoAdvice(scene(kind, calm), USUAL_HEIGHTS, of, figure).remedy).toBe(remedy);
  });

  test('a sheet is told to make a width about as sure as it then is', () => {
    const told = photoAdvice(scene(FRONT, calm), USUAL_HEIGHTS, doubts, 'stanceWidth').uncertainty;
    const then = measureFeet(scene(sheet, calm), USUAL_HEIGHTS, doubts).figures.stanceWidth.uncertainty;
    expect(told / then).toBeGreaterThan(0.8);
    expect(told / then).toBeLessThan(1.25);
  });

  test('a stick, where the sheet was only laid along the line by hand', () => {
    const photo = scene(sheet, calm);
    const without = { ...photo, taps: { ...photo.taps, stick: null } };
    expect(photoAdvice(without, USUAL_HEIGHTS, { ...doubts, line: 2 }, 'trailFlare').remedy).toBe('stick');
  });
});
