import { degrees, radians, type Unit } from '../units';
import { toePoint } from './foot';
import type { Address } from './ground';
import type { AddressMeasures } from './measures';
import {
  dropFoot,
  dropFootTurned,
  flareAboutHeel,
  flareToeKept,
  moveFoot,
  setBallAlong,
  setBallOut,
  setSetback,
  setStanceWidth,
  setToeLine,
} from './moves';

/** The parts of the body a setup is read by, from the ground up; the swing comes last. */
export const PARTS = ['feet', 'knees', 'hips', 'shoulders', 'hands', 'swing'] as const;
export type Part = (typeof PARTS)[number];

/** How a figure was obtained; a way that tells its own ± needs none in the table. */
export const MEASUREMENT_WAYS = ['tape', 'drag', 'by eye', 'photo', 'mat', 'gauge'] as const;
export type MeasurementWay = (typeof MEASUREMENT_WAYS)[number];

export interface Range {
  least: number;
  most: number;
}

/** What every figure has. Lengths mm, angles degrees, loads percent. */
export interface Figure {
  part: Part;
  unit: Unit;
  /** What it can be at all: human ranges, starting values. */
  range: Range;
  /** The middles and band ends a house method may ask for; null where no method asks for it. */
  asked: Range | null;
  /** The step in which a fit looks for it (starting values). */
  step: number;
  /** What a coach can just notice, the unit in which moves and findings are weighed (starting values). */
  justNoticeable: number;
  /** An angle to the target line, told as open, square or closed. */
  line: boolean;
  /** One standard deviation by each way of getting it that has a usual one (starting values). */
  uncertainty: Partial<Record<MeasurementWay, number>>;
}

const range = (least: number, most: number): Range => ({ least, most });

/** The steps in which a fit looks for figures of each unit (starting values). */
const STEP: Record<Unit, number> = { mm: 5, degrees: 1, percent: 2.5 };

/** One standard deviation of what is placed, by unit and way (starting values). No tape measures a load. */
const PLACED_UNCERTAINTY: Record<Unit, Figure['uncertainty']> = {
  mm: { tape: 10, drag: 20, 'by eye': 40 },
  degrees: { tape: 2, drag: 4, 'by eye': 8 },
  percent: { drag: 5, 'by eye': 10 },
};

const figure = (
  part: Part,
  unit: Unit,
  possible: Range,
  asked: Range | null,
  justNoticeable: number,
): Figure => ({
  part,
  unit,
  range: possible,
  asked,
  step: STEP[unit],
  justNoticeable,
  line: false,
  uncertainty: PLACED_UNCERTAINTY[unit],
});

/** How a foot is moved where there is more than one way. */
export interface WayOfMoving {
  /** A flared foot keeps its toe on its line, or turns about its heel. */
  keepToe: boolean;
  /** A foot taken back turns with the line, or keeps its flare. */
  turnWithLine: boolean;
}

/** As it is usually taught: toes kept on their lines, a foot taken back at the flare it has. */
export const AS_TAUGHT: WayOfMoving = { keepToe: true, turnWithLine: false };

/** A figure of the feet and the ball: how it is read off the ground, and how the feet are put to it. */
export interface GroundFigure extends Figure {
  measure: (measures: AddressMeasures, address: Address) => number;
  /** Puts the feet to a value, moving as little else as it can; null where nothing sets it by itself. */
  set: ((address: Address, value: number, how: WayOfMoving) => Address) | null;
}

/** A figure that follows from others: it is measured when all of them are, and no surer than they are. */
export interface FollowingFigure extends GroundFigure {
  /** How much it changes with each figure it follows from, in its unit per theirs. */
  slopes: (measures: AddressMeasures, address: Address) => Partial<Record<FeetFigure, number>>;
  /** The figure that is placed when this one is set. */
  places: FeetFigure | null;
}

