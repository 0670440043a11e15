import type { NewEntry, Student } from '@pedastance/contract';
import type { LessonDraft } from '../../domain/lessonDraft';
import { changeDraftWith } from '../lesson';
import { post, type Post } from '../outbox';

/** The lesson itself, where nothing of it has been sent yet. */
const beginning = (draft: LessonDraft, student: Student): Post[] =>
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

/** An entry of the log as it is sent, under what it is: 'Exception of …'. */
export const entryPost = (what: string, student: Student, body: NewEntry): Post => ({
  subjectId: student.id,
  label: `${what} of ${student.name}`,
  writing: { route: 'entry', body },
});

/** Sends what was made in a lesson, the lesson itself before it where it is new, and changes the draft with it. */
export const keepInLesson = (
  posts: readonly Post[],
  { draft, student }: { draft: LessonDraft; student: Student },
  change: Partial<LessonDraft> = {},
): Promise<void> =>
  changeDraftWith({ begun: true, ...change }, (changed) =>
    post([...beginning(draft, student), ...posts], changed),
  );
