import type {
  AddressEntry,
  ChangeEntry,
  IntakeEntry,
  KeptJudgement,
  NewBuild,
  NewScreen,
  ReadingEntry,
  Student,
} from '@pedastance/contract';
import { restsOf, type Case, type Judgement } from '@pedastance/core/advice';
import { clubById } from '@pedastance/core/club';
import type { HouseMethod } from '@pedastance/core/method';
import type { Reading } from '@pedastance/core/reading';
import { v7 as newId } from 'uuid';
import { agesOn, anythingAsked, type Intake } from '@pedastance/core/body/person';
import { dayOf } from '../../domain/students';
import { untouchedClub, type LessonDraft, hasChange } from '../../domain/lessonDraft';
import type { Post } from '../outbox';
import { letGoOfLessonPhotos, photoToSend } from '../photo';
import { entryPost, keepInLesson } from './inLesson';

interface ToRecord {
  draft: LessonDraft;
  student: Student;
  build: NewBuild;
  screen: NewScreen | null;
  method: HouseMethod;
  reading: Reading;
  /** The judgement that was told, and what it was made from; null where there was none. */
  judgement: Judgement | null;
  judged: Case | null;
  /** The entries of shots that its path rests on. */
  shotIds: readonly string[];
}

/** A judgement as it is kept: its setup follows from its moves. */
function keptJudgement(
  { setup: _follows, ...told }: Judgement,
  { draft, shotIds, judged }: ToRecord,
  intakeId: string | null,
): KeptJudgement {
  return {
    intakeId,
    shotIds: [...shotIds],
    pinned: [...draft.pinned],
    rests: judged && restsOf(judged),
    ...told,
  };
}

/** The entries of a record: the address, what was read in it, and the change where there is one. */
function entriesOf(toRecord: ToRecord, intakeId: string | null) {
  const { draft, student, build, screen, method, reading, judgement } = toRecord;
  const entry = () => ({ id: newId(), lessonId: draft.id, madeAt: new Date().toISOString(), replaces: null });
  const club = { club: draft.club!, clubLengthInches: draft.clubLengthInches, shot: draft.shot };
  const today: AddressEntry = {
    ...entry(),
    kind: 'address',
    standing: 'today',
    ...club,
    setup: draft.setup!,
  };
  const read: ReadingEntry = {
    ...entry(),
    kind: 'reading',
    addressId: today.id,
    buildId: build.id,
    screenId: screen?.id ?? null,
    methodId: method.id,
    methodVersion: method.version,
    facts: {
      cautions: student.cautions,
      age: agesOn(student, dayOf(new Date())).least,
      rests: { hand: student.hand, facts: student.facts, shoulderGoal: draft.shoulderGoal },
    },
    judgement: judgement && keptJudgement(judgement, toRecord, intakeId),
    // With a change the note goes with that.
    note: hasChange(draft) ? '' : draft.note.trim(),
    ...reading,
  };
  if (!hasChange(draft)) return { today, read, change: null, entries: [today, read] };
  const agreed: AddressEntry = {
    ...entry(),
    kind: 'address',
    standing: 'agreed',
    ...club,
    setup: draft.agreed ?? draft.setup!,
  };
  const change: ChangeEntry = {
    ...entry(),
    kind: 'change',
    readingId: read.id,
    fromAddressId: today.id,
    toAddressId: agreed.id,
    // A change that does not speak of the heel leaves it as it was agreed.
    leadHeelLift: Math.max(draft.leadHeelLift, toRecord.judged?.leadHeelLift ?? 0),
    shoulderGoal: draft.shoulderGoal,
    reason: draft.reason.trim(),
    feel: draft.feel.trim(),
    note: draft.note.trim(),
  };
  return { today, read, change, entries: [today, read, agreed, change] };
}

const LABELS: Record<'address' | 'reading' | 'change', string> = {
  address: 'Address',
  reading: 'Reading',
  change: 'Change',
};

const sameIntake = (a: Intake, b: Intake): boolean => JSON.stringify(a) === JSON.stringify(b);

/** An intake as it is kept: trimmed, and sore only where that is what the student came for. */
const trimmed = ({ cameFor, sore, words, sport }: Intake): Intake => ({
  cameFor,
  sore: cameFor.includes('sore') ? sore.trim() : '',
  words: words.trim(),
  sport: sport.trim(),
});

/** What the student came for, where it was noted and not recorded so already. */
function intakeOf({ id: lessonId, intake: noted, intakeRecorded }: LessonDraft): IntakeEntry | null {
  const intake = trimmed(noted);
  if (!anythingAsked(intake) || (intakeRecorded && sameIntake(intake, intakeRecorded.intake))) return null;
  const common = { id: newId(), lessonId, madeAt: new Date().toISOString() };
  return { ...common, replaces: intakeRecorded?.id ?? null, kind: 'intake', ...intake };
}

/**
 * Records a lesson's look at one club: all its entries go into the outbox, and the draft begins anew for the
 * next club, in one transaction of the device.
 */
export async function recordLesson(toRecord: ToRecord): Promise<void> {
  const { draft, student } = toRecord;
  const asked = intakeOf(draft);
  const { today, read, change, entries } = entriesOf(toRecord, asked?.id ?? draft.intakeRecorded?.id ?? null);
  const club = clubById(draft.club!).name;
  const photo = await photoToSend(draft, toRecord.build.figures, {
    studentId: student.id,
    addressId: today.id,
  });
  const posts: Post[] = [
    ...(asked ? [entryPost('What was asked', student, asked)] : []),
    ...entries.map((body) => entryPost(`${LABELS[body.kind]}, ${club},`, student, body)),
    ...(photo
      ? [
          {
            subjectId: student.id,
            label: `Photo of ${student.name}`,
            writing: { route: 'photo' as const, body: photo },
          },
        ]
      : []),
  ];
  const recorded = [
    ...draft.recorded,
    { readingId: read.id, changeId: change?.id ?? null, club: draft.club! },
  ];
  const intakeRecorded = asked ? { id: asked.id, intake: trimmed(draft.intake) } : draft.intakeRecorded;
  await keepInLesson(posts, toRecord, { ...untouchedClub, recorded, intakeRecorded, step: 'keep' });
  await letGoOfLessonPhotos(draft);
}
