import { createHash } from 'node:crypto';
import type { ClientBase } from 'pg';
import { stringify } from 'safe-stable-stringify';

/** A write as it came: whose, which, where to. */
export interface Write {
  academyId: string;
  instructorId: string;
  id: string;
  route: string;
  body: unknown;
  receivedAt: Date;
}

/** The id is taken by a write with another body. */
export class WriteConflict extends Error {
  constructor(readonly id: string) {
    super(`${id} has landed before with another body`);
  }
}

export interface WriteResult {
  answer: object;
  /** False when the same write had landed before and this is its original answer. */
  first: boolean;
}

const hashOf = ({ instructorId, route, body }: Write): Buffer =>
  createHash('sha256').update(stringify({ instructorId, route, body })!).digest();

/**
 * Does a write exactly once. The same id and body again is answered as it was; the same id with
 * another body is refused. Two sent at the same moment take turns.
 * @throws WriteConflict, or whatever `work` throws, with nothing written.
 */
export async function writeOnce(
  client: ClientBase,
  write: Write,
  work: () => Promise<object>,
): Promise<WriteResult> {
  const { academyId, instructorId, id, route, receivedAt } = write;
  await client.query('select pg_advisory_xact_lock(hashtextextended($1, 0))', [`${academyId}:${id}`]);
  const bodyHash = hashOf(write);
  const before = await client.query('select body_hash, answer from landed_write where id = $1', [id]);
  if (before.rows[0]) {
    if (!bodyHash.equals(before.rows[0].body_hash)) throw new WriteConflict(id);
    return { answer: before.rows[0].answer, first: false };
  }
  const answer = await work();
  await client.query(
    `insert into landed_write (academy_id, id, instructor_id, route, body_hash, answer, received_at)
     values ($1, $2, $3, $4, $5, $6, $7)`,
    [academyId, id, instructorId, route, bodyHash, JSON.stringify(answer), receivedAt],
  );
  return { answer, first: true };
}
