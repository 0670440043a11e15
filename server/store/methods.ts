import { Method, methodOf, type NewMethodVersion } from '@pedastance/contract';
import type { HouseMethod } from '@pedastance/core';
import type { ClientBase } from 'pg';
import { insertRow, type Writer } from './rows';

/** The newest version of each house method that changed after a number; parsed, as data from outside is. */
export async function changedMethods(client: ClientBase, after: number): Promise<HouseMethod[]> {
  const { rows } = await client.query(
    `select id, version, name, summary, questions from house_method as newest
     where academy_id = current_academy() and changed > $1 and not exists (
       select from house_method as later
       where later.academy_id = newest.academy_id and later.id = newest.id and later.version > newest.version)
     order by made_at, id`,
    [after],
  );
  return rows.map((row) => Method.parse(row));
}

/** One version of a house method; null where there is none such. */
export async function findVersion(
  client: ClientBase,
  id: string,
  version: number,
): Promise<HouseMethod | null> {
  const { rows } = await client.query(
    `select id, version, name, summary, questions from house_method
     where academy_id = current_academy() and id = $1 and version = $2`,
    [id, version],
  );
  return rows[0] ? Method.parse(rows[0]) : null;
}

/** A version of a method with who made it, where that is known. */
export interface MadeVersion {
  by: string | null;
  receivedAt: string | null;
  madeAt: string;
  record: HouseMethod;
}

/** All versions of the academy's methods, or those that one student's readings were made with and the ones before. */
export async function methodVersionsUsed(
  client: ClientBase,
  studentId: string | null,
): Promise<MadeVersion[]> {
  const { rows } = await client.query(
    `select id, version, name, summary, questions, made_by, received_at, made_at from house_method
     where academy_id = current_academy() and ($1::uuid is null or version <= (
       select max(method_version) from reading_entry
       where reading_entry.academy_id = house_method.academy_id and reading_entry.method_id = house_method.id
         and student_id = $1))
     order by id, version`,
    [studentId],
  );
  return rows.map(({ made_by, received_at, made_at, ...method }) => ({
    by: made_by,
    receivedAt: received_at?.toISOString() ?? null,
    madeAt: made_at.toISOString(),
    record: Method.parse(method),
  }));
}

/** So many versions of one method are answered, the newest of them. */
const MOST_VERSIONS = 100;

/** The versions of a house method, newest first. */
export async function listVersions(client: ClientBase, id: string): Promise<HouseMethod[]> {
  const { rows } = await client.query(
    `select id, version, name, summary, questions from house_method
     where academy_id = current_academy() and id = $1 order by version desc limit $2`,
    [id, MOST_VERSIONS],
  );
  return rows.map((row) => Method.parse(row));
}

/** The version was made from an older one; `current` is the newest there is, null where there is none. */
export class StaleMethod extends Error {
  constructor(readonly current: HouseMethod | null) {
    super('the method has a newer version');
  }
}

async function newestVersion(client: ClientBase, id: string): Promise<HouseMethod | null> {
  const { rows } = await client.query(
    'select id, version, name, summary, questions from house_method where id = $1 order by version desc limit 1',
    [id],
  );
  return rows[0] ? Method.parse(rows[0]) : null;
}

/**
 * Adds a version of a house method: the next of one there is, or the first of a new one.
 * @throws StaleMethod when that is not the next version.
 */
export async function addMethodVersion(
  client: ClientBase,
  body: NewMethodVersion,
  writer: Writer,
): Promise<HouseMethod> {
  const method = methodOf(body);
  // Two who add a version at the same moment take turns, so that the second is told of the first.
  await client.query('select pg_advisory_xact_lock(hashtextextended($1, 1))', [
    `${writer.academyId}:${method.id}`,
  ]);
  const newest = await newestVersion(client, method.id);
  if (method.version !== (newest?.version ?? 0) + 1) throw new StaleMethod(newest);
  await insertRow(client, 'house_method', {
    academy_id: writer.academyId,
    id: method.id,
    version: method.version,
    name: method.name,
    summary: method.summary,
    questions: JSON.stringify(method.questions),
    made_at: body.madeAt,
    made_by: writer.instructorId,
    received_at: writer.receivedAt,
  });
  return method;
}
