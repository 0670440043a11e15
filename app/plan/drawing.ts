import type { Hand } from '@pedastance/core/body';
import type { BandVerdict } from '@pedastance/core/method';
import { predictedPath, type PersonalPath } from '@pedastance/core/path';
import { pathFigure } from '@pedastance/core/phrases';
import {
  heelToToe,
  outwardSign,
  soleOutline,
  toePoint,
  type AddressMeasures,
  type FootName,
  type Point,
  type Setup,
  type Shoe,
  uncertaintyOf,
  type Item,
} from '@pedastance/core/setup';
import {
  inOrderMet,
  neededTurn,
  stopsOf,
  type Goal,
  type Turn,
  type TurningBody,
  type TurningFeet,
} from '@pedastance/core/turn';
import { radians, angleFigure, lengthWithUnit, type LengthUnit } from '@pedastance/core/units';
import { MARGINS_MM, STRIP_MM, projection, type Frame, type Projection } from './frame';
import type { Viewpoint } from './frame';
import { VERDICT_SHAPES } from '../domain/verdicts';
import { measuredOf } from '../domain/measured';

/** Attributes of the drawing's parts by part and attribute; `text` is a part's words. */
export type Drawing = Record<string, Record<string, string>>;

export interface DrawingInput {
  setup: Setup;
  frame: Frame;
  hand: Hand;
  viewpoint: Viewpoint;
  length: LengthUnit;
  /** Outer shoulder breadth, mm. */
  shoulderBreadth: number;
  /** Where a figure is to its band; null where nothing is read. */
  verdictOf: VerdictOf | null;
  /** What the student brings to a turn; null before the legs were screened. */
  turning?: Turning | null;
  /** What this student's setup does to the path; draws where it is likely to go. */
  path?: (PersonalPath & { simulated: boolean }) | null;
  /** Other feet, drawn dashed under these. */
  ghosts?: readonly Ghost[];
  /** The drawing's box, px. */
  size: { width: number; height: number };
}

/** Where an item of a setup is to its band; null where it is not read. */
export type VerdictOf = (setup: Setup, item: Item) => BandVerdict | null;

/** Feet that are not, or not yet, stood in: an address before, the same with another club, or an offer. */
export interface Ghost {
  setup: Setup;
  feet: readonly FootName[];
  /** What an offer is known by beside the plan; one without is only dashed. */
  mark?: string;
}

const BOTH_FEET = ['trail', 'lead'] as const;

export const wholeGhost = (setup: Setup): Ghost => ({ setup, feet: BOTH_FEET });

/** A body with how far its lead heel may come up going back, mm, and the turn it works toward. */
export interface Turning {
  body: TurningBody;
  leadHeelLift: number;
  goal: Goal;
  /** By how much the method itself has the trail foot further out than the lead foot, degrees. */
  ownDifference: number;
}

const n = (value: number): string => (Math.round(value * 100) / 100).toString();

const moved = (x: number, y: number): string => `translate(${n(x)} ${n(y)})`;

/**
 * Words at a place. The place is the transform of a group around them: a text whose own transform
 * changes has its letters laid out again, one that is carried along has not.
 */
const label = (part: string, x: number, y: number, attributes: Drawing[string]): Drawing => ({
  [`${part}-at`]: { transform: moved(x, y) },
  [part]: attributes,
});

const closedPath = (points: readonly Point[]): string =>
  `M${points.map((point) => `${n(point.x)} ${n(point.y)}`).join('L')}Z`;

/** The sole in its own frame: heel at the origin, toe along +y, outward +x. */
export const solePath = (shoe: Shoe): string => closedPath(soleOutline(shoe));

/** From a foot's own frame to the drawing. */
export function footMatrix(setup: Setup, foot: FootName, { toScreen, signs }: Projection): string {
  const { heel, flare } = setup.address[foot];
  const at = toScreen(heel);
  const outward = outwardSign(foot) * signs.x;
  const sine = Math.sin(radians(flare));
  const cosine = Math.cos(radians(flare));
  const cells = [outward * cosine, -signs.y * sine, outward * sine, signs.y * cosine, at.x, at.y];
  return `matrix(${cells.map((cell) => (Math.round(cell * 1e4) / 1e4).toString()).join(' ')})`;
}

