import type { NewScreen } from '@pedastance/contract';
import { SCREEN_ITEMS } from '@pedastance/core';
import type { ClientBase } from 'pg';
import { insertRows, madeBy, momentAsJson, type Made, type TableRows, type Writer } from './rows';
import { noteStudentChanged } from './studentChanged';

/** The hand a screen's legs were named for; a screen from before it was kept was named for the student's own. */
async function handOf(client: ClientBase, { hand, studentId }: NewScreen): Promise<NewScreen['hand']> {
  if (hand) return hand;
  const { rows } = await client.query<{ hand: NewScreen['hand'] }>(
    'select hand from student where academy_id = current_academy() and id = $1',
    [studentId],
  );
  return rows[0]?.hand ?? null;
}

/** A screen as its tables keep it, each in an order after what it refers to. */
export function screenRows(screen: NewScreen, writer: Writer): TableRows[] {
  const { academyId: academy_id } = writer;
  const row = {
    academy_id,
    id: screen.id,
    student_id: screen.studentId,
    build_id: screen.buildId,
    hand: screen.hand,
    turned_on_lead_flare: screen.turnedOn?.leadFlare,
    turned_on_trail_flare: screen.turnedOn?.trailFlare,
    turned_on_toe_line: screen.turnedOn?.toeLine,
    stopped_back: screen.stoppedBack,
    stopped_through: screen.stoppedThrough,
    sore_knee_lead: screen.soreKnee.lead,
    sore_knee_trail: screen.soreKnee.trail,
    made_by: writer.instructorId,
    made_at: screen.madeAt,
    received_at: writer.receivedAt,
  };
  const items = screen.items.map(({ item, tries, by, uncertainty, pain, takenAt }) => ({
    academy_id,
    student_id: screen.studentId,
    screen_id: screen.id,
    item,
    tries,
    taken_by: by,
    uncertainty,
    pain,
    taken_at: takenAt,
  }));
  const turns = screen.earlierTurns.map((turn, position) => ({
    academy_id,
    student_id: screen.studentId,
    screen_id: screen.id,
    position,
    taken_at: turn.takenAt,
    lead_flare: turn.leadFlare,
    trail_flare: turn.trailFlare,
    toe_line: turn.toeLine,
    back: turn.back?.value,
    back_uncertainty: turn.back?.uncertainty,
    through: turn.through?.value,
    through_uncertainty: turn.through?.uncertainty,
    stopped_back: turn.stoppedBack,
    stopped_through: turn.stoppedThrough,
  }));
  return [
    ['leg_screen', [row]],
    ['screened_item', items],
    ['earlier_turn', turns],
  ];
}

export async function addScreen(client: ClientBase, sent: NewScreen, writer: Writer): Promise<NewScreen> {
  const screen = { ...sent, hand: await handOf(client, sent) };
  for (const [table, rows] of screenRows(screen, writer)) await insertRows(client, table, rows);
  await noteStudentChanged(client, screen.studentId);
  return screen;
}

const TAKEN_AT = momentAsJson('taken_at');

/** So many screens of one student are answered; nobody has more. */
const MOST_LISTED = 200;

/** The screens of one student, newest first; each in the shape it was sent in. */
export async function listScreens(client: ClientBase, studentId: string): Promise<NewScreen[]> {
  const made = await screensOf(client, { studentIds: [studentId], limit: MOST_LISTED });
  return made.map(({ record }) => record);
}

interface ScreenRow {
  id: string;
  student_id: string;
  build_id: string;
  hand: NewScreen['hand'];
  made_by: string;
  made_at: Date;
  received_at: Date;
  items: NewScreen['items'];
  turned_on_lead_flare: number | null;
  turned_on_trail_flare: number;
  turned_on_toe_line: number;
  stopped_back: NewScreen['stoppedBack'];
  stopped_through: NewScreen['stoppedThrough'];
  earlier_turns: NewScreen['earlierTurns'];
  sore_knee_lead: boolean;
  sore_knee_trail: boolean;
}

const screenFromRow = (row: ScreenRow): NewScreen => ({
  id: row.id,
  studentId: row.student_id,
  buildId: row.build_id,
  hand: row.hand,
  madeAt: row.made_at.toISOString(),
  items: row.items,
  turnedOn:
    row.turned_on_lead_flare === null
      ? null
      : {
          leadFlare: row.turned_on_lead_flare,
          trailFlare: row.turned_on_trail_flare,
          toeLine: row.turned_on_toe_line,
        },
  stoppedBack: row.stopped_back,
  stoppedThrough: row.stopped_through,
  earlierTurns: row.earlier_turns,
  soreKnee: { lead: row.sore_knee_lead, trail: row.sore_knee_trail },
});

/** The screens of students, or of them the one that is named, newest first. */
export async function screensOf(
  client: ClientBase,
  {
    studentIds,
    id = null,
    limit = null,
  }: { studentIds: string[]; id?: string | null; limit?: number | null },
): Promise<Made<NewScreen>[]> {
  const { rows } = await client.query<ScreenRow>(
    `select screen.*, (
       select jsonb_agg(jsonb_build_object('item', item, 'tries', to_jsonb(tries), 'by', taken_by, 'uncertainty', uncertainty, 'pain', pain,
                          'takenAt', ${TAKEN_AT})
                        order by array_position($2::text[], item))
       from screened_item where screened_item.academy_id = screen.academy_id and screened_item.screen_id = screen.id
     ) as items, (
       select coalesce(jsonb_agg(jsonb_build_object('takenAt', ${TAKEN_AT}, 'leadFlare', lead_flare, 'trailFlare', trail_flare,
           'toeLine', toe_line, 'stoppedBack', stopped_back, 'stoppedThrough', stopped_through,
           'back', case when back is not null then jsonb_build_object('value', back, 'uncertainty', back_uncertainty) end,
           'through', case when through is not null then jsonb_build_object('value', through, 'uncertainty', through_uncertainty) end
         ) order by position), '[]')
       from earlier_turn where earlier_turn.academy_id = screen.academy_id and earlier_turn.screen_id = screen.id
     ) as earlier_turns
     from leg_screen as screen
     where academy_id = current_academy() and student_id = any($1) and ($4::uuid is null or id = $4)
     order by made_at desc, id desc limit $3`,
    [studentIds, SCREEN_ITEMS, limit, id],
  );
  return rows.map((row) => madeBy(row, screenFromRow(row)));
}

/** One of a student's screens. */
export async function findScreen(
  client: ClientBase,
  studentId: string,
  id: string,
): Promise<NewScreen | null> {
  return (await screensOf(client, { studentIds: [studentId], id }))[0]?.record ?? null;
}
