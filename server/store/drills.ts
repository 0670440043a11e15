import type { NewDrill } from '@pedastance/contract';
import type { ClientBase } from 'pg';
import { insertRow, madeBy, type Made, type Writer } from './rows';

interface DrillRow {
  id: string;
  contents: NewDrill['drill'];
  gone: boolean;
  made_at: Date;
  made_by: string;
  received_at: Date;
}

const fromRow = ({ id, contents, gone, made_at }: DrillRow): NewDrill => ({
  id,
  madeAt: made_at.toISOString(),
  drill: contents,
  gone,
});

export const drillRow = (
  { id, madeAt, drill, gone }: NewDrill,
  academyId: string,
  { by, receivedAt }: { by: string; receivedAt: Date | string },
): Record<string, unknown> => ({
  academy_id: academyId,
  id,
  contents: drill,
  gone,
  made_by: by,
  made_at: madeAt,
  received_at: receivedAt,
});

export async function addDrill(client: ClientBase, drill: NewDrill, writer: Writer): Promise<NewDrill> {
  const by = { by: writer.instructorId, receivedAt: writer.receivedAt };
  await insertRow(client, 'drill', drillRow(drill, writer.academyId, by));
  return drill;
}

/** The newest of each drill of the academy's own, those that are gone too, each with who made it. */
export async function standingDrills(client: ClientBase): Promise<Made<NewDrill>[]> {
  const { rows } = await client.query<DrillRow>(
    `select distinct on (drill_id) * from drill where academy_id = current_academy()
     order by drill_id, made_at desc, id desc`,
  );
  return rows.map((row) => madeBy(row, fromRow(row)));
}
