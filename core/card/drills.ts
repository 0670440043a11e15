import type { Thing } from '../advice';
import type { CameFor, CautionFact, FactState, Joint } from '../body';
import type { FootName, SwingPath, TellTale } from '../setup';

/** Whom a drill is not for: anybody of whom a state of a joint stands; a row of no joints is any. */
export interface NotFor {
  joints: Joint[];
  states: FactState[];
}

/** What a drill is for, whom it is not for, and how it is done; all words are a student's. */
export interface Drill {
  id: string;
  name: string;
  /** What of a setup it teaches. */
  things: Thing[];
  /** What a student may have come for that it answers. */
  cameFor: CameFor[];
  /** What may have been seen in the swing that it answers, and where the club came from. */
  tellTales: TellTale[];
  paths: SwingPath[];
  /** The leg that stops the turn, where it frees one. */
  stops: FootName[];
  /** In lead and trail. */
  how: string;
  dose: string;
  feel: string;
  /** What is seen when it is right. */
  right: string;
  /** What has to lie ready; empty where nothing has. */
  needs: string;
  notFor: NotFor[];
  minors: boolean;
}

/** Who would do a drill. */
export interface Drilling {
  facts: readonly CautionFact[];
  minor: boolean;
}

const isFor = ({ joints, states }: NotFor, fact: CautionFact): boolean =>
  states.includes(fact.state) && (joints.length === 0 || joints.includes(fact.joint));

/**
 * Whether a drill may be given to a student: nothing that stands of them bars it.
 * @param drill which
 * @param who the student's facts and whether they are a minor
 * @returns false where a caution bars it
 */
export function mayDrill(drill: Drill, { facts, minor }: Drilling): boolean {
  if (minor && !drill.minors) return false;
  const standing = facts.filter(({ status }) => status === 'stands');
  return !drill.notFor.some((row) => standing.some((fact) => isFor(row, fact)));
}

/** What was decided with a student, and what it rests on. */
export type Decided = {
  readonly [Part in 'things' | 'cameFor' | 'tellTales' | 'paths' | 'stops']: readonly Drill[Part][number][];
};

/** What was seen or said, against what is taught. */
const SEEN = ['cameFor', 'tellTales', 'paths', 'stops'] as const;

const shared = (a: readonly string[], b: readonly string[]): number =>
  a.filter((each) => b.includes(each)).length;

/** Things that put the feet somewhere: a drill of one that was not agreed would undo what was. */
const OF_THE_FEET: readonly Thing[] = ['line', 'width', 'lead foot', 'trail foot'];

/** What is taught counts before what was complained of. */
function fitOf(drill: Drill, decided: Decided): number {
  const fits = shared(drill.things, decided.things);
  if (fits === 0 && shared(drill.things, OF_THE_FEET) > 0) return 0;
  const answered = SEEN.reduce((sum, part) => sum + shared(drill[part], decided[part]), 0);
  return 2 * fits + answered;
}

/**
 * The drills that fit best what was decided, never one that a caution bars.
 * @param drills all there are
 * @param decided what is to change, and what the student came for
 * @param who the student's facts and whether they are a minor
 * @param most how many
 * @returns the best first; fewer where fewer fit
 */
export function fittingDrills(drills: readonly Drill[], decided: Decided, who: Drilling, most = 2): Drill[] {
  return drills
    .filter((drill) => mayDrill(drill, who))
    .map((drill) => ({ drill, fit: fitOf(drill, decided) }))
    .filter(({ fit }) => fit > 0)
    .sort((a, b) => b.fit - a.fit)
    .slice(0, most)
    .map(({ drill }) => drill);
}
