import type { Thing } from '../advice';
import type { CameFor } from '../body';
import type { ClubId, ShotType } from '../club';
import type { HouseMethod } from '../method';
import type { OwnLadder } from '../ladder';
import { PRESSURE_REMEDIES } from '../balance/remedies';
import { differences, type ChangeName, type FootName, type PressurePattern, type Setup } from '../setup';
import { daysAfter } from '../units';
import { practising, type CardStudent } from './compose';
import { exaggeratedDose, isSetBack, type Dose, type DosedFigure } from './doses';
import { DRILL_LIBRARY } from './drillLibrary';
import { fittingDrills, mayDrill, type Drill } from './drills';
import { daysToNextLook } from './nextLook';
import { usualPractice, type Practice, type Rounds } from './practice';
import { cueFrom } from './sportCues';
import { usualRoutine, type RoutineStep } from './routine';

/** What a coach decides of a card; the rest of it follows from what was agreed. */
export interface CardDraft {
  dose: Dose;
  further: DosedFigure[];
  rounds: Rounds;
  routine: RoutineStep[];
  drills: Drill[];
  /** A cue from the sport that the student knows; empty where there is none. */
  cue: string;
  practice: Practice | null;
  /** YYYY-MM-DD */
  nextLook: string | null;
  /** A ladder to go up alone; null where none is sent along. */
  ladder: OwnLadder | null;
}

/** What was agreed with a student, and what came of looking at it. */
export interface Agreement {
  student: CardStudent;
  club: ClubId;
  shot: ShotType;
  /** The method that it was agreed by; null where that is not known. */
  method: HouseMethod | null;
  from: Setup;
  agreed: Setup;
  cameFor: readonly CameFor[];
  /** The sport that the student knows best; empty where nobody asked. */
  sport: string;
  /** The legs that stopped the turn. */
  stops: readonly FootName[];
  /** The pattern of the pressure that is worked at; null where none is. */
  pattern: PressurePattern | null;
  /** How each look at it ended, oldest first. */
  looks: readonly ('held' | 'drifted')[];
  /** YYYY-MM-DD */
  today: string;
}

/** What each figure of a change belongs to, as drills are sorted by. */
const THING_OF: Partial<Record<ChangeName, Thing>> = {
  stanceWidth: 'width',
  leadFlare: 'lead foot',
  trailFlare: 'trail foot',
  setback: 'line',
  ballAlong: 'ball',
  leadToeOut: 'ball',
  leadShare: 'load',
  leadHeelToe: 'load',
  trailHeelToe: 'load',
  trailKneeInside: 'trail knee',
  trailKneeFlex: 'trail knee',
  hipBump: 'hips',
  hipLine: 'hips',
  shoulderLine: 'shoulders',
  shoulderTilt: 'tilt',
  clubFace: 'face',
};

/** Slow swings and balls of a round (starting values). */
export const TWO_DOSES: Rounds = { feel: 3, play: 5 };
export const ONE_DOSE: Rounds = { feel: 0, play: 10 };

/**
 * What was changed, as it is taught; feet that are only squared are not taught by setting one of them back, and a pitch is
 * one thing.
 */
const thingsTaught = ({ from, agreed, shot }: Pick<Agreement, 'from' | 'agreed' | 'shot'>): Thing[] => {
  const changed = differences(from, agreed)
    .filter(({ change }) => change !== 'setback' || isSetBack(agreed))
    .flatMap(({ change }) => THING_OF[change] ?? []);
  return shot === 'pitch' && changed.length > 0 ? ['pitch'] : changed;
};

/**
 * The drills that fit what was agreed, the pressure's own first, never one that a caution bars.
 * @param agreement what was agreed, and with whom
 * @param drills all there are
 * @param most how many
 * @returns the best first
 */
export function drillsFor(
  { student, from, agreed, shot, cameFor, stops, pattern, today }: Omit<Agreement, 'looks'>,
  drills: readonly Drill[],
  most: number,
): Drill[] {
  const { tellTales = [], swingPath } = from.posture ?? {};
  const decided = {
    things: [...thingsTaught({ from, agreed, shot }), ...(pattern ? (['pressure'] as const) : [])],
    cameFor,
    tellTales,
    paths: swingPath ? [swingPath] : [],
    stops,
  };
  const { minor } = practising(student, today);
  const who = { facts: student.facts, minor };
  const remedy = pattern && drills.find(({ id }) => id === PRESSURE_REMEDIES[pattern].drill);
  const first = remedy && mayDrill(remedy, who) ? [remedy] : [];
  const fitting = fittingDrills(drills, decided, who, most).filter((drill) => !first.includes(drill));
  return [...first, ...fitting].slice(0, most);
}

/**
 * A card as it is proposed: doses, routine, drills and practice for this student, and when to look again.
 * @param agreement what was agreed, and what came of looking at it
 * @param drills all there are; the library where nothing is said
 * @returns what a coach may change before it is kept
 */
export function proposeCard(agreement: Agreement, drills: readonly Drill[] = DRILL_LIBRARY): CardDraft {
  const { student, from, agreed, looks, pattern, today } = agreement;
  const who = practising(student, today);
  const further = exaggeratedDose(from, agreed, who.cautions);
  return {
    dose: further.length > 0 ? 'feel' : 'play',
    further,
    rounds: further.length > 0 ? TWO_DOSES : ONE_DOSE,
    routine: usualRoutine(agreement, who.cautions),
    drills: drillsFor(agreement, drills, 2),
    cue: pattern ? PRESSURE_REMEDIES[pattern].cue : (cueFrom(agreement.sport, thingsTaught(agreement)) ?? ''),
    practice: usualPractice(who),
    nextLook: daysAfter(today, daysToNextLook(looks)),
    ladder: null,
  };
}
