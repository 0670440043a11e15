import type { Build } from '../body';
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

/** The feet as far as turning goes: both flares, the line of the toes, and how far the lead heel may leave the ground. */
export interface TurningFeet {
  flare: Record<FootName, number>;
  /** One standard deviation of each flare, degrees. */
  flareUncertainty: Record<FootName, number>;
  /** The toe line, closed positive. */
  toeLine: Angle;
  /** By how much the method itself has the trail foot further out than the lead foot, degrees. */
  ownDifference: number;
  /** Lead heel lifted going back, mm. */
  leadHeelLift: number;
}

/** What a body brings to a turn. */
export interface TurningBody {
  legs: LegsAndTrunk;
  /** How far each foot points out on its own, degrees; null where it was not looked at. */
  naturalToeOut: Record<FootName, number> | null;
  /** What is left between the test and the swing, one for each stop. */
  gives: Gives;
  /** Test and give together, where measured turns have told; they overrule the two. */
  reaches: Partial<Record<StopName, Angle>>;
  /** Degrees of turn for a degree of closing that the feet did not turn with. */
  closing: Angle;
  /** The covariance of each reach with `closing`, where measured turns have told of both. */
  closingWith: Partial<Record<StopName, number>>;
  /**
   * What may be so of the legs, each with how likely: where nobody could say which leg stopped a measured turn. `reaches` and
   * `closing` are their mean, which by itself would have every leg half stop it. None where there is but one way.
   */
  mixture?: readonly LegsMaybe[];
  /** A painful knee gives nothing, and nothing may be asked of it. */
  soreKnee: Record<FootName, boolean>;
  /** Stops whose leg could not be tested because it hurts: it is never asked to turn further that way. */
  hurts: readonly StopName[];
}

/** One way in which the legs may be, and how likely it is, 0 to 1. */
export interface LegsMaybe extends Pick<TurningBody, 'reaches' | 'closing' | 'closingWith'> {
  weight: number;
}

/** Everything of a student that a house method's rules go by. */
export interface Body {
  build: Build;
  /** Null until legs and trunk have been tested. */
  legs: TurningBody | null;
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
  /** Where this leg stops the pelvis; null where it hurt in its test. */
  at: Angle | null;
  /** What it is made of, to be told. */
  made: {
    test: Angle | null;
    /** A usual leg stands in: this one was not tested. */
    usual: boolean;
    give: Angle;
    flare: number;
    lift: number;
    closing: number;
    calibrated: boolean;
  };
}
