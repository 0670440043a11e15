import type { CardEntry, LogEntry, Student } from '@pedastance/contract';
import { standingCards, takenHome } from '@pedastance/contract/takenHome';
import { isKind } from '@pedastance/contract/trialLog';
import { composeCard, type Agreement, type Card, type CardDraft } from '@pedastance/core/card';
import type { HouseMethod } from '@pedastance/core/method';
import type { FootName, PressurePattern } from '@pedastance/core/setup';
import type { LengthUnit } from '@pedastance/core/units';
import { heldOf } from '@pedastance/contract/agreements';
import { ofShot, type LogRecord } from '@pedastance/contract/records';

/** A record that something was agreed in. */
export type AgreedRecord = LogRecord & {
  change: NonNullable<LogRecord['change']>;
  agreed: NonNullable<LogRecord['agreed']>;
};

export const isAgreed = (record: LogRecord): record is AgreedRecord =>
  record.change !== null && record.agreed !== null;

/** How each look at what a record agreed on ended, oldest first; looks at which nothing of it was measured do not count. */
export function looksSince(records: readonly LogRecord[], record: AgreedRecord): ('held' | 'drifted')[] {
  return ofShot(records, record.address)
    .filter(({ address }) => address.madeAt > record.address.madeAt)
    .reverse()
    .flatMap(({ address }) => {
      const verdicts = heldOf(record, address.setup).map(({ verdict }) => verdict);
      if (verdicts.includes('drifted')) return ['drifted' as const];
      return verdicts.includes('held') ? ['held' as const] : [];
    });
}

/** What is decided with a student, and whom it is for. */
export interface About {
  record: AgreedRecord;
  records: readonly LogRecord[];
  student: Student;
  entries: readonly LogEntry[];
  /** Every version of the academy's methods. */
  methods: readonly HouseMethod[];
  /** YYYY-MM-DD */
  today: string;
}

/** The legs that stopped the turn, as it was judged. */
function stopsIn({ reading }: AgreedRecord): FootName[] {
  const { back, through } = reading.judgement ?? {};
  return [back?.stoppedBy, through?.stoppedBy].filter((leg): leg is FootName => Boolean(leg));
}

/** The pattern of the pressure that was worked at, as it was judged. */
const patternIn = ({ reading: { judgement } }: AgreedRecord): PressurePattern | null =>
  judgement?.things.some(({ thing }) => thing === 'pressure') ? (judgement.pressure?.pattern ?? null) : null;

/** The version of a method that a reading was made with; null where this device does not have it. */
const methodOf = (
  methods: readonly HouseMethod[],
  { methodId, methodVersion }: LogRecord['reading'],
): HouseMethod | null =>
  methods.find(({ id, version }) => id === methodId && version === methodVersion) ?? null;

/** What a record agreed on, with what came of looking at it, as a card is proposed from it. */
export function agreementOf({ record, records, student, entries, methods, today }: About): Agreement {
  const { address, agreed, reading } = record;
  const intake = entries
    .filter(isKind('intake'))
    .find(({ lessonId, studentId }) => studentId === student.id && lessonId === reading.lessonId);
  return {
    student,
    club: agreed.club,
    shot: agreed.shot,
    method: methodOf(methods, reading),
    from: address.setup,
    agreed: agreed.setup,
    cameFor: intake?.cameFor ?? [],
    sport: intake?.sport ?? '',
    stops: stopsIn(record),
    pattern: patternIn(record),
    looks: looksSince(records, record),
    today,
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
  cue,
  practice,
  nextLook,
  ladder,
}: CardDraft): CardDraft => ({ dose, further, rounds, routine, drills, cue, practice, nextLook, ladder });

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
