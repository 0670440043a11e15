import type { ExceptionEntry, LadderEntry, Student } from '@pedastance/contract';
import { v7 as newId } from 'uuid';
import type { LessonDraft } from '../../domain/lessonDraft';
import { changeDraftWith } from '../lesson';
import { post } from '../outbox';
import { beginning } from './record';

type Climbed = Pick<LadderEntry, 'ladder' | 'turns' | 'replaces'>;
type Band = Pick<ExceptionEntry, 'item' | 'low' | 'high' | 'replaces'>;

/** Keeps a ladder as an entry of the log, and with it the student's own band by it, for all clubs, where it is taken. */
export async function keepLadder(
  climbed: Climbed,
  band: Band | null,
  { draft, student }: { draft: LessonDraft; student: Student },
): Promise<void> {
  const made = () => ({ id: newId(), lessonId: draft.id, madeAt: new Date().toISOString() });
  const ladder: LadderEntry = { ...made(), kind: 'ladder', ...climbed };
  const entries: (LadderEntry | ExceptionEntry)[] = [
    ladder,
    ...(band ? [{ ...made(), kind: 'exception' as const, club: null, ended: false, ...band }] : []),
  ];
  await changeDraftWith({ begun: true }, (changed) =>
    post(
      [
        ...beginning(draft, student),
        ...entries.map((body) => ({
          subjectId: student.id,
          label: `${body.kind === 'ladder' ? 'Ladder' : 'Exception'} of ${student.name}`,
          writing: { route: 'entry' as const, body },
        })),
      ],
      changed,
    ),
  );
}
