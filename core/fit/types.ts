import type { Build, Remedy } from '../body';
import type { Bands } from '../method';
import type { FigureName, Setup } from '../setup';
import type { Goal, Turn, TurningBody } from '../turn';

/** What may be changed, from the ground up. */
export const MOVES = [
  'stanceWidth',
  'leadFlare',
  'trailFlare',
  'setback',
  'ballAlong',
  'leadShare',
  'hipBump',
  'leadHeelLift',
] as const satisfies readonly FigureName[];
export type MoveName = (typeof MOVES)[number];

/** What has to hold. */
export const REQUIREMENTS = [
  'turn back',
  'turn through',
  'stanceWidth',
  'stanceLine',
  'leadFlare',
  'trailFlare',
  'ballAlong',
  'leadShare',
  'hipBump',
] as const;
export type Requirement = (typeof REQUIREMENTS)[number];

export interface FitProblem {
  setup: Setup;
  build: Build;
  /** What the house method asks of this body with this club. */
  bands: Bands;
  body: TurningBody;
  goal: Goal;
  /** What the coach wants left as it is. */
  pinned: readonly MoveName[];
  /** What this student is never asked for, and what only by one noticeable step. */
  barred: readonly Remedy[];
  limited: readonly Remedy[];
}

export interface Move {
  move: MoveName;
  from: number;
  to: number;
  /** In what can just be noticed. */
  size: number;
}

export const FIT_KINDS = ['fewest moves', 'most turn', 'easiest on the knees', 'the nearest to it'] as const;
export type FitKind = (typeof FIT_KINDS)[number];

export interface FitAnswer {
  kind: FitKind;
  moves: Move[];
  /** The sizes of all moves together. */
  size: number;
  setup: Setup;
  leadHeelLift: number;
  /** Where the turn ends each way now, and where it would; null where the legs were not tested. */
  back: { from: number; to: number; needed: number } | null;
  through: { from: number; to: number; needed: number } | null;
  /** What it leaves short of what is asked, and by how much; empty where all of it is met. */
  unmet: Relaxation[];
}

/** What stands in the way when nothing works: a requirement, and the least it would have to give. */
export interface Relaxation {
  requirement: Requirement;
  /** Degrees, mm or percent by which it would have to be relaxed. */
  by: number;
}

export interface Fit {
  answers: FitAnswer[];
  /** Empty when there are answers; each by itself would make one possible, the least first. */
  relaxations: Relaxation[];
  /** Where there are no answers, the feet that come nearest to one, and what they leave unmet. */
  nearest: FitAnswer | null;
  /** Turns that are not asked for, because a leg hurt in its test. */
  spared: Turn[];
}
