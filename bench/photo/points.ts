/** Measures from simulated point sets: taps and known points with scatter, tips at heights of their own, a lens that bends. */
import {
  LAID_UP_MM,
  measureFeet,
  USUAL_DOUBTS,
  USUAL_HEIGHTS,
  type FeetPhoto,
  type MeasuredFeet,
  type TappedShoe,
} from '@pedastance/core/photo';
import { seeded } from '@pedastance/core/statistics';
import { cameraThat, seenBy, type Camera } from '../../server/devices/camera/lens';
import {
  BALL_RADIUS,
  sidesOfBall,
  STICK_HALF,
  truthOf,
  type Scene,
  type Spot,
  type Standing,
} from '../../server/devices/camera/scene';

/** A known thing between the feet, mm. */
const A4 = [
  { x: -105, y: -148.5 },
  { x: 105, y: -148.5 },
  { x: 105, y: 148.5 },
  { x: -105, y: 148.5 },
];

export interface Stratum {
  elevations: readonly [number, number];
  side: 'in front' | 'behind' | 'oblique' | 'beside';
  /** Pixels a mm at the feet. */
  sharpness: readonly [number, number];
  /** One standard deviation of a known point, pixels: a printed code's edges, or corners that were tapped and refined. */
  known: number | 'club';
}

const AROUND: Record<Stratum['side'], readonly [number, number]> = {
  'in front': [-20, 20],
  behind: [160, 200],
  oblique: [20, 70],
  beside: [70, 110],
};

/** Figures that the scene is told by. */
export const TRUTH = ['stanceWidth', 'leadFlare', 'trailFlare', 'setback', 'ballAlong'] as const;

const between = (random: () => number, [least, most]: readonly [number, number]) =>
  least + (most - least) * random();

export function anyStanding(random: () => number): Standing {
  return {
    hand: random() < 0.5 ? 'right' : 'left',
    shoe: { length: 290, breadth: 105 },
    stanceWidth: between(random, [250, 600]),
    leadFlare: between(random, [-5, 40]),
    trailFlare: between(random, [-10, 35]),
    setback: between(random, [-60, 100]),
    ballAlong: between(random, [0, 200]),
    ballBeyondToe: between(random, [250, 600]),
    toeHeight: 15,
    heelHeight: 10,
  };
}

export const sceneOf = (standing: Standing): Scene => ({
  standing,
  laid: [],
  stick: { beyond: 100, turned: 0 },
  ground: 'grass',
  shoes: 'dark',
  trousers: true,
});

/** The middle of the feet, where the sheet lies. */
export const feetMiddle = (scene: Scene): Spot => {
  const { lead, trail } = truthOf(scene);
  const ends = [lead.heel, lead.toe, trail.heel, trail.toe];
  return {
    x: ends.reduce((sum, end) => sum + end.x, 0) / 4,
    y: ends.reduce((sum, end) => sum + end.y, 0) / 4,
  };
};