const segment = (from: Point, to: Point) => ({ x1: n(from.x), y1: n(from.y), x2: n(to.x), y2: n(to.y) });

const OVERHANG_MM = 55;

/** A line through two points, drawn on a little beyond both. */
function extended(from: Point, to: Point) {
  const length = Math.max(1, Math.hypot(to.x - from.x, to.y - from.y));
  const x = ((to.x - from.x) / length) * OVERHANG_MM;
  const y = ((to.y - from.y) / length) * OVERHANG_MM;
  return segment({ x: from.x - x, y: from.y - y }, { x: to.x + x, y: to.y + y });
}

type Viewed = Pick<DrawingInput, 'frame' | 'size' | 'viewpoint'>;

/** What is written behind the heels and beyond the ball's strip, px; it is as large on any drawing. */
const WORDS_PX = 90;

function scaleOf({ frame, size }: Viewed): number {
  const drawn = frame.depth - MARGINS_MM;
  return Math.max(
    frame.width / size.width,
    frame.depth / size.height,
    // A low drawing keeps room for its words.
    drawn / Math.max(1, size.height - WORDS_PX),
  );
}

const BALL_MARGIN_MM = 75;
/** A golf ball is at least 42.67 mm across (Equipment Rules of golf). */
const BALL_RADIUS_MM = 42.67 / 2;

/** The drawing's box in mm, and how many mm a pixel is. */
export function viewOf(input: Viewed) {
  const mmPerPx = scaleOf(input);
  const width = input.size.width * mmPerPx;
  const height = input.size.height * mmPerPx;
  const spare = (height - input.frame.depth) / 2;
  const ballSide = STRIP_MM + BALL_MARGIN_MM + spare;
  const top = input.viewpoint === 'coach' ? ballSide - height : -ballSide;
  return { mmPerPx, left: -width / 2, top, width, height };
}

/** Where along the sole its handle for moving is. */
const GRIP_SHARE = 0.24;
const ARC_SHARE = 0.62;
/** How far along the sole its flare is written beside it. */
const LABEL_SHARE = 0.6;

function footParts(input: DrawingInput, foot: FootName, place: Projection, mmPerPx: number): Drawing {
  const { setup } = input;
  const { heel, flare } = setup.address[foot];
  const { length } = setup.address.shoe;
  const radius = length * ARC_SHARE;
  const at = place.toScreen(heel);
  // Everything beside the shoe is drawn about its heel, so that a shoe that is moved moves one group.
  const aboutHeel = (by: Point): Point => ({ x: place.signs.x * by.x, y: place.signs.y * by.y });
  const straight = aboutHeel({ x: 0, y: length });
  const arcFrom = aboutHeel({ x: 0, y: radius });
  const arcTo = aboutHeel(heelToToe(foot, flare, radius));
  const sweep = outwardSign(foot) * place.signs.x * place.signs.y * Math.sign(flare) > 0 ? 0 : 1;
  const sole = aboutHeel(heelToToe(foot, flare, length * LABEL_SHARE));
  const aside = outwardSign(foot) * place.signs.x * (setup.address.shoe.breadth / 2 + 30 * mmPerPx);
  const verdict = input.verdictOf?.(setup, `${foot}Flare`) ?? null;
  const along = setup.balance[foot === 'lead' ? 'leadHeelToe' : 'trailHeelToe'] / 100;
  const share = (foot === 'lead' ? setup.balance.leadShare : 100 - setup.balance.leadShare) / 50;
  return {
    [foot]: {
      transform: footMatrix(setup, foot, place),
      'data-measured': String(footMeasured(setup, foot)),
    },
    [`${foot}-grip`]: { transform: `translate(0 ${n(length * GRIP_SHARE)}) scale(${n(0.62 * mmPerPx)})` },
    [`${foot}-handle`]: { cy: n(length), r: n(9 * mmPerPx) },
    [`${foot}-load`]: {
      cy: n(along * length),
      r: n(22 * Math.sqrt(share)),
      'data-measured': String(loadMeasured(setup, foot)),
    },
    // Square lies under the shoes, the rest over them.
    [`${foot}-under`]: { transform: moved(at.x, at.y) },
    [`${foot}-beside`]: { transform: moved(at.x, at.y) },
    [`${foot}-square`]: segment({ x: 0, y: 0 }, straight),
    [`${foot}-arc`]: {
      d: `M${n(arcFrom.x)} ${n(arcFrom.y)}A${n(radius)} ${n(radius)} 0 0 ${sweep} ${n(arcTo.x)} ${n(arcTo.y)}`,
    },
    ...label(`${foot}-flare`, sole.x + aside, sole.y + 5 * mmPerPx, {
      text: shaped(angleFigure(flare), verdict),
      'data-verdict': verdict ?? 'none',
      'data-measured': String(setup.measured[`${foot}Flare`] !== undefined),
    }),
  };
}

