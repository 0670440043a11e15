import { createHash } from 'node:crypto';
import type { ClientBase, QueryResult } from 'pg';
import { stringify } from 'safe-stable-stringify';

/** A write as it came: whose, which, where to; its body as it was sent, whatever version it was written for. */
export interface Write {
  academyId: string;
  instructorId: string;
  id: string;
  route: string;
  body: unknown;
  receivedAt: Date;
  /** Identifiers in the body that tell whose records it is for. */
  names: readonly string[];
}

/** The write is for a student who was erased. */
export class ErasedStudent extends Error {
  constructor() {
    super('the student was erased');
  }
}

/** The id is taken by a write with another body. */
export class WriteConflict extends Error {
  constructor(readonly id: string) {
    super(`${id} has landed before with another body`);
  }
}

const hashOf = ({ instructorId, route, body }: Write): Buffer =>
  createHash('sha256').update(stringify({ instructorId, route, body })!).digest();

/**
 * Waits for another write of this id to end, and then looks whether it has landed, and whether its student was
 * erased: statements of their own, so that each sees what the first waited for, in one round trip.
 */
async function lockedWrite(client: ClientBase, { academyId, id, names }: Write) {
  const lock = client.escapeLiteral(`${academyId}:${id}`);
  const named = names.map((each) => client.escapeLiteral(each)).join(', ');
  const [, found, erased] = (await client.query(
    `select pg_advisory_xact_lock(hashtextextended(${lock}, 0));
     select body_hash from landed_write
     where academy_id = ${client.escapeLiteral(academyId)} and id = ${client.escapeLiteral(id)};
     select is_erased(array[${named}]::uuid[]) as erased`,
  )) as unknown as QueryResult<{ body_hash: Buffer; erased: boolean }>[];
  if (erased!.rows[0]!.erased) throw new ErasedStudent();
  return found!.rows[0];
}

/**
 * Does a write exactly once. The same id with another body is refused. Two sent at the same moment take turns.
 * @param work - does it, and answers whose records it added to
 * @returns whether this is the first time; false when the same write had landed before
 * @throws WriteConflict, ErasedStudent, or whatever `work` throws, with nothing written.
 */
export async function writeOnce(
  client: ClientBase,
  write: Write,
  work: () => Promise<{ studentId: string | null }>,
): Promise<boolean> {
  const { academyId, instructorId, id, route, receivedAt } = write;
  const bodyHash = hashOf(write);
  const landed = await lockedWrite(client, write);
  if (landed) {
    if (!bodyHash.equals(landed.body_hash)) throw new WriteConflict(id);
    return false;
  }
  const { studentId } = await work();
  await client.query(
    `insert into landed_write (academy_id, id, instructor_id, route, body_hash, received_at, student_id)
     values ($1, $2, $3, $4, $5, $6, $7)`,
    [academyId, id, instructorId, route, bodyHash, receivedAt, studentId],
  );
  return true;
}
