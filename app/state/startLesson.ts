import { v7 as newId } from 'uuid';
import { currentOwner } from './account';
import { keepDraft } from './drafts';
import { lastShoulderGoal } from '@pedastance/contract/records';
import { useRecords } from './records';
import { newDraft, type LessonDraft, type Step } from '../domain/lessonDraft';

/** Starts a lesson on this device and answers its id; the server hears of it with the first entry. */
export async function startLesson(
  studentId: string,
  step: Step,
  from: Partial<LessonDraft> = {},
): Promise<string> {
  const owner = currentOwner();
  if (!owner) throw new Error('nobody is signed in');
  const goal = lastShoulderGoal(Object.values(useRecords.getState().entries), studentId);
  const draft = { ...newDraft(newId(), studentId, new Date().toISOString(), goal), ...from, step };
  await keepDraft(owner, draft);
  return draft.id;
}
