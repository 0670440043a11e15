import type { NewPainAnswer, Student } from '@pedastance/contract';
import { v7 as newId } from 'uuid';
import { post } from '../outbox';

/** Keeps that a student was asked after a tick that it hurts, and what came of it. */
export async function answerPain(
  { id: studentId, name }: Student,
  tickId: string,
  found: NewPainAnswer['found'],
): Promise<void> {
  const body = { id: newId(), studentId, madeAt: new Date().toISOString(), tickId, found };
  await post([
    { subjectId: studentId, label: `${name} asked about pain`, writing: { route: 'pain answer', body } },
  ]);
}
