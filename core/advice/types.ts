import type { Build, CameFor, Caution, CautionFact, Hand, Joint, Remedy } from '../body';
import type { ClubId, ShotType } from '../club';
import type { AgreedFigure, BandException, Bands, PartingItem } from '../method';
import type { PersonalPath } from '../path';
import type { FigureName, FootName, PatternSeen, Setup } from '../setup';
import type { Goal, TurningBody } from '../turn';

/**
 * What a cause is about, in the order it is looked at unless the student came for something else: the turn, what hurts,
 * the lead foot, what shots and a mat tell, then the address from the ground up.
 */
export const CONCERNS = [
  'turn back',
  'turn through',
  'sparing',
  'posting',
  'too much turn',
  'path',
  'pressure',
  'feet',
  'load',
  'ball',
  'knees',
  'hips',
  'shoulders',
  'hands',
  'swing',
  'loft',
] as const;
export type Concern = (typeof CONCERNS)[number];

/** What stops a student: one mechanism each; its sign is in its name, or in the way that its figure is out. */
export const CAUSES = [
  'trail leg back',
  'lead leg back',
  'open line',
  'trail knee stuck',
  'trail toes loaded',
  'stiff joint',
  'lead leg through',
  'closed line',
  'lead foot spins out',
  'trail heel stuck',
  'sore joint',
  'too wide to post',
  'hips central',
  'trail knee outside',
  'hips pushed',
  'turns too far',
  'load felt',
  'pressure',
  'path',
  'face first',
  'pitch stance',
  'too much loft',
  'out of band',
] as const;
export type CauseName = (typeof CAUSES)[number];

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
  // A pitch's stance is taught as one thing.
  'pitch',
] as const;
export type Thing = (typeof THINGS)[number];

/** What stands before anything that is moved. */
export const BEFORE_ALL = ['see a doctor', 'measure the feet', 'test the legs', 'measure the turn'] as const;
export type BeforeAll = (typeof BEFORE_ALL)[number];

/** What to look at where the feet do not explain what the student came for. */
export const LOOKS_NEXT = ['face', 'shoulders', 'turn', 'strike', 'swing'] as const;
export type LookNext = (typeof LOOKS_NEXT)[number];

/** Why a move ends where it does. */
export const REASONS = [
  'taught',
  // What the turn still needs.
  'turn',
  // What the path asks of this student.
  'path',
  // As wide as this student was found to be able to stand.
  'own test',
  // A dose the trade knows, for what is seen in the swing.
  'seen',
  // What a caution asks for.
  'caution',
  // The line stays where it was on feet that would take it along.
  'kept',
] as const;
export type Reason = (typeof REASONS)[number];

/** What a coach may want left as it is, from the ground up. */
export const PINNABLE = [
  'stanceWidth',
  'leadFlare',
  'trailFlare',
  'setback',
  'ballAlong',
  'leadShare',
  'hipBump',
  'leadHeelLift',
] as const satisfies readonly FigureName[];
export type PinnedFigure = (typeof PINNABLE)[number];

/** Everything a judgement is made from. */
export interface Case {
  setup: Setup;
  build: Build;
  /** Legs and trunk; null where they were never tested. */
  body: TurningBody | null;
  /** What is asked of this body: the house method's bands, with the student's own in place of them. */
  bands: Bands;
  /** As wide as this student was found to be able to stand and still post, mm; null where that was not tried. */
  widest: number | null;
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
  /** Where the weight goes in the swing beside the route that is taught; null where nothing was seen. */
  pressure: PatternSeen | null;
  /** A broomstick under the shoes was felt at one end of them; null where it was not. */
  feltUnder: 'heels' | 'toes' | null;
  /** What the coach wants left as it is. */
  pinned: readonly PinnedFigure[];
  /** How far the lead heel is already allowed up going back, mm. */
  leadHeelLift: number;
  /** What was agreed with this club, in this or an earlier lesson, and stands; it is in the bands. */
  agreed: readonly AgreedFigure[];
  /** The student's own tested bands that hold with the club; they are in the bands. */
  exceptions: readonly BandException[];
  /** Cues agreed in this lesson that move no figure. */
  cued: readonly Thing[];
  /** What was tried with this club and dropped: it is not asked for again. */
  dropped: readonly Remedy[];
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

/** A cause as it is told: what stops the student, by which figure where it is one, and which way that is off. */
export interface ToldCause {
  cause: CauseName;
  figure: AdvisedFigure | null;
  /** The figure is more, or less, than it should be. */
  off: 'more' | 'less' | null;
}

/** A thing to do: the cause it answers, what it moves, and why it ends there. */
export interface ThingToDo extends ToldCause {
  thing: Thing;
  /** Empty where a coach says it without a figure. */
  moves: AdvisedMove[];
  reason: Reason | null;
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

/** A figure that the plan takes where the method would not have it, and what for. */
export interface Parting {
  item: PartingItem | 'hipBump';
  low: number;
  high: number;
  needs: number;
  reason: Reason | null;
  /** The ends are the student's own, agreed or tested, and not the method's. */
  own: boolean;
}

/** The path today and with the plan, degrees, in-to-out positive. */
export interface PathTold {
  from: number;
  to: number;
  byEye: boolean;
  simulated: boolean;
  /** The eye or the flight says another way than the shots do. */
  against: boolean;
}

/** A judgement as it is told and kept: the setup it ends in follows from its moves. */
export type ToldJudgement = Omit<Judgement, 'setup'>;

/** The one judgement of a case. */
export interface Judgement {
  before: BeforeAll[];
  /** The joint that hurts, was mended or is stiff, and that a change is made for; null where none is. */
  spares: Joint | null;
  /** Norms decide a turn: the legs were not tested. */
  legsUntested: boolean;
  /** One or two things to do, first things first; none where nothing helps. */
  things: ThingToDo[];
  /** What is left for later: causes that stand, or stay short, with the things done. */
  waits: ToldCause[];
  /** Where the feet do not explain what the student came for, what to look at next; null where they do. */
  lookNext: LookNext | null;
  /** Measured again within its ±, the first thing could be another one. */
  closeCall: boolean;
  /** The turns, where the legs and both flares are known and the turn is asked for at all. */
  back: TurnBought | null;
  through: TurnBought | null;
  path: PathTold | null;
  /** Where the weight goes beside the route that is taught, and how that was seen. */
  pressure: PatternSeen | null;
  partings: Parting[];
  /** Both turns are short on the lead leg: going back it wants its foot squarer, going through further out. */
  pulledBothWays: boolean;
  /** The setup with the things done, and the lift that goes with it, mm. */
  setup: Setup;
  leadHeelLift: number;
}
