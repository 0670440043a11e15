import type { NewDrill, NewOwnLadder } from '@pedastance/contract';
import type { ClientBase } from 'pg';
import { insertRow, madeBy, type Made, type Writer } from './rows';

/** What an academy has of its own beside the library: each write is kept, and the newest of each stands. */
interface OwnThings {
  drill: NewDrill;
  ladder: NewOwnLadder;
}
type Kind = keyof OwnThings;

const TABLES: Record<Kind, string> = { drill: 'drill', ladder: 'own_ladder' };

interface OwnRow {
  id: string;
  contents: unknown;
  gone: boolean;
  made_at: Date;
  made_by: string;
  received_at: Date;
}

/** The name of the table that a kind is kept in, and a thing as its row. */
export const ownTable = (kind: Kind): string => TABLES[kind];

export const ownRow = <Name extends Kind>(
  kind: Name,
  thing: OwnThings[Name],
  academyId: string,
  { by, receivedAt }: { by: string; receivedAt: Date | string },
): Record<string, unknown> => {
  const { id, madeAt, gone } = thing;
  return {
    academy_id: academyId,
    id,
    contents: (thing as unknown as Record<string, unknown>)[kind],
    gone,
    made_by: by,
    made_at: madeAt,
    received_at: receivedAt,
  };
};

export const addOwn =
  <Name extends Kind>(kind: Name) =>
  async (client: ClientBase, thing: OwnThings[Name], writer: Writer): Promise<OwnThings[Name]> => {
    const by = { by: writer.instructorId, receivedAt: writer.receivedAt };
    await insertRow(client, TABLES[kind], ownRow(kind, thing, writer.academyId, by));
    return thing;
  };

/** The newest of each of an academy's own, those that are gone too, each with who made it. */
export async function standingOwn<Name extends Kind>(
  client: ClientBase,
  kind: Name,
): Promise<Made<OwnThings[Name]>[]> {
  const { rows } = await client.query<OwnRow>(
    `select distinct on (${kind}_id) * from ${TABLES[kind]} where academy_id = current_academy()
     order by ${kind}_id, made_at desc, id desc`,
  );
  return rows.map((row) => {
    const { id, contents, gone, made_at } = row;
    const thing = { id, madeAt: made_at.toISOString(), [kind]: contents, gone };
    return madeBy(row, thing as unknown as OwnThings[Name]);
  });
}