const flare = (foot: 'lead' | 'trail'): GroundFigure => ({
  ...figure('feet', 'degrees', range(-45, 90), range(-30, 60), 5),
  measure: (measures) => measures[`${foot}Flare`],
  set: (address, value, { keepToe }) => (keepToe ? flareToeKept : flareAboutHeel)(address, foot, value),
});

/** What a coach places or measures of the feet and the ball: all of the ground follows from these six. */
const FEET = {
  stanceWidth: {
    ...figure('feet', 'mm', range(10, 1500), range(50, 1200), 10),
    measure: ({ stanceWidth }) => stanceWidth,
    set: setStanceWidth,
  },
  leadFlare: flare('lead'),
  trailFlare: flare('trail'),
  setback: {
    ...figure('feet', 'mm', range(-600, 600), null, 10),
    measure: ({ setback }) => setback,
    set: (address, value, { turnWithLine }) =>
      setSetback(address, value, turnWithLine ? dropFootTurned : dropFoot),
  },
  ballAlong: {
    ...figure('feet', 'mm', range(-600, 1000), range(-200, 500), 10),
    measure: ({ ballAlong }) => ballAlong,
    set: setBallAlong,
  },
  ballOut: {
    ...figure('feet', 'mm', range(50, 1600), range(100, 1200), 30),
    measure: ({ ballOut }) => ballOut,
    set: setBallOut,
  },
} as const satisfies Record<string, GroundFigure>;

/**
 * How an angle atan(across / along) changes, degrees per mm of each.
 */
function lineSlopes(along: number, across: number): { along: number; across: number } {
  const square = Math.max(1, along ** 2 + across ** 2);
  return { along: degrees(-across / square), across: degrees(along / square) };
}

/** The toe line through toes `setback` apart in depth: worked from its definition, per mm and degree. */
function toeLineSlopes({ stanceWidth, leadFlare, trailFlare, setback }: AddressMeasures, { shoe }: Address) {
  const { sin, cos } = Math;
  const apart = stanceWidth + shoe.length * (sin(radians(leadFlare)) + sin(radians(trailFlare)));
  const { along, across } = lineSlopes(apart, setback);
  const perDegree = (flareAngle: number) => along * shoe.length * cos(radians(flareAngle)) * radians(1);
  return {
    stanceWidth: along,
    setback: across,
    leadFlare: perDegree(leadFlare),
    trailFlare: perDegree(trailFlare),
  };
}

/** The heel line: the heels are the setback apart in depth, less what the flares take up. */
function heelLineSlopes({ stanceWidth, leadFlare, trailFlare, setback }: AddressMeasures, { shoe }: Address) {
  const { sin, cos } = Math;
  const depth = setback + shoe.length * (cos(radians(trailFlare)) - cos(radians(leadFlare)));
  const { along, across } = lineSlopes(stanceWidth, depth);
  const perDegree = (flareAngle: number) => across * shoe.length * sin(radians(flareAngle)) * radians(1);
  return {
    stanceWidth: along,
    setback: across,
    leadFlare: perDegree(leadFlare),
    trailFlare: -perDegree(trailFlare),
  };
}

/** A width between the soles' edges goes with that between the heels; a turned sole reaches further. */
function edgeSlopes({ leadFlare, trailFlare }: AddressMeasures, { shoe }: Address, outward: 1 | -1) {
  const perDegree = (flareAngle: number) =>
    outward * (shoe.length / 2) * Math.cos(radians(flareAngle)) * radians(1);
  return { stanceWidth: 1, leadFlare: perDegree(leadFlare), trailFlare: perDegree(trailFlare) };
}

