import type { NewScreen } from '@pedastance/contract';
import { SCREEN_ITEMS } from '@pedastance/core';
import type { ClientBase } from 'pg';
import { insertRow, type Writer } from './rows';

export async function addScreen(client: ClientBase, screen: NewScreen, writer: Writer): Promise<NewScreen> {
  const { academyId: academy_id } = writer;
  await insertRow(client, 'leg_screen', {
    academy_id,
    id: screen.id,
    student_id: screen.studentId,
    build_id: screen.buildId,
    turned_on_lead_flare: screen.turnedOn?.leadFlare,
    turned_on_trail_flare: screen.turnedOn?.trailFlare,
    stopped_back: screen.stoppedBack,
    stopped_through: screen.stoppedThrough,
    sore_knee_lead: screen.soreKnee.lead,
    sore_knee_trail: screen.soreKnee.trail,
    made_by: writer.instructorId,
    made_at: screen.madeAt,
    received_at: writer.receivedAt,
  });
  for (const { item, tries, by, uncertainty, pain } of screen.items) {
    await insertRow(client, 'screened_item', {
      academy_id,
      student_id: screen.studentId,
      screen_id: screen.id,
      item,
      tries,
      taken_by: by,
      uncertainty,
      pain,
    });
  }
  return screen;
}

/** The screens of one student, newest first; each in the shape it was sent in. */
export async function listScreens(client: ClientBase, studentId: string): Promise<NewScreen[]> {
  const { rows } = await client.query(
    `select screen.*, (
       select jsonb_agg(jsonb_build_object('item', item, 'tries', to_jsonb(tries), 'by', taken_by, 'uncertainty', uncertainty, 'pain', pain)
                        order by array_position($2::text[], item))
       from screened_item where screened_item.academy_id = screen.academy_id and screened_item.screen_id = screen.id
     ) as items
     from leg_screen as screen where student_id = $1 order by made_at desc, id desc`,
    [studentId, SCREEN_ITEMS],
  );
  return rows.map((row) => ({
    id: row.id,
    studentId: row.student_id,
    buildId: row.build_id,
    madeAt: row.made_at.toISOString(),
    items: row.items,
    turnedOn:
      row.turned_on_lead_flare === null
        ? null
        : { leadFlare: row.turned_on_lead_flare, trailFlare: row.turned_on_trail_flare },
    stoppedBack: row.stopped_back,
    stoppedThrough: row.stopped_through,
    soreKnee: { lead: row.sore_knee_lead, trail: row.sore_knee_trail },
  }));
}
