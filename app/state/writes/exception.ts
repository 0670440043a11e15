import type { ExceptionEntry, Student } from '@pedastance/contract';
import { v7 as newId } from 'uuid';
import type { LessonDraft } from '../../domain/lessonDraft';
import { entryPost, keepInLesson } from './inLesson';

type Agreed = Pick<ExceptionEntry, 'item' | 'low' | 'high' | 'club' | 'ended' | 'replaces'>;

/** Keeps a student's exception from the house method, or the end of one, as an entry of the log. */
export async function keepException(
  agreed: Agreed,
  { draft, student }: { draft: LessonDraft; student: Student },
): Promise<void> {
  const body: ExceptionEntry = {
    id: newId(),
    lessonId: draft.id,
    madeAt: new Date().toISOString(),
    kind: 'exception',
    ...agreed,
  };
  await keepInLesson([entryPost('Exception', student, body)], { draft, student });
}
