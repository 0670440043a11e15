import type { Hand } from '../body';
import {
  outwardSign,
  soleOutline,
  toePoint,
  type Address,
  type FootName,
  type Point,
  type Setup,
} from '../setup';
import { radians } from '../units';
import { footWord } from '../phrases';

/** A shoe as a closed line, in the words of SVG's path data, mm. */
export interface DrawnShoe {
  side: string;
  path: string;
  /** The exaggerated stance, drawn dashed around the one that is played from. */
  dashed: boolean;
}

/** The feet as the student sees them looking down: ball up the page, lengths mm, y down the page. */
export interface CardDrawing {
  width: number;
  height: number;
  shoes: DrawnShoe[];
  /** Where each shoe is named. */
  names: { x: number; y: number; words: string }[];
  ball: Point;
  /** The ball's line to the target, at this y, and where along it the target lies. */
  line: number;
  target: 'left' | 'right';
  /** From the trail toe to the lead shoe: what it is level with. */
  level: { y: number; from: number; to: number };
  /** From the ball down to the heels, and the lead heel's own: how far the ball lies inside it. */
  drops: { x: number; from: number; to: number }[];
}

const MARGIN = 60;
const NAME_BELOW = 42;

/** The ground as a student sees it looking down: a right-hander has the target on the left. */
type Look = (point: Point) => Point;
const looking =
  (hand: Hand): Look =>
  ({ x, y }) => ({ x: hand === 'right' ? -x : x, y: -y });

function soleOnGround(address: Address, foot: FootName): Point[] {
  const { heel, flare } = address[foot];
  const [sine, cosine] = [Math.sin(radians(flare)), Math.cos(radians(flare))];
  return soleOutline(address.shoe).map(({ x, y }) => ({
    x: heel.x + outwardSign(foot) * (x * cosine + y * sine),
    y: heel.y + y * cosine - x * sine,
  }));
}

const FEET = ['lead', 'trail'] as const;
const tenth = (value: number): number => Math.round(value * 10) / 10;
const pathOf = (points: readonly Point[]): string =>
  `M${points.map(({ x, y }) => `${tenth(x)} ${tenth(y)}`).join('L')}Z`;

const middle = (points: readonly Point[]): number =>
  (Math.min(...points.map(({ x }) => x)) + Math.max(...points.map(({ x }) => x))) / 2;

/**
 * Draws the feet of a card.
 * @param played the setup that is played from
 * @param big the exaggerated setup, drawn dashed; null where nothing is exaggerated
 * @param hand the student's
 * @returns shapes and words, mm
 */
export function drawCard(played: Setup, big: Setup | null, hand: Hand): CardDrawing {
  const look = looking(hand);
  const solesOf = ({ address }: Setup, dashed: boolean) =>
    FEET.map((foot) => ({ foot, dashed, points: soleOnGround(address, foot).map(look) }));
  const soles = [...(big ? solesOf(big, true) : []), ...solesOf(played, false)];
  const all = [...soles.flatMap(({ points }) => points), { x: 0, y: 0 }];
  const [left, top] = [
    Math.min(...all.map(({ x }) => x)) - MARGIN,
    Math.min(...all.map(({ y }) => y)) - MARGIN,
  ];
  const right = Math.max(...all.map(({ x }) => x)) + MARGIN;
  const bottom = Math.max(...all.map(({ y }) => y));
  const at = ({ x, y }: Point): Point => ({ x: tenth(x - left), y: tenth(y - top) });
  const { address } = played;
  const [trailToe, leadHeel] = [at(look(toePoint(address, 'trail'))), at(look(address.lead.heel))];
  const lead = soles.find(({ foot, dashed }) => foot === 'lead' && !dashed)!;
  const ball = at({ x: 0, y: 0 });
  const drop = (x: number, from: number) => ({ x, from, to: tenth(bottom - top + 8) });
  return {
    width: tenth(right - left),
    height: tenth(bottom - top + MARGIN),
    shoes: soles.map(({ foot, dashed, points }) => ({
      side: footWord(foot, 'left and right', hand),
      path: pathOf(points.map(at)),
      dashed,
    })),
    names: soles
      .filter(({ dashed }) => !dashed)
      .map(({ foot, points }) => ({
        x: tenth(middle(points) - left),
        y: tenth(bottom - top + NAME_BELOW),
        words: footWord(foot, 'left and right', hand),
      })),
    ball,
    line: ball.y,
    target: hand === 'right' ? 'left' : 'right',
    level: { y: trailToe.y, from: trailToe.x, to: tenth(middle(lead.points) - left) },
    drops: [drop(ball.x, ball.y), drop(leadHeel.x, leadHeel.y)],
  };
}
