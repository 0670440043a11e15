import type { NewConsent } from '@pedastance/contract';
import type { ClientBase } from 'pg';
import { insertRow, madeBy, type Made, type Writer } from './rows';
import { noteStudentChanged } from './studentChanged';

/** Words on consent, the newest first; within a query of `consent`. */
export const NEWEST_CONSENT_FIRST = 'consent.place desc, consent.received_at desc, consent.id desc';

/** A consent as PostgreSQL writes it to JSON. */
export interface ConsentRow {
  id: string;
  student_id: string;
  after_id: string | null;
  given: boolean;
  photos: boolean;
  sharing: boolean;
  given_by: NewConsent['by'];
  guardian: string;
  given_on: string;
  made_at: string;
}

export const consentFromRow = (row: ConsentRow): NewConsent => ({
  id: row.id,
  studentId: row.student_id,
  madeAt: new Date(row.made_at).toISOString(),
  after: row.after_id,
  given: row.given,
  photos: row.photos,
  sharing: row.sharing,
  by: row.given_by,
  guardian: row.guardian,
  on: row.given_on,
});

export const consentRow = (consent: NewConsent, writer: Writer): Record<string, unknown> => ({
  academy_id: writer.academyId,
  id: consent.id,
  student_id: consent.studentId,
  after_id: consent.after ?? undefined,
  given: consent.given,
  photos: consent.photos,
  sharing: consent.sharing,
  given_by: consent.by,
  guardian: consent.guardian,
  given_on: consent.on,
  made_by: writer.instructorId,
  made_at: consent.madeAt,
  received_at: writer.receivedAt,
});

export async function addConsent(
  client: ClientBase,
  consent: NewConsent,
  writer: Writer,
): Promise<NewConsent> {
  await insertRow(client, 'consent', consentRow(consent, writer));
  await noteStudentChanged(client, consent.studentId);
  return consent;
}

/** What students consented to, each with who noted it. */
export async function consentsOf(client: ClientBase, studentIds: string[]): Promise<Made<NewConsent>[]> {
  const { rows } = await client.query<{ consent: ConsentRow; made_by: string; received_at: Date }>(
    `select to_jsonb(consent) as consent, made_by, received_at from consent
     where academy_id = current_academy() and student_id = any($1) order by student_id, place, received_at, id`,
    [studentIds],
  );
  return rows.map((row) => madeBy(row, consentFromRow(row.consent)));
}

/** So many words on consent are answered; nobody has more. */
const MOST_LISTED = 100;

/** What a student consented to over time, newest first. */
export async function listConsents(client: ClientBase, studentId: string): Promise<NewConsent[]> {
  const { rows } = await client.query<{ consent: ConsentRow }>(
    `select to_jsonb(consent) as consent from consent where academy_id = current_academy() and student_id = $1
     order by ${NEWEST_CONSENT_FIRST} limit $2`,
    [studentId, MOST_LISTED],
  );
  return rows.map(({ consent }) => consentFromRow(consent));
}
