import type { Unit } from '../units';
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
}

const range = (least: number, most: number): Range => ({ least, most });

/** The steps in which a fit looks for figures of each unit (starting values). */
const STEP: Record<Unit, number> = { mm: 5, degrees: 1, percent: 2.5 };

const figure = (
  part: Part,
  unit: Unit,
  possible: Range,
  asked: Range | null,
  justNoticeable: number,
): Figure => ({ part, unit, range: possible, asked, step: STEP[unit], justNoticeable, line: false });

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

/** What follows from where the feet stand. */
const DERIVED = {
  stanceLine: {
    ...figure('feet', 'degrees', range(-90, 90), range(-30, 40), 2),
    line: true,
    measure: ({ toeLine }) => toeLine,
    set: setToeLine,
  },
  heelLine: {
    ...figure('feet', 'degrees', range(-90, 90), null, 2),
    line: true,
    measure: ({ heelLine }) => heelLine,
    set: null,
  },
  outerWidth: {
    ...figure('feet', 'mm', range(10, 2000), null, 10),
    measure: ({ outerWidth }) => outerWidth,
    set: null,
  },
  gap: { ...figure('feet', 'mm', range(-200, 1400), null, 10), measure: ({ gap }) => gap, set: null },
  /** From the lead toe out to the ball's line: it stays when the trail foot alone goes back. */
  leadToeOut: {
    ...figure('feet', 'mm', range(0, 1700), null, 30),
    measure: (_measures, address) => -toePoint(address, 'lead').y,
    set: (address, value) => {
      const out = -toePoint(address, 'lead').y - value;
      return moveFoot(moveFoot(address, 'lead', 0, out), 'trail', 0, out);
    },
  },
} as const satisfies Record<string, GroundFigure>;

const load = (): Figure => figure('feet', 'percent', range(0, 100), range(0, 100), 5);

/** Where the load is: the lead foot's share, and along each sole from heel (0) to toe (100). */
const LOADS = {
  leadShare: load(),
  leadHeelToe: load(),
  trailHeelToe: load(),
} as const satisfies Record<string, Figure>;

const seen = (part: Part, unit: Unit, least: number, most: number, justNoticeable: number): Figure =>
  figure(part, unit, range(least, most), range(least, most), justNoticeable);

const seenLine = (part: Part, most: number, justNoticeable: number): Figure => ({
  ...seen(part, 'degrees', -most, most, justNoticeable),
  line: true,
});

/**
 * What is looked at above the feet, from the ground up, and the turn at the top. New ones go at the
 * end: the log keeps findings by their place.
 */
const SEEN = {
  trailKneeInside: seen('knees', 'mm', -150, 150, 15),
  trailKneeFlex: seen('knees', 'degrees', -30, 60, 5),
  hipBump: seen('hips', 'mm', -150, 150, 10),
  hipGap: seen('hips', 'mm', -100, 400, 15),
  hipLine: seenLine('hips', 45, 4),
  shoulderLine: seenLine('shoulders', 45, 4),
  shoulderTilt: seen('shoulders', 'degrees', -20, 45, 5),
  clubFace: seenLine('hands', 30, 2),
  hipTurn: seen('swing', 'degrees', 0, 90, 8),
  shoulderTurn: seen('swing', 'degrees', 0, 150, 8),
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
/** A figure that a setup has: all but what is agreed on for the swing. */
export type SetupFigure = FeetFigure | DerivedFigure | LoadFigure | PostureFigure;

const keysOf = <Name extends string>(table: Record<Name, unknown>) => Object.keys(table) as [Name, ...Name[]];

export const FEET_FIGURES = keysOf(FEET);
export const LOAD_FIGURES = keysOf(LOADS);
export const POSTURE_FIGURES = keysOf(SEEN);
const GROUND: Partial<Record<FigureName, GroundFigure>> = { ...FEET, ...DERIVED };

/** How a figure of the ground is measured and set; undefined for any other. */
export const groundFigure = (name: FigureName): GroundFigure | undefined => GROUND[name];
export const isLoad = (name: FigureName): name is LoadFigure => name in LOADS;
export const isPosture = (name: FigureName): name is PostureFigure => name in SEEN;

/** Whether a figure is told as open, square or closed. */
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
