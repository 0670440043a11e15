import type {
  AddressEntry,
  ChangeEntry,
  NewBuild,
  NewScreen,
  ReadingEntry,
  Student,
} from '@pedastance/contract';
import { clubById } from '@pedastance/core/club';
import type { HouseMethod } from '@pedastance/core/method';
import type { Reading } from '@pedastance/core/reading';
import { v7 as newId } from 'uuid';
import { changeDraft, keepNow } from '../lesson';
import { untouchedClub, type LessonDraft, hasChange } from '../../domain/lessonDraft';
import { post, type Post } from '../outbox';

interface ToRecord {
  draft: LessonDraft;
  student: Student;
  build: NewBuild;
  screen: NewScreen | null;
  method: HouseMethod;
  reading: Reading;
}

/** The entries of a record: the address, what was read in it, and the change where there is one. */
function entriesOf({ draft, build, screen, method, reading }: ToRecord) {
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
    ...reading,
  };
  if (!hasChange(draft)) return { read, change: null, entries: [today, read] };
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
    leadHeelLift: draft.leadHeelLift,
    shoulderGoal: draft.shoulderGoal,
    reason: draft.reason.trim(),
    feel: draft.feel.trim(),
    note: draft.note.trim(),
  };
  return { read, change, entries: [today, read, agreed, change] };
}

const LABELS: Record<'address' | 'reading' | 'change', string> = {
  address: 'Address',
  reading: 'Reading',
  change: 'Change',
};

/** The lesson itself, where nothing of it has been sent yet. */
export const beginning = (draft: LessonDraft, student: Student): Post[] =>
  draft.begun
    ? []
    : [
        {
          subjectId: student.id,
          label: `Lesson of ${student.name}`,
          writing: {
            route: 'lesson',
            body: { id: draft.id, studentId: student.id, startedAt: draft.startedAt },
          },
        },
      ];

/**
 * Records a lesson's look at one club: all its entries go into the outbox together, and only then
 * does the draft begin anew for the next club.
 */
export async function recordLesson(toRecord: ToRecord): Promise<void> {
  const { draft, student } = toRecord;
  const { read, change, entries } = entriesOf(toRecord);
  const club = clubById(draft.club!).name;
  const posts = entries.map((body): Post => ({
    subjectId: student.id,
    label: `${LABELS[body.kind]} of ${student.name}, ${club}`,
    writing: { route: 'entry', body },
  }));
  await post([...beginning(draft, student), ...posts]);
  const recorded = [
    ...draft.recorded,
    { readingId: read.id, changeId: change?.id ?? null, club: draft.club! },
  ];
  changeDraft({ ...untouchedClub, recorded, begun: true, step: 'keep' });
  await keepNow();
}
