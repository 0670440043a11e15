// The pictures a coach practises the eye on, rendered by the stand-in camera, with the truth beside them. Run after a change of the
// camera or the scene: npm run practice.
import { readdirSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { PracticeSet, type PracticePicture } from '@pedastance/contract/practice';
import {
  FEET_FIGURES,
  footFromPoints,
  footPoints,
  groundFigure,
  measureAddress,
  soleOutline,
  type Address,
  type FeetFigure,
  type Point,
} from '@pedastance/core/setup';
import { seenBy, type CameraStands } from '../server/devices/camera/lens';
import type { Light } from '../server/devices/camera/render';
import { truthOf, type Scene, type Spot, type Standing } from '../server/devices/camera/scene';
import {
  asJpeg,
  betweenFeet,
  LIGHT,
  phoneOver,
  photograph,
  printed,
  sceneWith,
  STANDING,
  whereToTap,
} from '../server/test/photographs';

const ACROSS = 1100;
const QUALITY = 68;

interface Wanted {
  standing: Partial<Standing>;
  stands: Partial<CameraStands>;
  ground?: Scene['ground'];
  shoes?: Scene['shoes'];
  /** Pixels. */
  across?: number;
}

const SMALL = { length: 248, breadth: 93 };
const MIDDLE = { length: 278, breadth: 102 };
const LARGE = { length: 305, breadth: 112 };

/** Invented people; the last two are one student, before and after. */
const WANTED: readonly Wanted[] = [
  {
    standing: { shoe: MIDDLE, stanceWidth: 335, leadFlare: 10, trailFlare: 0, setback: 0, ballAlong: 60 },
    stands: { elevation: 58, around: -6 },
  },
  {
    standing: {
      hand: 'left',
      shoe: LARGE,
      stanceWidth: 520,
      leadFlare: 28,
      trailFlare: 12,
      setback: 35,
      ballAlong: 15,
    },
    stands: { elevation: 52, around: 8 },
    shoes: 'white',
  },
  {
    standing: { shoe: LARGE, stanceWidth: 425, leadFlare: 4, trailFlare: 24, setback: -40, ballAlong: 90 },
    stands: { elevation: 66, around: 14 },
    ground: 'mat',
  },
  {
    standing: { shoe: SMALL, stanceWidth: 285, leadFlare: 20, trailFlare: 6, setback: 18, ballAlong: 120 },
    stands: { elevation: 54, around: 2 },
  },
  {
    standing: {
      hand: 'left',
      shoe: MIDDLE,
      stanceWidth: 390,
      leadFlare: -4,
      trailFlare: -6,
      setback: 0,
      ballAlong: 45,
    },
    stands: { elevation: 62, around: -12 },
    ground: 'mat',
  },
  {
    standing: { shoe: MIDDLE, stanceWidth: 470, leadFlare: 33, trailFlare: 27, setback: 60, ballAlong: 30 },
    stands: { elevation: 55, around: 174 },
  },
  {
    standing: { shoe: LARGE, stanceWidth: 575, leadFlare: 16, trailFlare: 3, setback: -25, ballAlong: -10 },
    stands: { elevation: 60, around: 5, distance: 1350 },
  },
  {
    standing: {
      hand: 'left',
      shoe: SMALL,
      stanceWidth: 300,
      leadFlare: 12,
      trailFlare: 18,
      setback: -12,
      ballAlong: 75,
    },
    stands: { elevation: 72, around: -4 },
    shoes: 'white',
  },
  {
    standing: { shoe: MIDDLE, stanceWidth: 360, leadFlare: 22, trailFlare: -8, setback: 45, ballAlong: 150 },
    stands: { elevation: 50, around: -10 },
    ground: 'mat',
    shoes: 'white',
  },
  {
    standing: { shoe: LARGE, stanceWidth: 445, leadFlare: 8, trailFlare: 15, setback: 10, ballAlong: 55 },
    stands: { elevation: 80, around: 10 },
  },
  {
    standing: {
      shoe: SMALL,
      stanceWidth: 349,
      leadFlare: 15,
      trailFlare: 17,
      setback: 0,
      ballAlong: 50,
      ballBeyondToe: 466,
    },
    stands: { elevation: 56, around: 4, distance: 1390 },
    across: 1500,
    ground: 'mat',
  },
  {
    standing: {
      shoe: SMALL,
      stanceWidth: 267,
      leadFlare: 15,
      trailFlare: 3,
      setback: 0,
      ballAlong: 50,
      ballBeyondToe: 466,
    },
    stands: { elevation: 60, around: -6, distance: 1330 },
    across: 1500,
    ground: 'mat',
  },
];

const BRIGHT: Light = { ...LIGHT, uneven: 0.12, shadow: 0.86 };
const SOLE_UP_MM = 6;

/** Between the feet, the toes' line across it. */
const sheetAt = (standing: Standing): Spot => ({
  x: betweenFeet(standing).x,
  y: -standing.ballBeyondToe - 60,
});

/** The address of a scene: its ball at the origin, x toward the target. */
function addressOf(scene: Scene): { address: Address; onGround: (point: Point) => Spot } {
  const { lead, trail } = truthOf(scene);
  const side = scene.standing.hand === 'right' ? -1 : 1;
  const from = ({ x, y }: Spot): Point => ({ x: side * x, y });
  return {
    address: {
      shoe: scene.standing.shoe,
      lead: footFromPoints('lead', from(lead.heel), from(lead.toe)),
      trail: footFromPoints('trail', from(trail.heel), from(trail.toe)),
    },
    onGround: ({ x, y }) => ({ x: side * x, y }),
  };
}

async function main(target: string): Promise<void> {
  for (const file of readdirSync(target)) rmSync(join(target, file));
  const raster = await printed('A4');
  const pictures: PracticePicture[] = [];
  for (const [
    at,
    { standing, stands, ground = 'grass', shoes = 'dark', across = ACROSS },
  ] of WANTED.entries()) {
    const name = `feet-${String(at + 1).padStart(2, '0')}`;
    const scene: Scene = {
      ...sceneWith({ ...STANDING, ...standing }, raster, {
        turned: 25 * Math.sin(5 * at + 1),
        at: sheetAt({ ...STANDING, ...standing }),
      }),
      ground,
      shoes,
    };
    const camera = phoneOver(scene, { distance: 1150, ...stands }, across);
    const picture = photograph(scene, camera, BRIGHT, name);
    writeFileSync(join(target, `${name}.jpg`), await asJpeg(picture, QUALITY).toBuffer());
    const { lens } = camera;
    const places = whereToTap(scene, camera);
    const inPixels = ({ x, y }: Point): Point => ({ x: tenth(x * lens.width), y: tenth(y * lens.height) });
    const { address, onGround } = addressOf(scene);
    const measures = measureAddress(address);
    const sole = (foot: 'lead' | 'trail'): Point[] =>
      footPoints(address, foot, soleOutline(address.shoe)).map((point) => {
        const { x, y } = onGround(point);
        const seen = seenBy(camera, [x, y, SOLE_UP_MM]);
        return { x: tenth(seen.x), y: tenth(seen.y) };
      });
    pictures.push({
      name,
      hand: scene.standing.hand,
      width: lens.width,
      height: lens.height,
      focal: lens.focal,
      shoe: scene.standing.shoe,
      figures: Object.fromEntries(
        FEET_FIGURES.map((figure) => [figure, tenth(groundFigure(figure)!.measure(measures, address))]),
      ) as Record<FeetFigure, number>,
      taps: {
        lead: { toe: inPixels(places.leadToe), heel: inPixels(places.leadHeel) },
        trail: { toe: inPixels(places.trailToe), heel: inPixels(places.trailHeel) },
        ball: inPixels(places.ball),
        stick: [inPixels(places.stick1), inPixels(places.stick2)],
      },
      corners: places.corners.map(inPixels),
      soles: { lead: sole('lead'), trail: sole('trail') },
    });
  }
  writeFileSync(join(target, 'practice.json'), `${JSON.stringify(PracticeSet.parse(pictures))}\n`);
}

const tenth = (value: number): number => Math.round(value * 10) / 10;

void main(process.argv[2]!);
