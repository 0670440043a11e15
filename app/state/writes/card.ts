import type { CardEntry, NewCardLink, Student } from '@pedastance/contract';
import { v7 as newId } from 'uuid';
import type { CardDraft } from '@pedastance/core/card';
import { entryOf, type AgreedRecord } from '../../domain/cardDraft';
import { toBase64 } from '../../domain/base64';
import { post } from '../outbox';

/** Keeps a card as an entry of the log, in place of the one before; answers its id. */
export async function keepCard(
  draft: CardDraft,
  record: AgreedRecord,
  student: Student,
  before: CardEntry | null,
): Promise<string> {
  const made = { id: newId(), madeAt: new Date().toISOString(), replaces: before?.id ?? null };
  const body = entryOf(draft, record, made);
  await post([
    { subjectId: student.id, label: `Card for ${student.name}`, writing: { route: 'entry', body } },
  ]);
  return body.id;
}

const SECRET_BYTES = 16;

const base64url = (bytes: Uint8Array): string =>
  toBase64(bytes).replaceAll('+', '-').replaceAll('/', '_').replaceAll('=', '');

type Wanted = Pick<NewCardLink, 'cardId' | 'wholeBag' | 'length' | 'endsOn' | 'pictures'>;

/** Makes a link to a card. Its secret stays on this device, which answers the whole address; the server has the hash. */
export async function makeCardLink(student: Student, wanted: Wanted): Promise<string> {
  const secret = base64url(crypto.getRandomValues(new Uint8Array(SECRET_BYTES)));
  const hash = await crypto.subtle.digest('SHA-256', new TextEncoder().encode(secret));
  const body: NewCardLink = {
    id: newId(),
    studentId: student.id,
    madeAt: new Date().toISOString(),
    tokenHash: base64url(new Uint8Array(hash)),
    ...wanted,
  };
  await post([
    {
      subjectId: student.id,
      label: `Link to the card of ${student.name}`,
      writing: { route: 'card link', body },
    },
  ]);
  return `${location.origin}/card/#${secret}`;
}
