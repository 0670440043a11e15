import type { NewConsent, Student } from '@pedastance/contract';
import { v7 as newId } from 'uuid';
import { post } from '../outbox';

/** Notes a word on consent, today. */
export async function noteConsent(
  { id: studentId, name, consent }: Student,
  said: Pick<NewConsent, 'given' | 'photos' | 'sharing' | 'by' | 'guardian'>,
): Promise<void> {
  const madeAt = new Date().toISOString();
  const known = { after: consent?.id ?? null, on: madeAt.slice(0, 10) };
  const body: NewConsent = { id: newId(), studentId, madeAt, ...known, ...said };
  await post([{ subjectId: studentId, label: `Consent for ${name}`, writing: { route: 'consent', body } }]);
}
