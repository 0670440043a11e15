import { ladderKey, climbedAt, goneOnWith, isYetToCome } from '@pedastance/contract/climbed';
import type { ExceptionEntry, LadderEntry, LogEntry, Logged, Student } from '@pedastance/contract';
import { isMinor, legsOn, stillGrows, type CautionFact } from '@pedastance/core/body';
import type { ClubId } from '@pedastance/core/club';
import {
  LADDERS,
  ladderFrom,
  ownBand,
  triesOf,
  type Ladder,
  type LadderName,
  type LadderTurn,
  type OwnLadder,
  type Threshold,
  type Try,
} from '@pedastance/core/ladder';
import { standingOf } from '@pedastance/contract/standing';

/** What of a leg keeps a ladder from the end of its range. */
const JOINTS: readonly string[] = ['hip', 'knee', 'ankle'];
const STATES: readonly string[] = ['pain', 'operated', 'replaced'];

const isSore = ({ status, state }: CautionFact): boolean => status === 'stands' && STATES.includes(state);

const isSoreInALeg = (fact: CautionFact): boolean => isSore(fact) && JOINTS.includes(fact.joint ?? '');

/**
 * Whether a student's ladders stop short of the end: they grow, or something of a leg hurts or was operated on.
 * @param student with the facts to mind
 * @param today YYYY-MM-DD
 * @returns whether they do
 */
export const sparedOnLadders = (student: Student, today: string): boolean =>
  stillGrows(student, today) || student.facts.some(isSoreInALeg);

/** Whether the hip of the trail leg is sore or mended: then the lead foot is tried in half swings. */
export const soreTrailHip = ({ facts, hand }: Student): boolean =>
  facts.some((fact) => isSore(fact) && fact.joint === 'hip' && legsOn(fact.side, hand).includes('trail'));

const UNSTEADY: readonly string[] = ['recent fall', 'dizzy or numb'];

/** Whether a student fell of late, is dizzy or numb: then nothing is tried that ends on one leg. */
export const isUnsteady = ({ facts }: Pick<Student, 'facts'>): boolean =>
  facts.some(({ state, status }) => status === 'stands' && UNSTEADY.includes(state));

/** Ladders and tests that end on one leg. */
export const ON_ONE_LEG: readonly string[] = ['width', 'finish', 'lift', 'setback'];

/** A ladder that a student can be taken up: which one it is, and what it is made of. */
export interface OfferedLadder {
  key: string;
  name: LadderName | 'own';
  own: OwnLadder | null;
  ladder: Ladder;
}

const built = (name: LadderName): OfferedLadder => ({ key: name, name, own: null, ladder: LADDERS[name] });

/**
 * The ladders that a student is offered: in half swings where the trail hip is sore, none that ends on one leg after a fall,
 * and of an academy's own those that minors may go up, to a minor.
 * @param student who
 * @param owns the academy's own
 * @param today YYYY-MM-DD
 * @returns those of the product first
 */
export function laddersFor(student: Student, owns: readonly OwnLadder[], today: string): OfferedLadder[] {
  const minor = isMinor(student, today);
  const mine = owns.filter(({ minors }) => minors || !minor);
  const all: OfferedLadder[] = [
    built('trail flare'),
    built(soreTrailHip(student) ? 'easy lead flare' : 'lead flare'),
    built('width'),
    ...mine.map((own): OfferedLadder => ({
      key: `own ${own.id}`,
      name: 'own',
      own,
      ladder: ladderFrom(own),
    })),
  ];
  return isUnsteady(student) ? all.filter(({ key }) => !ON_ONE_LEG.includes(key)) : all;
}

/** The ladders of a student that stand in the log, newest first: what was gone further up replaces what was kept before. */
export const laddersIn = (entries: readonly LogEntry[], studentId: string): Logged<LadderEntry>[] =>
  standingOf(entries, 'ladder', studentId).sort((a, b) => climbedAt(b).localeCompare(climbedAt(a)));

/** A ladder as it is gone up today. */
export interface Climb {
  /** The newest of another lesson; null where there is none. */
  earlier: Logged<LadderEntry> | null;
  /** It is recent enough to be gone on with. */
  goesOn: boolean;
  /** It was kept on a day that is yet to come. */
  clockMoved: boolean;
  tries: Try[];
  /** Today's sitting. */
  sitting: number;
}

/**
 * A ladder with what was kept of it before.
 * @param kept the student's ladders, newest first
 * @param of which ladder, the open lesson's id, and its turns
 * @param now the time
 * @returns all tries that count
 */
export function climbOf(
  kept: readonly Logged<LadderEntry>[],
  { key, lessonId, turns }: { key: string; lessonId: string; turns: readonly LadderTurn[] },
  now: Date,
): Climb {
  const earlier = kept.find((each) => ladderKey(each) === key && each.lessonId !== lessonId) ?? null;
  const before = goneOnWith(kept, { key, lessonId }, now.getTime());
  const sitting = before.length;
  return {
    earlier,
    goesOn: sitting > 0,
    clockMoved: earlier !== null && isYetToCome(earlier, now.getTime()),
    tries: [...before.map(({ turns: each }) => each), turns].flatMap((each, at) => triesOf(each, at)),
    sitting,
  };
}

/** A student's own band that a ladder makes. */
export type OwnBand = Pick<ExceptionEntry, 'item' | 'low' | 'high' | 'club'>;

/** Of an academy's own ladders those of these figures make a band; a stance's width is found by the ladder for it. */
const BANDED: readonly string[] = ['trailFlare', 'leadFlare', 'ballAlong'];

/**
 * What is taken of a ladder: a band of the student's own, for all clubs but for the ball's place.
 * @param offered the ladder
 * @param threshold what it found
 * @param club the lesson's
 * @returns null where it makes no band, or nothing is offered by it
 */
export function takenOf(
  { name, ladder }: OfferedLadder,
  threshold: Threshold,
  club: ClubId | null,
): OwnBand | null {
  const band = ownBand(threshold, ladder);
  if (!band) return null;
  if (name === 'width') return { item: 'widest', low: ladder.first, high: band.high, club: null };
  const item = ladder.figure as OwnBand['item'];
  if (!BANDED.includes(item) || (item === 'ballAlong' && club === null)) return null;
  return { item, ...band, club: item === 'ballAlong' ? club : null };
}
