import type { LadderEntry, LogEntry, Logged, Student } from '@pedastance/contract';
import { isMinor, type CautionFact } from '@pedastance/core/body';
import type { LadderName, Try } from '@pedastance/core/ladder';
import { standingOf } from './standing';

/** One turn on a ladder, in its place in time. */
export type LadderTurn = LadderEntry['turns'][number];

/** What of a leg keeps a ladder from the end of its range. */
const JOINTS: readonly string[] = ['hip', 'knee', 'ankle'];
const STATES: readonly string[] = ['pain', 'operated', 'replaced'];

const spares = ({ status, joint, state }: CautionFact): boolean =>
  status === 'stands' && (state === 'growing' || (JOINTS.includes(joint ?? '') && STATES.includes(state)));

/**
 * Whether a student's ladders stop short of the end: they grow, or something of a leg hurts or was operated on.
 * @param student with the facts to mind
 * @param today YYYY-MM-DD
 * @returns whether they do
 */
export const sparedOnLadders = (student: Student, today: string): boolean =>
  isMinor(student, today) || student.facts.some(spares);

/** The ladders of a student that stand in the log, newest first: what was gone further up replaces what was kept before. */
export const laddersIn = (entries: readonly LogEntry[], studentId: string): Logged<LadderEntry>[] =>
  standingOf(entries, 'ladder', studentId).reverse();

export const asTries = (turns: readonly LadderTurn[], sitting: number): Try[] =>
  turns.map((each, turn) => ({ ...each, sitting, turn }));

/** A ladder that was broken off is gone on with for so long: a body changes (starting value), days. */
const GOES_ON_DAYS = 14;
const DAY_MS = 24 * 60 * 60 * 1000;

/** A ladder as it is gone up today. */
export interface Climb {
  /** The newest of another lesson; null where there is none. */
  earlier: Logged<LadderEntry> | null;
  /** It is recent enough to be gone on with. */
  goesOn: boolean;
  tries: Try[];
  /** Today's sitting. */
  sitting: number;
}

/**
 * A ladder with what was kept of it before.
 * @param kept the student's ladders, newest first
 * @param of the ladder's name, the open lesson's id, and its turns
 * @param now the time
 * @returns all tries that count
 */
export function climbOf(
  kept: readonly Logged<LadderEntry>[],
  { name, lessonId, turns }: { name: LadderName; lessonId: string; turns: readonly LadderTurn[] },
  now: Date,
): Climb {
  const earlier = kept.find((each) => each.ladder === name && each.lessonId !== lessonId) ?? null;
  const goesOn = earlier !== null && now.getTime() - Date.parse(earlier.madeAt) < GOES_ON_DAYS * DAY_MS;
  const before = goesOn ? asTries(earlier.turns, 0) : [];
  const sitting = goesOn ? 1 : 0;
  return { earlier, goesOn, tries: [...before, ...asTries(turns, sitting)], sitting };
}
