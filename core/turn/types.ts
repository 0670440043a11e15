import type { FootName } from '../setup';
import type { Angle } from '../units';

export const TURNS = ['back', 'through'] as const;
/** Which way the pelvis turns from the square line: going back, or going through. */
export type Turn = (typeof TURNS)[number];

/** The four stops: which leg ends the turn which way. */
export const STOPS = ['trail back', 'lead back', 'lead through', 'trail through'] as const;
export type StopName = (typeof STOPS)[number];

/** What the foot-in-the-air test and the seated turn say; null where it was not taken. */
export interface LegsAndTrunk {
  turnIn: Record<FootName, Angle | null>;
  turnOut: Record<FootName, Angle | null>;
  trunk: Record<Turn, Angle | null>;
}

/** The feet as far as turning goes: both flares, and how far the lead heel may leave the ground. */
export interface TurningFeet {
  flare: Record<FootName, number>;
  /** One standard deviation of each flare, degrees. */
  flareUncertainty: Record<FootName, number>;
  /** Lead heel lifted going back, mm. */
  leadHeelLift: number;
}

/** What a body brings to a turn. */
export interface TurningBody {
  legs: LegsAndTrunk;
  /** What is left between the test and the swing, one for each stop. */
  gives: Gives;
  /** Test and give together, where measured turns have told; they overrule the two. */
  reaches: Partial<Record<StopName, Angle>>;
  /** A painful knee gives nothing, and nothing may be asked of it. */
  soreKnee: Record<FootName, boolean>;
}

export type Gives = Record<StopName, Angle>;

export interface Goal {
  /** Shoulder turn at the top, degrees. */
  shoulders: number;
  /** Pelvis turn by impact, degrees. */
  through: number;
}

export interface Stop {
  name: StopName;
  leg: FootName;
  turn: Turn;
  /** Where this leg stops the pelvis; null where its test was not taken. */
  at: Angle | null;
  /** What it is made of, to be told. */
  made: { test: Angle | null; give: Angle; flare: number; lift: number; calibrated: boolean };
}
