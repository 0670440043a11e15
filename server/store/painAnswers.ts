import { MOST_PAIN_TICKS, type NewPainAnswer } from '@pedastance/contract';
import type { ClientBase } from 'pg';
import { insertRow, madeBy, momentAsJson, type Made, type Writer } from './rows';
import { noteStudentChanged } from './studentChanged';

/** Whether a later tick of the day takes a word of pain back; within a query of `tick`. */
export const TAKEN_BACK = `exists (
  select from card_tick as back where back.academy_id = tick.academy_id and back.card_id = tick.card_id
    and back.ticked_on = tick.ticked_on and back.takes_back and back.id > tick.id)`;

/** Whether a coach asked after a word of pain; within a query of `tick`. */
export const ASKED = `exists (
  select from pain_answer as answer where answer.academy_id = tick.academy_id and answer.tick_id = tick.id)`;

/** The newest words of pain of a student as JSON, newest first; null for none. Within a query of `student`. */
export const PAIN_TICKS_AS_JSON = `
  select jsonb_agg(jsonb_build_object('tickId', tick.id, 'on', tick.ticked_on, 'takenBack', ${TAKEN_BACK}, 'answer', (
    select jsonb_build_object('madeAt', ${momentAsJson('answer.made_at')}, 'found', answer.found) from pain_answer as answer
    where answer.academy_id = tick.academy_id and answer.tick_id = tick.id order by answer.made_at desc, answer.id desc limit 1
  )) order by tick.received_at desc, tick.id desc) as pain
  from (
    select * from card_tick
    where card_tick.academy_id = student.academy_id and card_tick.student_id = student.id and card_tick.hurts
    order by received_at desc, id desc limit ${MOST_PAIN_TICKS}
  ) as tick`;

export const painAnswerRow = (
  { id, studentId, madeAt, tickId, found }: NewPainAnswer,
  { academyId, instructorId, receivedAt }: Writer,
): Record<string, unknown> => ({
  academy_id: academyId,
  id,
  student_id: studentId,
  tick_id: tickId,
  tick_hurts: true,
  found,
  made_by: instructorId,
  made_at: madeAt,
  received_at: receivedAt,
});

/** Keeps what came of asking after pain. */
export async function addPainAnswer(
  client: ClientBase,
  answer: NewPainAnswer,
  writer: Writer,
): Promise<NewPainAnswer> {
  await insertRow(client, 'pain_answer', painAnswerRow(answer, writer));
  await noteStudentChanged(client, answer.studentId);
  return answer;
}

interface PainAnswerRow {
  id: string;
  student_id: string;
  tick_id: string;
  found: NewPainAnswer['found'];
  made_by: string;
  made_at: Date;
  received_at: Date;
}

/** What came of asking students after pain, each with who asked. */
export async function painAnswersOf(
  client: ClientBase,
  studentIds: string[],
): Promise<Made<NewPainAnswer>[]> {
  const { rows } = await client.query<PainAnswerRow>(
    `select id, student_id, tick_id, found, made_by, made_at, received_at from pain_answer
     where academy_id = current_academy() and student_id = any($1) order by made_at, id`,
    [studentIds],
  );
  return rows.map((row) =>
    madeBy(row, {
      id: row.id,
      studentId: row.student_id,
      madeAt: row.made_at.toISOString(),
      tickId: row.tick_id,
      found: row.found,
    }),
  );
}
