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
 * Waits for another write of this id to end, and then looks whether it has landed: two statements, so that
 * the second sees what the first waited for, in one round trip.
 */
async function lockedWrite(client: ClientBase, academyId: string, id: string) {
  const lock = client.escapeLiteral(`${academyId}:${id}`);
  const [, found] = (await client.query(
    `select pg_advisory_xact_lock(hashtextextended(${lock}, 0));
     select body_hash from landed_write
     where academy_id = ${client.escapeLiteral(academyId)} and id = ${client.escapeLiteral(id)}`,
  )) as unknown as QueryResult<{ body_hash: Buffer }>[];
  return found!.rows[0];
}

/**
 * Does a write exactly once. The same id with another body is refused. Two sent at the same moment take turns.
 * @returns whether this is the first time; false when the same write had landed before
 * @throws WriteConflict, or whatever `work` throws, with nothing written.
 */
export async function writeOnce(
  client: ClientBase,
  write: Write,
  work: () => Promise<void>,
): Promise<boolean> {
  const { academyId, instructorId, id, route, receivedAt } = write;
  const bodyHash = hashOf(write);
  const landed = await lockedWrite(client, academyId, id);
  if (landed) {
    if (!bodyHash.equals(landed.body_hash)) throw new WriteConflict(id);
    return false;
  }
  await work();
  await client.query(
    `insert into landed_write (academy_id, id, instructor_id, route, body_hash, received_at)
     values ($1, $2, $3, $4, $5, $6)`,
    [academyId, id, instructorId, route, bodyHash, receivedAt],
  );
  return true;
}