/** What follows from where the feet stand. */
const DERIVED = {
  stanceLine: {
    ...figure('feet', 'degrees', range(-90, 90), range(-30, 40), 2),
    line: true,
    measure: ({ toeLine }) => toeLine,
    set: setToeLine,
    slopes: toeLineSlopes,
    places: 'setback',
  },
  heelLine: {
    ...figure('feet', 'degrees', range(-90, 90), null, 2),
    line: true,
    measure: ({ heelLine }) => heelLine,
    set: null,
    slopes: heelLineSlopes,
    places: null,
  },
  outerWidth: {
    ...figure('feet', 'mm', range(10, 2000), null, 10),
    measure: ({ outerWidth }) => outerWidth,
    set: null,
    slopes: (measures, address) => edgeSlopes(measures, address, 1),
    places: null,
  },
  gap: {
    ...figure('feet', 'mm', range(-200, 1400), null, 10),
    measure: ({ gap }) => gap,
    set: null,
    slopes: (measures, address) => edgeSlopes(measures, address, -1),
    places: null,
  },
  /** From the lead toe out to the ball's line: it stays when the trail foot alone goes back. */
  leadToeOut: {
    ...figure('feet', 'mm', range(0, 1700), null, 30),
    measure: (_measures, address) => -toePoint(address, 'lead').y,
    set: (address, value) => {
      const out = -toePoint(address, 'lead').y - value;
      return moveFoot(moveFoot(address, 'lead', 0, out), 'trail', 0, out);
    },
    slopes: () => ({ ballOut: 1 }),
    places: 'ballOut',
  },
} as const satisfies Record<string, FollowingFigure>;

const load = (): Figure => figure('feet', 'percent', range(0, 100), range(0, 100), 5);

/** Where the load is: the lead foot's share, and along each sole from heel (0) to toe (100). */
const LOADS = {
  leadShare: load(),
  leadHeelToe: load(),
  trailHeelToe: load(),
} as const satisfies Record<string, Figure>;

/** A figure above the feet; `tape` and `eye` are one standard deviation with a tape or stick, and by eye. */
const seen = (
  part: Part,
  unit: Unit,
  [least, most]: readonly [number, number],
  justNoticeable: number,
  { tape, eye }: { tape: number; eye: number },
): Figure => ({
  ...figure(part, unit, range(least, most), range(least, most), justNoticeable),
  uncertainty: { tape, 'by eye': eye },
});

const seenLine = (
  part: Part,
  most: number,
  justNoticeable: number,
  uncertainty: { tape: number; eye: number },
): Figure => ({ ...seen(part, 'degrees', [-most, most], justNoticeable, uncertainty), line: true });

/**
 * What is looked at above the feet, from the ground up, and the turn at the top. New ones go at the
 * end: the log keeps findings by their place.
 */
const SEEN = {
  trailKneeInside: seen('knees', 'mm', [-150, 150], 15, { tape: 8, eye: 15 }),
  trailKneeFlex: seen('knees', 'degrees', [-30, 60], 5, { tape: 3, eye: 5 }),
  hipBump: seen('hips', 'mm', [-150, 150], 10, { tape: 8, eye: 12 }),
  hipGap: seen('hips', 'mm', [-100, 400], 15, { tape: 8, eye: 15 }),
  hipLine: seenLine('hips', 45, 4, { tape: 2, eye: 4 }),
  shoulderLine: seenLine('shoulders', 45, 4, { tape: 2, eye: 4 }),
  shoulderTilt: seen('shoulders', 'degrees', [-20, 45], 5, { tape: 2, eye: 4 }),
  clubFace: seenLine('hands', 30, 2, { tape: 1, eye: 2 }),
  hipTurn: seen('swing', 'degrees', [0, 90], 8, { tape: 4, eye: 8 }),
  shoulderTurn: seen('swing', 'degrees', [0, 150], 8, { tape: 4, eye: 8 }),
  trailKneeBack: seen('swing', 'mm', [0, 400], 30, { tape: 20, eye: 40 }),
  shaftLean: seen('hands', 'degrees', [-20, 40], 4, { tape: 2, eye: 4 }),
} as const satisfies Record<string, Figure>;

