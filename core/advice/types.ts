import type { Build, CameFor, Caution, CautionFact, Hand, Remedy } from '../body';
import type { ClubId, ShotType } from '../club';
import type { Bands, PartingItem } from '../method';
import type { PersonalPath } from '../path';
import type { FigureName, FootName, PatternSeen, Setup } from '../setup';
import type { Goal, TurningBody } from '../turn';

/** What an address is for, in the order it is looked at unless the student came for something else. */
export const GOALS = [
  'turn back',
  'turn through',
  // What a joint that hurts prefers.
  'sparing',
  'posting',
  'too much turn',
  'load',
  // The way of the weight in the swing.
  'pressure',
  'path',
  'ball',
  // The method's bands, ground up.
  'feet',
  'knees',
  'hips',
  'shoulders',
  'hands',
  'swing',
  // A pitch whose address is sound may still carry too much loft.
  'loft',
] as const;
export type GoalName = (typeof GOALS)[number];

/** What a coach says in one breath. */
export const THINGS = [
  'lead foot',
  'trail foot',
  'line',
  'width',
  'load',
  'pressure',
  'ball',
  'hips',
  'trail knee',
  'shoulders',
  'tilt',
  'face',
  'lead heel up',
  'trail foot release',
  'shorter swing',
  'less loft',
] as const;
export type Thing = (typeof THINGS)[number];

/** What stands before anything that is moved. */
export const BEFORE_ALL = ['see a doctor', 'test the legs'] as const;
export type BeforeAll = (typeof BEFORE_ALL)[number];

/** Everything a judgement is made from. */
export interface Case {
  setup: Setup;
  build: Build;
  /** Legs and trunk; null where they were never tested. */
  body: TurningBody | null;
  /** What the house method asks of this body, a student's exceptions in it. */
  bands: Bands;
  /** As wide as this student was found to be able to stand and still post, mm; null or absent where that was not tried. */
  widest?: number | null;
  club: ClubId;
  shot: ShotType;
  hand: Hand;
  /** The turn worked toward. */
  goal: Goal;
  cameFor: readonly CameFor[];
  facts: readonly CautionFact[];
  cautions: readonly Caution[];
  /** What the student's shots say of the path with this club. */
  path: PersonalPath;
  /** Those shots are a simulated student's: it is said in the sentence itself. */
  pathSimulated: boolean;
  /** Where the weight goes in the swing beside the route that is taught; null or absent where nothing was seen. */
  pressure?: PatternSeen | null;
  /** A broomstick under the shoes was felt at one end of them; absent where it was not. */
  feltUnder?: 'heels' | 'toes';
  /** What the coach wants left as it is. */
  pinned: readonly FigureName[];
  /** How far the lead heel is already allowed up going back, mm. */
  leadHeelLift: number;
  /** Things agreed on before in this lesson that move none of the method's figures. */
  done: readonly Thing[];
  /** What was changed in this lesson on an earlier judgement, and which way: it is tried before it is moved again. */
  agreed: readonly Remedy[];
}

/** A figure that a thing moves, mm, degrees or percent. */
export interface AdvisedMove {
  figure: AdvisedFigure;
  from: number;
  to: number;
}

/** Figures that things move; the lift is allowed in the swing, the others stand at address. */
export const ADVISED_FIGURES = [
  'stanceWidth',
  'leadFlare',
  'trailFlare',
  'setback',
  'ballAlong',
  'ballOut',
  'leadShare',
  'leadHeelToe',
  'trailHeelToe',
  'leadHeelLift',
  'trailKneeInside',
  'trailKneeFlex',
  'hipBump',
  'hipLine',
  'shoulderLine',
  'shoulderTilt',
  'clubFace',
  'shaftLean',
  'trailKneeBack',
] as const satisfies readonly FigureName[];
export type AdvisedFigure = (typeof ADVISED_FIGURES)[number];

/** A thing to do: what it moves, and the goals it serves, the one that comes first leading. */
export interface ThingToDo {
  thing: Thing;
  /** Empty where a coach says it without a figure. */
  moves: AdvisedMove[];
  serves: GoalName[];
}

/** A goal with how far it is from what is needed, in whole steps that can just be noticed. */
export interface GoalState {
  goal: GoalName;
  today: number;
  after: number;
}

/** A turn as the budget has it, today and after; degrees, and 0 to 1 where chances were drawn. */
export interface TurnBought {
  /** The leg that stops it today; null where that cannot be known. */
  stoppedBy: FootName | null;
  from: number;
  to: number;
  needed: number;
  chanceFrom: number | null;
  chanceTo: number | null;
}

/** A figure that this body needs where the method would not have it. */
export interface Parting {
  item: PartingItem;
  low: number;
  high: number;
  needs: number;
}

/** A judgement as it is told and kept: the setup it ends in follows from its moves. */
export type ToldJudgement = Omit<Judgement, 'setup'>;

/** The one judgement of a case. */
export interface Judgement {
  before: BeforeAll[];
  /** One or two things to do, first things first; none where nothing helps. */
  things: ThingToDo[];
  /** Every goal in the order of this case. */
  goals: GoalState[];
  /** The turns, where the legs and both flares are known. */
  back: TurnBought | null;
  through: TurnBought | null;
  /** The path, degrees, in-to-out positive, where shots or the ball's flight tell it. */
  path: { from: number; to: number; byEye: boolean; simulated: boolean } | null;
  /** Where the weight goes beside the route that is taught, and how that was seen. */
  pressure: PatternSeen | null;
  partings: Parting[];
  /** Both turns are short on the lead leg: going back it wants its foot squarer, going through further out. */
  pulledBothWays: boolean;
  /** The setup with the things done, and the lift that goes with it, mm. */
  setup: Setup;
  leadHeelLift: number;
}