/** What was not measured is drawn faintly: a shoe whose flare or place only stands as it is drawn. */
const footMeasured = ({ measured }: Setup, foot: FootName): boolean =>
  Boolean(measured[`${foot}Flare`] && measured.stanceWidth && measured.setback);

const loadMeasured = ({ measured }: Setup, foot: FootName): boolean =>
  Boolean(measured[`${foot}HeelToe`] && measured.leadShare);

/** A figure on the plan, with the shape of its verdict before it when it is out of its band. */
const shaped = (words: string, verdict: BandVerdict | null): string =>
  verdict && verdict !== 'in' ? `${VERDICT_SHAPES[verdict]} ${words}` : words;

/** Behind the heels: the width between them, and the shoulders' edges dropped as plumb marks. */
function behindHeels(
  input: DrawingInput,
  measures: AddressMeasures,
  place: Projection,
  mmPerPx: number,
): Drawing {
  const { lead, trail } = input.setup.address;
  const back = Math.min(lead.heel.y, trail.heel.y);
  const rowY = (px: number) => place.toScreen({ x: 0, y: back }).y - place.signs.y * px * mmPerPx;
  const leadX = place.toScreen(lead.heel).x;
  const trailX = place.toScreen(trail.heel).x;
  const middle = (leadX + trailX) / 2;
  const half = input.shoulderBreadth / 2;
  const tick = 6 * mmPerPx;
  const verdict = input.verdictOf?.(input.setup, 'stanceWidth') ?? null;
  const widthMeasured = String(input.setup.measured.stanceWidth !== undefined);
  const widthY = rowY(16);
  const plumbY = rowY(40);
  const widthWords = shaped(lengthWithUnit(measures.stanceWidth, input.length), verdict);
  const shoulderWords = `shoulders ${lengthWithUnit(input.shoulderBreadth, input.length)}`;
  // A dimension line leaves room for its words, which are about half as wide as high for each letter.
  const dimension = (length: number, words: string, letterPx: number) => {
    const end = length / 2;
    const room = Math.min(end, (words.length * letterPx * mmPerPx) / 2 + 6 * mmPerPx);
    const tickAt = (x: number) => `M${n(x)} ${n(-tick)}V${n(tick)}`;
    return `${tickAt(-end)}M${n(-end)} 0H${n(-room)}M${n(room)} 0H${n(end)}${tickAt(end)}`;
  };
  return {
    'width-at': { transform: moved(middle, widthY) },
    width: { d: dimension(Math.abs(leadX - trailX), widthWords, 8.6), 'data-measured': widthMeasured },
    ...label('width-figure', 0, 5 * mmPerPx, {
      text: widthWords,
      'data-verdict': verdict ?? 'none',
      'data-measured': widthMeasured,
    }),
    'shoulders-at': { transform: moved(middle, plumbY) },
    shoulders: { d: dimension(2 * half, shoulderWords, 6.2) },
    ...label('shoulders-figure', 0, 4 * mmPerPx, { text: shoulderWords }),
  };
}