/** What is agreed on for the swing and not measured at address. */
const AGREED = {
  /** Half an inch to an inch frees the hips (common practice, no source). */
  leadHeelLift: figure('feet', 'mm', range(0, 25), null, 10),
} as const satisfies Record<string, Figure>;

export const FIGURES = { ...FEET, ...DERIVED, ...LOADS, ...SEEN, ...AGREED };

export type FeetFigure = keyof typeof FEET;
export type DerivedFigure = keyof typeof DERIVED;
export type LoadFigure = keyof typeof LOADS;
export type PostureFigure = keyof typeof SEEN;
export type FigureName = keyof typeof FIGURES;
/** A figure that is placed and measured by itself: the feet, the ball and the load. */
export type PlacedFigure = FeetFigure | LoadFigure;
/** A figure that a setup has: all but what is agreed on for the swing. */
export type SetupFigure = FeetFigure | DerivedFigure | LoadFigure | PostureFigure;

const keysOf = <Name extends string>(table: Record<Name, unknown>) => Object.keys(table) as [Name, ...Name[]];

export const FEET_FIGURES = keysOf(FEET);
export const LOAD_FIGURES = keysOf(LOADS);
export const PLACED_FIGURES = [...FEET_FIGURES, ...LOAD_FIGURES] as [PlacedFigure, ...PlacedFigure[]];
export const POSTURE_FIGURES = keysOf(SEEN);
const GROUND: Partial<Record<FigureName, GroundFigure>> = { ...FEET, ...DERIVED };
const FOLLOWING: Partial<Record<FigureName, FollowingFigure>> = DERIVED;

/**
 * How a figure of the ground is measured and set; undefined for any other.
 * @param name of the figure
 * @returns its measure and its setter
 */
export const groundFigure = (name: FigureName): GroundFigure | undefined => GROUND[name];
/**
 * How a figure follows from others; undefined for one that is measured by itself.
 * @param name of the figure
 * @returns what it follows from
 */
export const followingFigure = (name: FigureName): FollowingFigure | undefined => FOLLOWING[name];
/**
 * Whether a figure is one that a coach places: the feet, the ball or a load.
 * @param name of the figure
 * @returns true for those
 * @example isPlaced('leadFlare') // true
 */
export const isPlaced = (name: FigureName): name is PlacedFigure => name in FEET || name in LOADS;
/**
 * Whether a figure is a share of the load.
 * @param name of the figure
 * @returns true for those
 * @example isLoad('leadShare') // true
 */
export const isLoad = (name: FigureName): name is LoadFigure => name in LOADS;
/**
 * Whether a figure belongs to the posture, seen and not placed.
 * @param name of the figure
 * @returns true for those
 * @example isPosture('leadFlare') // false
 */
export const isPosture = (name: FigureName): name is PostureFigure => name in SEEN;

/**
 * Whether a figure is told as open, square or closed.
 * @param name of the figure or question
 * @returns true for those
 * @example isLine('stanceLine') // true
 */
export const isLine = (name: string): boolean => (FIGURES as Record<string, Figure>)[name]?.line ?? false;

/**
 * What is measured to answer a house method's questions, from the ground up. New ones come at the
 * end: the log keeps findings by their place.
 */
export const ITEMS = [
  'stanceWidth',
  'leadFlare',
  'trailFlare',
  'stanceLine',
  'ballAlong',
  'leadShare',
  'leadHeelToe',
  'trailHeelToe',
  'ballOut',
  ...POSTURE_FIGURES,
] as const satisfies readonly SetupFigure[];
export type Item = (typeof ITEMS)[number];

/** What a coach tells a student to change, from the ground up. */
export const CHANGES = [
  'stanceWidth',
  'leadFlare',
  'trailFlare',
  'setback',
  'ballAlong',
  'leadToeOut',
  'leadShare',
  'leadHeelToe',
  'trailHeelToe',
  ...POSTURE_FIGURES,
] as const satisfies readonly SetupFigure[];
export type ChangeName = (typeof CHANGES)[number];