function onePhoto(stratum: Stratum, random: () => number): { standing: Standing; measured: MeasuredFeet } {
  const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
  const standing = anyStanding(random);
  const scene = sceneOf(standing);
  const truth = truthOf(scene);
  const middle = feetMiddle(scene);
  const width = 4032;
  const sharpness = between(random, stratum.sharpness);
  const focal = 0.75 * width;
  const camera: Camera = cameraThat(
    {
      elevation: between(random, stratum.elevations),
      around: between(random, AROUND[stratum.side]) * (random() < 0.5 ? 1 : -1),
      distance: focal / sharpness,
      roll: 4 * normal(),
      lookingAt: { x: middle.x + 30 * normal(), y: middle.y + 30 * normal() },
    },
    { width, height: 3024, focal, bend: 0.02 * (random() - 0.5) },
  );
  const see = (spot: Spot, height: number, noise: number) => {
    const seen = seenBy(camera, [spot.x, spot.y, height]);
    return { x: seen.x + noise * normal(), y: seen.y + noise * normal() };
  };
  const heights = {
    toe: USUAL_HEIGHTS.toe + USUAL_DOUBTS.height * normal(),
    heel: USUAL_HEIGHTS.heel + USUAL_DOUBTS.height * normal(),
  };
  const tapped = ({ toe, heel }: { toe: Spot; heel: Spot }): TappedShoe => ({
    toe: see(toe, heights.toe + USUAL_DOUBTS.heightEach * normal(), USUAL_DOUBTS.tap),
    heel: see(heel, heights.heel + USUAL_DOUBTS.heightEach * normal(), USUAL_DOUBTS.tap),
  });
  const turn = 0.3 * normal();
  // A stick lies on the ground; the ends of a club are as high as its grip and its head.
  const up = () => (stratum.known === 'club' ? LAID_UP_MM + 3 * normal() : 0);
  const stick = truth.stick!.map((end) => see(end, up(), USUAL_DOUBTS.tap)) as [Spot, Spot];
  const ball = sidesOfBall(camera).map(({ x, y }) => ({
    x: x + USUAL_DOUBTS.tap * normal(),
    y: y + USUAL_DOUBTS.tap * normal(),
  })) as [Spot, Spot];
  const sheet = A4.map(({ x, y }) => ({
    x: middle.x + x * Math.cos(turn) - y * Math.sin(turn),
    y: middle.y + x * Math.sin(turn) + y * Math.cos(turn),
  }));
  const known = stratum.known === 'club' ? USUAL_DOUBTS.known : stratum.known;
  const photo: FeetPhoto = {
    camera: { centre: { x: width / 2, y: 1512 }, focal: focal * (1 + USUAL_DOUBTS.focal * normal()) },
    shoe: { ...standing.shoe, length: standing.shoe.length + USUAL_DOUBTS.shoe * normal() },
    known:
      stratum.known === 'club'
        ? { length: 2 * STICK_HALF + USUAL_DOUBTS.laid * normal(), ball }
        : {
            ground: A4.map(({ x, y }) => ({ x: x * (1 + 0.0005), y: y * (1 + 0.0005) })),
            image: sheet.map((corner) => see(corner, 0, known)),
          },
    taps: {
      lead: tapped(truth.lead),
      trail: tapped(truth.trail),
      ball:
        stratum.known === 'club'
          ? { x: (ball[0].x + ball[1].x) / 2, y: (ball[0].y + ball[1].y) / 2 }
          : see(truth.ball, BALL_RADIUS, USUAL_DOUBTS.tap),
      stick,
    },
  };
  return {
    standing,
    measured: measureFeet(photo, USUAL_HEIGHTS, {
      ...USUAL_DOUBTS,
      known,
      line: stratum.known === 'club' ? 0.25 : 0.05,
    }),
  };
}

export interface Found {
  width95: number;
  flare95: number;
  /** The share of stated 95% intervals that hold the truth, worst figure first. */
  held: number;
  worstHeld: number;
}

const p95 = (values: number[]): number => values.sort((a, b) => a - b)[Math.floor(0.95 * values.length)]!;

export function tried(stratum: Stratum, times: number, seed: number): Found {
  const random = seeded(seed);
  const off: Record<string, number[]> = {};
  const inside: Record<string, number> = {};
  for (let at = 0; at < times; at += 1) {
    const { standing, measured } = onePhoto(stratum, random);
    for (const name of TRUTH) {
      const { value, uncertainty } = measured.figures[name];
      const error = Math.abs(value - standing[name]);
      (off[name] ??= []).push(error);
      inside[name] = (inside[name] ?? 0) + (error <= 1.96 * uncertainty ? 1 : 0);
    }
  }
  const shares = Object.values(inside).map((count) => count / times);
  return {
    width95: p95(off.stanceWidth!),
    flare95: p95([...off.leadFlare!, ...off.trailFlare!]),
    held: shares.reduce((sum, share) => sum + share, 0) / shares.length,
    worstHeld: shares.sort((a, b) => Math.abs(b - 0.95) - Math.abs(a - 0.95))[0]!,
  };
}

const SIDES = ['in front', 'behind', 'oblique', 'beside'] as const;
const ELEVATIONS = [
  [25, 35],
  [35, 45],
  [45, 60],
  [60, 75],
  [75, 90],
] as const;
const SHARPNESS = [
  [0.7, 1.2],
  [1.2, 2],
  [2, 3],
] as const;

export const STRATA: Stratum[] = ([0.15, 0.5, 'club'] as const).flatMap((known) =>
  SHARPNESS.flatMap((sharpness) =>
    ELEVATIONS.flatMap((elevations) => SIDES.map((side) => ({ known, sharpness, elevations, side }))),
  ),
);