/** The target line's strip: the line, ball and club face, and the break that cuts the distance short. */
function strip(
  input: DrawingInput,
  measures: AddressMeasures,
  place: Projection,
  view: ReturnType<typeof viewOf>,
): Drawing {
  const { mmPerPx, left, width } = view;
  const y = place.signs.y * STRIP_MM;
  const breakY = place.signs.y * (STRIP_MM - 48);
  const ballX = place.toScreen({ x: 0, y: 0 }).x;
  const leadHeel = place.toScreen(input.setup.address.lead.heel);
  const toTarget = place.signs.x;
  const ballMeasured = String(input.setup.measured.ballAlong !== undefined);
  const ballRadius = Math.max(BALL_RADIUS_MM, 9 * mmPerPx);
  const faceX = ballX - toTarget * (ballRadius + 6 * mmPerPx);
  const zig = 9 * mmPerPx;
  const right = left + width;
  const end = toTarget > 0 ? right : left;
  const arrow = 10 * mmPerPx;
  const tip = end - toTarget * 3 * mmPerPx;
  const below = (px: number) => y + (place.signs.y > 0 ? px : -px + 9) * mmPerPx;
  return {
    target: segment({ x: left, y }, { x: right, y }),
    'target-arrow': {
      d: `M${n(tip - toTarget * arrow)} ${n(y - arrow * 0.7)}L${n(tip)} ${n(y)}L${n(tip - toTarget * arrow)} ${n(y + arrow * 0.7)}`,
    },
    ...label('target-word', end - toTarget * 14 * mmPerPx, y + (place.signs.y > 0 ? -10 : 20) * mmPerPx, {
      'text-anchor': toTarget > 0 ? 'end' : 'start',
    }),
    break: {
      d: `M${n(left - 5)} ${n(breakY)}H${n(-2 * zig)}L${n(-zig)} ${n(breakY - zig)}L${n(zig)} ${n(breakY + zig)}L${n(2 * zig)} ${n(breakY)}H${n(right + 5)}`,
    },
    ball: { cx: n(ballX), cy: n(y), r: n(ballRadius), 'data-measured': ballMeasured },
    face: segment({ x: faceX, y: y - 16 * mmPerPx }, { x: faceX, y: y + 16 * mmPerPx }),
    'ball-drop': segment(leadHeel, { x: leadHeel.x, y }),
    ...label('ball-figure', left + 10 * mmPerPx, below(30), {
      'data-measured': ballMeasured,
      text: `ball ${lengthWithUnit(measures.ballAlong, input.length)} inside the lead heel`,
    }),
  };
}

/** How far from the ball the path is drawn, px. */
const PATH_PX = 120;

const NO_PATH: Drawing = { path: { opacity: '0' }, 'path-figure': { opacity: '0' } };

/** Where the club is likely to go through the ball on these feet, at its true angle. */
function pathParts(
  { path, setup }: DrawingInput,
  measures: AddressMeasures,
  place: Projection,
  { mmPerPx, left, width }: ReturnType<typeof viewOf>,
): Drawing {
  if (!path) return NO_PATH;
  const predicted = predictedPath(path, setup, measures);
  const { value: angle, guess } = predicted;
  const ball = place.toScreen({ x: 0, y: 0 });
  const y = place.signs.y * STRIP_MM;
  const reach = PATH_PX * mmPerPx;
  const along = place.signs.x * Math.cos(radians(angle)) * reach;
  const aside = place.signs.y * Math.sin(radians(angle)) * reach;
  return {
    path: {
      ...segment({ x: ball.x - along, y: y - aside }, { x: ball.x + along, y: y + aside }),
      opacity: '1',
      'data-guess': String(guess),
    },
    // Across from what is said of the ball, and a line further on.
    ...label('path-figure', left + width - 10 * mmPerPx, y + (place.signs.y > 0 ? 48 : -39) * mmPerPx, {
      opacity: '1',
      'text-anchor': 'end',
      text: `${pathFigure(predicted)}${path.simulated ? ', simulated' : ''}`,
    }),
  };
}

/** What a part of the drawing was made from, in order; made again only when one of these changes. */
type Made = { from: readonly unknown[]; parts: Drawing };

/** Reuses the parts that did not change since the last move, so that the painter can skip them. */
export interface DrawingMemory {
  fan?: { from: readonly unknown[]; fan: Fan };
  lead?: Made;
  trail?: Made;
}

