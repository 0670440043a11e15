import type { Hand } from '@pedastance/core/body';
import type { BandVerdict } from '@pedastance/core/method';
import { predictedPath, type PersonalPath } from '@pedastance/core/path';
import { pathOnPlan, type FootWords } from '@pedastance/core/phrases';
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
import type { Turn } from '@pedastance/core/turn';
import { radians, angleFigure, lengthWithUnit, type LengthUnit } from '@pedastance/core/units';
import { projection, type Frame, type Projection, type Viewpoint } from './frame';
import { halfTurns, hipsParts, turnLine, type HalfTurn, type Turning } from './hips';
import { layoutOf, type Layout } from './layout';
import { label, moved, n, segment, type Drawing } from './parts';
import { VERDICT_SHAPES } from '../domain/verdicts';
import { lengthAsTaken, measuredOf } from '../domain/measured';

export interface DrawingInput {
  setup: Setup;
  frame: Frame;
  hand: Hand;
  viewpoint: Viewpoint;
  length: LengthUnit;
  /** How the coach speaks of feet. */
  footWords: FootWords;
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

const OVERHANG_MM = 55;

/** A line through two points, drawn on a little beyond both. */
function extended(from: Point, to: Point) {
  const length = Math.max(1, Math.hypot(to.x - from.x, to.y - from.y));
  const x = ((to.x - from.x) / length) * OVERHANG_MM;
  const y = ((to.y - from.y) / length) * OVERHANG_MM;
  return segment({ x: from.x - x, y: from.y - y }, { x: to.x + x, y: to.y + y });
}

/** A golf ball is at least 42.67 mm across (Equipment Rules of golf). */
const BALL_RADIUS_MM = 42.67 / 2;

/** Where along the sole its handle for moving is. */
const GRIP_SHARE = 0.24;
const ARC_SHARE = 0.62;
/** How far before the heel its flare is written, as a share of the shoe: a foot turned out leaves most room there. */
const LABEL_SHARE = 0.27;

/** How far out from its heel a sole reaches, so far before the heel, mm. */
function outerEdge({ address }: Setup, foot: FootName, before: number): number {
  const flare = radians(address[foot].flare);
  return Math.max(0, before * Math.tan(flare)) + address.shoe.breadth / 2 / Math.cos(flare);
}

function footParts(input: DrawingInput, foot: FootName, place: Projection, { mmPerPx, em }: Layout): Drawing {
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
  const outward = outwardSign(foot) * place.signs.x;
  const beside = aboutHeel({ x: 0, y: length * LABEL_SHARE });
  const aside = outward * (outerEdge(setup, foot, length * LABEL_SHARE + 0.5 * em) + 6 * mmPerPx);
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
    ...label(`${foot}-flare`, aside, beside.y + 0.38 * em, {
      'text-anchor': outward > 0 ? 'start' : 'end',
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

/** Before the toes: the width between the heels, and the shoulders' edges dropped as plumb marks. */
function widthParts(
  input: DrawingInput,
  measures: AddressMeasures,
  place: Projection,
  layout: Layout,
): Drawing {
  const { mmPerPx, em } = layout;
  const { lead, trail } = input.setup.address;
  const leadX = place.toScreen(lead.heel).x;
  const trailX = place.toScreen(trail.heel).x;
  const middle = (leadX + trailX) / 2;
  const tick = 6 * mmPerPx;
  const verdict = input.verdictOf?.(input.setup, 'stanceWidth') ?? null;
  const widthMeasured = String(input.setup.measured.stanceWidth !== undefined);
  const widthWords = shaped(
    lengthAsTaken(input.setup, 'stanceWidth', measures.stanceWidth, input.length),
    verdict,
  );
  const shoulderWords = `shoulders ${lengthWithUnit(input.shoulderBreadth, input.length)}`;
  // A dimension line leaves room for its words.
  const dimension = (length: number, words: string, letters: number) => {
    const end = length / 2;
    const room = Math.min(end, (words.length * 0.5 * letters * em) / 2 + 6 * mmPerPx);
    const tickAt = (x: number) => `M${n(x)} ${n(-tick)}V${n(tick)}`;
    return `${tickAt(-end)}M${n(-end)} 0H${n(-room)}M${n(room)} 0H${n(end)}${tickAt(end)}`;
  };
  const shown = { opacity: layout.shouldersY === null ? '0' : '1' };
  return {
    'width-at': { transform: moved(middle, place.signs.y * layout.widthY) },
    width: { d: dimension(Math.abs(leadX - trailX), widthWords, 1.15), 'data-measured': widthMeasured },
    ...label('width-figure', 0, 0.38 * em, {
      text: widthWords,
      'data-verdict': verdict ?? 'none',
      'data-measured': widthMeasured,
    }),
    'shoulders-at': { transform: moved(middle, place.signs.y * (layout.shouldersY ?? 0)), ...shown },
    shoulders: { d: dimension(input.shoulderBreadth, shoulderWords, 0.85) },
    ...label('shoulders-figure', 0, 0.29 * em, { text: layout.shouldersY === null ? '' : shoulderWords }),
  };
}

/** The ball, where on its line it is drawn, and how large. */
function ballOn(place: Projection, layout: Layout) {
  return {
    x: place.toScreen({ x: 0, y: 0 }).x,
    y: place.signs.y * layout.lineY,
    radius: Math.max(BALL_RADIUS_MM, 9 * layout.mmPerPx),
  };
}

/** The line to the target begins so far from the edge: there the button that explains the plan stands. */
const LINE_BEGINS_PX = 46;

/** The target line's strip: the line, ball and club face, and the break that cuts the distance short. */
function strip(input: DrawingInput, measures: AddressMeasures, place: Projection, layout: Layout): Drawing {
  const { mmPerPx, left, width, em } = layout;
  const ball = ballOn(place, layout);
  const { y } = ball;
  const leadHeel = place.toScreen(input.setup.address.lead.heel);
  const toTarget = place.signs.x;
  const measured = String(input.setup.measured.ballAlong !== undefined);
  const faceX = ball.x - toTarget * (ball.radius + 6 * mmPerPx);
  const zig = 9 * mmPerPx;
  const end = (toTarget * width) / 2;
  const begin = -end + toTarget * LINE_BEGINS_PX * mmPerPx;
  const arrow = 10 * mmPerPx;
  const tip = end - toTarget * 3 * mmPerPx;
  const breakY = place.signs.y * (layout.breakY ?? 0);
  return {
    target: segment({ x: begin, y }, { x: end, y }),
    'target-arrow': {
      d: `M${n(tip - toTarget * arrow)} ${n(y - arrow * 0.7)}L${n(tip)} ${n(y)}L${n(tip - toTarget * arrow)} ${n(y + arrow * 0.7)}`,
    },
    ...label('target-word', end - toTarget * 14 * mmPerPx, y + (place.signs.y > 0 ? -0.5 : 1.1) * em, {
      'text-anchor': toTarget > 0 ? 'end' : 'start',
    }),
    break: {
      d:
        layout.breakY === null
          ? ''
          : `M${n(left - 5)} ${n(breakY)}H${n(-2 * zig)}L${n(-zig)} ${n(breakY - zig)}L${n(zig)} ${n(breakY + zig)}L${n(2 * zig)} ${n(breakY)}H${n(left + width + 5)}`,
    },
    ball: { cx: n(ball.x), cy: n(y), r: n(ball.radius), 'data-measured': measured },
    face: segment({ x: faceX, y: y - 15 * mmPerPx }, { x: faceX, y: y + 15 * mmPerPx }),
    'ball-drop': segment(leadHeel, { x: leadHeel.x, y }),
    ...label('ball-figure', left + 0.7 * em, place.signs.y * layout.wordsY + 0.3 * em, {
      'data-measured': measured,
      text: `ball ${lengthAsTaken(input.setup, 'ballAlong', Math.abs(measures.ballAlong), input.length)} ${measures.ballAlong < 0 ? 'outside' : 'inside'} heel`,
    }),
    explain: explainAt(place, layout),
  };
}

/** Where the button that explains the plan stands, px from the drawing's corner: where the target line begins. */
function explainAt(place: Projection, { mmPerPx, left, top, width, lineY }: Layout): Drawing[string] {
  const edge = 24 * mmPerPx;
  const x = place.signs.x > 0 ? left + edge : left + width - edge;
  return {
    '--across': `${n((x - left) / mmPerPx)}px`,
    '--down': `${n((place.signs.y * lineY - top) / mmPerPx)}px`,
  };
}

/** How far from the ball the path is drawn, px. */
const PATH_PX = 95;

const NO_PATH: Drawing = { path: { opacity: '0' }, 'path-figure': { opacity: '0', text: '' } };

/** Where the club is likely to go through the ball on these feet, at its true angle. */
function pathParts(
  { path, setup }: DrawingInput,
  measures: AddressMeasures,
  place: Projection,
  layout: Layout,
): Drawing {
  if (!path) return NO_PATH;
  const { left, width, mmPerPx, em } = layout;
  const predicted = predictedPath(path, setup, measures);
  const { value: angle, guess } = predicted;
  const ball = ballOn(place, layout);
  const reach = PATH_PX * mmPerPx;
  const along = place.signs.x * Math.cos(radians(angle)) * reach;
  const aside = place.signs.y * Math.sin(radians(angle)) * reach;
  return {
    path: {
      ...segment({ x: ball.x - along, y: ball.y - aside }, { x: ball.x + along, y: ball.y + aside }),
      opacity: '1',
      'data-guess': String(guess),
    },
    // Across from what is said of the ball.
    ...label('path-figure', left + width - 0.7 * em, place.signs.y * layout.wordsY + 0.3 * em, {
      opacity: '1',
      'text-anchor': 'end',
      text: pathOnPlan(predicted, path.simulated),
    }),
  };
}

/** What a part of the drawing was made from, in order; made again only when one of these changes. */
type Made = { from: readonly unknown[]; parts: Drawing };

/** Reuses the parts that did not change since the last move, so that the painter can skip them. */
export interface DrawingMemory {
  halves?: { from: readonly unknown[]; halves: Record<Turn, HalfTurn> };
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

/** Both turns on these feet; worked out again when a foot is turned or the line, not when both feet are moved. */
function rememberedHalves(
  turning: Turning,
  setup: Setup,
  measures: AddressMeasures,
  memory: DrawingMemory,
): Record<Turn, HalfTurn> {
  const { lead, trail } = setup.address;
  const flaresMeasured = Boolean(setup.measured.leadFlare && setup.measured.trailFlare);
  const from = [turning, flaresMeasured, turnLine(setup, measures), lead.flare, trail.flare];
  const before = memory.halves;
  if (before?.from.every((value, at) => value === from[at])) return before.halves;
  const halves = halfTurns(turning, setup, measures);
  memory.halves = { from, halves };
  return halves;
}

const NO_HIPS: Drawing = { hips: { opacity: '0' }, legs: { opacity: '0' } };

function turnParts(
  { turning, setup, hand, footWords }: DrawingInput,
  measures: AddressMeasures,
  place: Projection,
  layout: Layout,
  memory: DrawingMemory,
): Drawing {
  if (!turning) return NO_HIPS;
  const halves = rememberedHalves(turning, setup, measures, memory);
  return hipsParts({ halves, setup, hand, footWords }, place, layout);
}

/** How far beyond its toe a ghost's mark stands, as a share of the shoe. */
const MARK_SHARE = 1.09;

function ghostParts({ ghosts = [] }: DrawingInput, place: Projection, { em }: Layout): Drawing {
  const parts: Drawing = {};
  for (const [at, { setup, feet, mark }] of ghosts.entries()) {
    for (const foot of feet) {
      parts[`ghost-${foot}-${at}`] = { transform: footMatrix(setup, foot, place) };
      if (mark === undefined) continue;
      const { heel, flare } = setup.address[foot];
      const beyond = heelToToe(foot, flare, setup.address.shoe.length * MARK_SHARE);
      const end = place.toScreen({ x: heel.x + beyond.x, y: heel.y + beyond.y });
      parts[`ghost-${foot}-${at}-mark`] = { transform: moved(end.x, end.y + 0.35 * em) };
    }
  }
  return parts;
}

/** Everything that the placing of feet, ball and load decides about the drawing. */
export function drawPlan(input: DrawingInput, memory: DrawingMemory = {}): Drawing {
  const place = projection(input.frame, input.hand, input.viewpoint);
  const layout = layoutOf({ ...input, hips: Boolean(input.turning) });
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
    return remembered(memory, foot, from, () => footParts(input, foot, place, layout));
  };
  const { address } = input.setup;
  const at = (foot: FootName) => place.toScreen(toePoint(address, foot));
  const viewBox = `${n(layout.left)} ${n(layout.top)} ${n(layout.width)} ${n(layout.height)}`;
  const { mmPerPx } = layout;
  return {
    'grid-root': { viewBox, '--px': String(mmPerPx) },
    root: { viewBox, 'font-size': n(layout.em), '--px': String(mmPerPx) },
    hatch: { patternTransform: `rotate(45) scale(${n(mmPerPx)})` },
    grid: { x: n(layout.left), y: n(layout.top), width: n(layout.width), height: n(layout.height) },
    ...footOf('trail'),
    ...footOf('lead'),
    ...ghostParts(input, place, layout),
    ...turnParts(input, measures, place, layout, memory),
    'toe-line': {
      ...extended(at('trail'), at('lead')),
      'data-measured': String(uncertaintyOf(measured, 'stanceLine') !== null),
    },
    'heel-line': extended(place.toScreen(address.trail.heel), place.toScreen(address.lead.heel)),
    ...widthParts(input, measures, place, layout),
    ...strip(input, measures, place, layout),
    ...pathParts(input, measures, place, layout),
  };
}
