import { Method } from '@pedastance/contract';
import type { HouseMethod } from '@pedastance/core';
import type { ClientBase } from 'pg';

/** Every version of the academy's house methods, newest version first; parsed, as data from outside is. */
export async function listMethods(client: ClientBase): Promise<HouseMethod[]> {
  const { rows } = await client.query(
    'select id, version, name, summary, questions from house_method order by name, version desc',
  );
  return rows.map((row) => Method.parse(row));
}

/** Adds a version of a method, as the owner. @throws ZodError when the method is not whole. */
export async function addMethod(
  owner: ClientBase,
  academyId: string,
  method: HouseMethod,
  madeAt: Date,
): Promise<void> {
  const whole = Method.parse(method);
  await owner.query(
    'insert into house_method (academy_id, id, version, name, summary, questions, made_at) values ($1, $2, $3, $4, $5, $6, $7)',
    [academyId, whole.id, whole.version, whole.name, whole.summary, JSON.stringify(whole.questions), madeAt],
  );
}