function remembered(
  memory: DrawingMemory,
  foot: FootName,
  from: readonly unknown[],
  make: () => Drawing,
): Drawing {
  const before = memory[foot];
  if (before && before.from.every((value, index) => value === from[index])) return before.parts;
  const parts = make();
  memory[foot] = { from, parts };
  return parts;
}

/** How far the fan reaches, as a share of the shoe's length. */
const FAN_SHARE = 0.82;

const NO_FAN: Drawing = { fan: { opacity: '0' } };

/** Where a turn ends on the fan, seen from its middle. */
interface FanEnd {
  at: Point;
  leg: FootName;
  short: boolean;
  known: boolean;
}

interface Fan {
  parts: Drawing;
  ends: Record<Turn, FanEnd>;
}

/**
 * The fan about its own middle: how far the pelvis can go back and through before a leg stops it,
 * and how far it needs to. It changes when a foot is turned or the line of the toes, not when both feet are moved.
 */
function fanAboutMiddle(
  { body, leadHeelLift, goal, ownDifference }: Turning,
  measures: AddressMeasures,
  flaresMeasured: boolean,
  toeLine: number,
  shoeLength: number,
  place: Projection,
  mmPerPx: number,
): Fan {
  const feet: TurningFeet = {
    flare: { lead: measures.leadFlare, trail: measures.trailFlare },
    // The drawing shows the middle; how sure it is stands in the words.
    flareUncertainty: { lead: 0, trail: 0 },
    toeLine: { value: toeLine, uncertainty: 0 },
    ownDifference,
    leadHeelLift,
  };
  const radius = shoeLength * FAN_SHARE;
  const parts: Drawing = {};
  const end = (turn: Turn): FanEnd => {
    const away = (turn === 'back' ? -1 : 1) * place.signs.x;
    const at = (angle: number, share: number): Point => ({
      x: away * radius * share * Math.sin(radians(angle)),
      y: place.signs.y * radius * share * Math.cos(radians(angle)),
    });
    const stops = stopsOf(turn, body, feet).filter(({ name }) => name !== 'trail through');
    const known = flaresMeasured && stops.every((stop) => stop.at !== null);
    const first = inOrderMet(stops)[0]!;
    const limit = known ? Math.max(0, Math.min(90, first.at!.value)) : 0;
    const needed = neededTurn(turn, body, goal).value;
    const short = known && limit < needed - 0.5;
    const from = at(0, 1);
    const to = at(limit, 1);
    const words = at(Math.max(limit, 30) / 2, 0.72);
    const sweep = away * place.signs.y > 0 ? 0 : 1;
    parts[`fan-${turn}`] = {
      d: `M0 0L${n(from.x)} ${n(from.y)}A${n(radius)} ${n(radius)} 0 0 ${sweep} ${n(to.x)} ${n(to.y)}Z`,
      'data-short': String(short),
    };
    parts[`fan-${turn}-needed`] = segment(at(needed, 0.72), at(needed, 1.12));
    Object.assign(
      parts,
      label(`fan-${turn}-words`, words.x, words.y + 4 * mmPerPx, {
        text: known ? angleFigure(limit) : '?',
        'data-verdict': short ? 'below' : 'none',
      }),
    );
    return { at: to, leg: first.leg, short, known };
  };
  return { ends: { back: end('back'), through: end('through') }, parts };
}

/** The fan is drawn anew for so much of the line, degrees: less of it is not seen. */
const FAN_LINE_STEP = 0.5;

