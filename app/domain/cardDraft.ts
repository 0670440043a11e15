import type { CardEntry, LogEntry, Student } from '@pedastance/contract';
import { standingCards, takenHome } from '@pedastance/contract/takenHome';
import { isKind } from '@pedastance/contract/trialLog';
import type { Thing } from '@pedastance/core/advice';
import { cautionsOf } from '@pedastance/core/body';
import { isMinor } from '@pedastance/core/body/person';
import {
  composeCard,
  daysAfter,
  daysToNextLook,
  DRILL_LIBRARY,
  exaggeratedDose,
  fittingDrills,
  practising,
  USUAL_ROUTINE,
  usualPractice,
  type Card,
} from '@pedastance/core/card';
import { differences, type ChangeName } from '@pedastance/core/setup';
import type { LengthUnit } from '@pedastance/core/units';
import { heldOf } from './agreements';
import type { LogRecord } from './records';

/** What a coach decides of a card; the rest of it follows from the record. */
export type CardDraft = Pick<
  CardEntry,
  'dose' | 'further' | 'rounds' | 'routine' | 'drills' | 'practice' | 'nextLook'
>;

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

/** A record that something was agreed in. */
export type AgreedRecord = LogRecord & {
  change: NonNullable<LogRecord['change']>;
  agreed: NonNullable<LogRecord['agreed']>;
};

export const isAgreed = (record: LogRecord): record is AgreedRecord =>
  record.change !== null && record.agreed !== null;

/** How each look at what a record agreed on ended, oldest first; looks at which nothing of it was measured do not count. */
export function looksSince(records: readonly LogRecord[], record: AgreedRecord): ('held' | 'drifted')[] {
  const { club, shot, madeAt } = record.address;
  return records
    .filter(({ address }) => address.club === club && address.shot === shot && address.madeAt > madeAt)
    .reverse()
    .flatMap(({ address }) => {
      const verdicts = heldOf(record, address.setup).map(({ verdict }) => verdict);
      if (verdicts.includes('drifted')) return ['drifted' as const];
      return verdicts.includes('held') ? ['held' as const] : [];
    });
}

/** Slow swings and balls of a round (starting values). */
const ROUND = { feel: 3, play: 5 };
const ONE_DOSE = { feel: 0, play: 10 };

/** What is decided with a student, and whom it is for. */
interface About {
  record: AgreedRecord;
  records: readonly LogRecord[];
  student: Student;
  entries: readonly LogEntry[];
  /** YYYY-MM-DD */
  today: string;
}

/** The drills that fit what a record agreed on, the best first. */
export function drillsFor({ record, student, entries, today }: Omit<About, 'records'>, most: number) {
  const { address, agreed, reading } = record;
  const moved = differences(address.setup, agreed.setup).flatMap(({ change }) => THING_OF[change] ?? []);
  const intake = entries
    .filter(isKind('intake'))
    .find(({ lessonId, studentId }) => studentId === student.id && lessonId === reading.lessonId);
  const who = { facts: student.facts, minor: isMinor(student, today) };
  return fittingDrills(DRILL_LIBRARY, { things: moved, cameFor: intake?.cameFor ?? [] }, who, most);
}

/** A card as it is proposed for what a record agreed on. */
export function proposedCard(about: About): CardDraft {
  const { record, records, student, today } = about;
  const minor = isMinor(student, today);
  const cautions = cautionsOf(student.facts, student.hand, minor);
  const further = exaggeratedDose(record.address.setup, record.agreed.setup, cautions);
  return {
    dose: further.length > 0 ? 'feel' : 'play',
    further,
    rounds: further.length > 0 ? ROUND : ONE_DOSE,
    routine: [...USUAL_ROUTINE],
    drills: drillsFor(about, 2),
    practice: usualPractice(practising(student, today)),
    nextLook: daysAfter(today, daysToNextLook(looksSince(records, record))),
  };
}

/** The card that stands for a record's club; null where none was made of this change. */
export function cardOf(entries: readonly LogEntry[], record: AgreedRecord) {
  const own = entries.filter(({ studentId }) => studentId === record.reading.studentId);
  const standing = standingCards(own).find(({ agreed }) => agreed.id === record.agreed.id);
  return standing?.card ?? null;
}

/** What of a card entry a coach decides. */
export const draftOf = ({
  dose,
  further,
  rounds,
  routine,
  drills,
  practice,
  nextLook,
}: CardDraft): CardDraft => ({ dose, further, rounds, routine, drills, practice, nextLook });

/** A draft as the entry it would become. */
export const entryOf = (
  draft: CardDraft,
  { change }: AgreedRecord,
  made: Pick<CardEntry, 'id' | 'madeAt' | 'replaces'>,
): CardEntry => ({
  ...made,
  lessonId: change.lessonId,
  kind: 'card',
  changeId: change.id,
  ...draft,
});

interface Shown {
  wholeBag: boolean;
  length: LengthUnit;
  today: string;
}

/** What a student would read of a draft; null where the log has not all of it yet. */
export function composedDraft(
  draft: CardDraft,
  { record, student, entries }: Pick<About, 'record' | 'student' | 'entries'>,
  shown: Shown,
): Card | null {
  const own = entries.filter(({ studentId }) => studentId === student.id);
  // Newer than every card there is: the one that would stand.
  const made = { id: 'draft', madeAt: '9999-12-31T00:00:00.000Z', replaces: null };
  const entry = { ...entryOf(draft, record, made), studentId: student.id, receivedAt: '' };
  const home = takenHome(student, [...own, entry], { cardId: 'draft', ...shown });
  return home && composeCard(home);
}