/** The fan between the heels, and from where each turn ends a line to the heel of the leg that ends it. */
function fanParts(
  input: DrawingInput,
  measures: AddressMeasures,
  place: Projection,
  mmPerPx: number,
  memory: DrawingMemory,
): Drawing {
  const { turning, setup, frame, hand, viewpoint, size } = input;
  if (!turning) return NO_FAN;
  const { shoe, lead, trail } = setup.address;
  const flaresMeasured = Boolean(setup.measured.leadFlare && setup.measured.trailFlare);
  const lineMeasured = uncertaintyOf({ setup, measures }, 'stanceLine') !== null;
  const toeLine = lineMeasured ? Math.round(measures.toeLine / FAN_LINE_STEP) * FAN_LINE_STEP : 0;
  const from = [
    turning,
    flaresMeasured,
    toeLine,
    lead.flare,
    trail.flare,
    shoe,
    frame,
    hand,
    viewpoint,
    size,
  ];
  const before = memory.fan;
  const same = before?.from.every((value, at) => value === from[at]) ?? false;
  const fan = same
    ? before!.fan
    : fanAboutMiddle(turning, measures, flaresMeasured, toeLine, shoe.length, place, mmPerPx);
  memory.fan = { from, fan };
  const middle = place.toScreen({ x: (lead.heel.x + trail.heel.x) / 2, y: (lead.heel.y + trail.heel.y) / 2 });
  const leg = (turn: Turn) => {
    const { at, leg: foot, short, known } = fan.ends[turn];
    const heel = place.toScreen(setup.address[foot].heel);
    const toHeel = segment(at, { x: heel.x - middle.x, y: heel.y - middle.y });
    return { ...toHeel, 'data-short': String(short), opacity: known ? '1' : '0' };
  };
  return {
    ...fan.parts,
    fan: {
      opacity: '1',
      transform: moved(middle.x, middle.y),
    },
    'fan-back-leg': leg('back'),
    'fan-through-leg': leg('through'),
  };
}

/** How far beyond its toe a ghost's mark stands, as a share of the shoe. */
const MARK_SHARE = 1.09;

function ghostParts({ ghosts = [] }: DrawingInput, place: Projection, mmPerPx: number): Drawing {
  const parts: Drawing = {};
  for (const [at, { setup, feet, mark }] of ghosts.entries()) {
    for (const foot of feet) {
      parts[`ghost-${foot}-${at}`] = { transform: footMatrix(setup, foot, place) };
      if (mark === undefined) continue;
      const { heel, flare } = setup.address[foot];
      const beyond = heelToToe(foot, flare, setup.address.shoe.length * MARK_SHARE);
      const end = place.toScreen({ x: heel.x + beyond.x, y: heel.y + beyond.y });
      parts[`ghost-${foot}-${at}-mark`] = { transform: moved(end.x, end.y + 5 * mmPerPx) };
    }
  }
  return parts;
}

/** Everything that the placing of feet, ball and load decides about the drawing. */
export function drawPlan(input: DrawingInput, memory: DrawingMemory = {}): Drawing {
  const place = projection(input.frame, input.hand, input.viewpoint);
  const view = viewOf(input);
  const measured = measuredOf(input.setup);
  const { measures } = measured;
  const footOf = (foot: FootName) => {
    const { frame, hand, viewpoint, size, setup, verdictOf } = input;
    const item = foot === 'lead' ? 'leadFlare' : 'trailFlare';
    const from = [
      setup.address[foot],
      setup.address.shoe,
      setup.balance,
      footMeasured(setup, foot),
      loadMeasured(setup, foot),
      frame,
      hand,
      viewpoint,
      size,
      verdictOf?.(setup, item) ?? null,
    ];
    return remembered(memory, foot, from, () => footParts(input, foot, place, view.mmPerPx));
  };
  const { address } = input.setup;
  const at = (foot: FootName) => place.toScreen(toePoint(address, foot));
  const viewBox = `${n(view.left)} ${n(view.top)} ${n(view.width)} ${n(view.height)}`;
  return {
    'grid-root': { viewBox, '--px': String(view.mmPerPx) },
    root: {
      viewBox,
      'font-size': n(14 * view.mmPerPx),
      '--px': String(view.mmPerPx),
    },
    grid: { x: n(view.left), y: n(view.top), width: n(view.width), height: n(view.height) },
    ...footOf('trail'),
    ...footOf('lead'),
    ...ghostParts(input, place, view.mmPerPx),
    ...fanParts(input, measures, place, view.mmPerPx, memory),
    'toe-line': {
      ...extended(at('trail'), at('lead')),
      'data-measured': String(uncertaintyOf(measured, 'stanceLine') !== null),
    },
    'heel-line': extended(place.toScreen(address.trail.heel), place.toScreen(address.lead.heel)),
    ...behindHeels(input, measures, place, view.mmPerPx),
    ...strip(input, measures, place, view),
    ...pathParts(input, measures, place, view),
  };
}
