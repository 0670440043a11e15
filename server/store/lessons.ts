import type {
  AddressEntry,
  ChangeEntry,
  ExceptionEntry,
  IntakeEntry,
  LogEntry,
  NewEntry,
  NewLesson,
  ReadingEntry,
} from '@pedastance/contract';
import { ITEMS } from '@pedastance/core';
import type { ClientBase } from 'pg';
import { cursorAt, type Cursor } from './cursor';
import { insertRow, insertRows, type EntryKey, type Writer } from './rows';
import { CHECK_AS_JSON } from './checks';
import { noteStudentChanged } from './studentChanged';
import { addLook, addShots, addTrial, TRIAL_KINDS_AS_JSON } from './trials';

export async function addLesson(client: ClientBase, lesson: NewLesson, writer: Writer): Promise<NewLesson> {
  await insertRow(client, 'lesson', {
    academy_id: writer.academyId,
    id: lesson.id,
    student_id: lesson.studentId,
    instructor_id: writer.instructorId,
    started_at: lesson.startedAt,
    received_at: writer.receivedAt,
  });
  return lesson;
}

export class NoSuchLesson extends Error {
  constructor() {
    super('no such lesson');
  }
}

const addIntake = (
  client: ClientBase,
  key: EntryKey,
  { cameFor, sore, words, sport }: IntakeEntry,
): Promise<void> => insertRow(client, 'intake_entry', { ...key, came_for: cameFor, sore, words, sport });

const addException = (
  client: ClientBase,
  key: EntryKey,
  { item, low, high, club, ended }: ExceptionEntry,
): Promise<void> => insertRow(client, 'exception_entry', { ...key, item, low, high, club, ended });

async function addAddress(client: ClientBase, key: EntryKey, entry: AddressEntry): Promise<void> {
  const { shoe, lead, trail } = entry.setup.address;
  const { balance, measured, posture } = entry.setup;
  await insertRow(client, 'address_entry', {
    ...key,
    standing: entry.standing,
    club: entry.club,
    club_length_inches: entry.clubLengthInches,
    shot: entry.shot,
    shoe_length: shoe.length,
    shoe_breadth: shoe.breadth,
    lead_heel_x: lead.heel.x,
    lead_heel_y: lead.heel.y,
    lead_flare: lead.flare,
    trail_heel_x: trail.heel.x,
    trail_heel_y: trail.heel.y,
    trail_flare: trail.flare,
    lead_share: balance.leadShare,
    lead_heel_toe: balance.leadHeelToe,
    trail_heel_toe: balance.trailHeelToe,
    seat: posture?.choices.seat,
    pressure_route: posture?.choices.pressureRoute,
    trail_elbow: posture?.choices.trailElbow,
    trail_arm: posture?.choices.trailArm,
    club_rest: posture?.choices.clubRest,
    swing_path: posture?.swingPath,
    tell_tales: posture?.tellTales,
  });
  const { academy_id, student_id, id: address_id } = key;
  const ofAddress = { academy_id, student_id, address_id };
  const measurements = Object.entries(measured).filter(([, measurement]) => measurement);
  await insertRows(
    client,
    'measurement',
    measurements.map(([figure, measurement]) => ({ ...ofAddress, figure, ...measurement })),
  );
  const sightings = Object.entries(posture?.figures ?? {}).filter(([, sighting]) => sighting);
  await insertRows(
    client,
    'sighting',
    sightings.map(([item, sighting]) => ({ ...ofAddress, item, ...sighting })),
  );
}

async function addReading(client: ClientBase, key: EntryKey, entry: ReadingEntry): Promise<void> {
  await insertRow(client, 'reading_entry', {
    ...key,
    address_id: entry.addressId,
    build_id: entry.buildId,
    screen_id: entry.screenId,
    method_id: entry.methodId,
    method_version: entry.methodVersion,
    model_version: entry.modelVersion,
    note: entry.note,
    read_cautions: entry.facts?.cautions,
    read_age: entry.facts?.age,
    read_hand: entry.facts?.rests?.hand,
    read_caution_facts: entry.facts?.rests && JSON.stringify(entry.facts.rests.facts),
    read_shoulder_goal: entry.facts?.rests?.shoulderGoal,
    notices: JSON.stringify(entry.notices),
    judgement: entry.judgement && JSON.stringify(entry.judgement),
  });
  const ofReading = { academy_id: key.academy_id, reading_id: key.id };
  const findings = entry.findings.map(({ widenedBy, putForward, weight, because, ...figures }) => ({
    ...ofReading,
    position: ITEMS.indexOf(figures.item),
    ...figures,
    widened_by: widenedBy,
    weight_out: weight.out,
    weight_turn: weight.turn,
    weight_path: weight.path,
    weight_total: weight.total,
    because_item: because?.item,
    because_words: because?.words,
    put_forward: putForward,
  }));
  await insertRows(client, 'finding', findings);
  const choices = entry.choices.map(({ asTaught, ...choice }) => ({
    ...ofReading,
    ...choice,
    as_taught: asTaught,
  }));
  await insertRows(client, 'choice_finding', choices);
}

async function addChange(client: ClientBase, key: EntryKey, entry: ChangeEntry): Promise<void> {
  await insertRow(client, 'change_entry', {
    ...key,
    reading_id: entry.readingId,
    from_address_id: entry.fromAddressId,
    to_address_id: entry.toAddressId,
    lead_heel_lift: entry.leadHeelLift,
    shoulder_goal: entry.shoulderGoal,
    reason: entry.reason,
    feel: entry.feel,
    note: entry.note,
  });
}

async function studentOfLesson(client: ClientBase, lessonId: string): Promise<string> {
  const lesson = await client.query('select student_id from lesson where id = $1', [lessonId]);
  const studentId: string | undefined = lesson.rows[0]?.student_id;
  if (!studentId) throw new NoSuchLesson();
  return studentId;
}

/** An entry that has landed before, as it was answered then. */
export async function landedEntry(client: ClientBase, entry: NewEntry): Promise<LogEntry> {
  const [landed] = await entriesOf(client, await studentOfLesson(client, entry.lessonId), [entry.id]);
  return landed!;
}

/**
 * Adds an entry to the log.
 * @throws NoSuchLesson when this academy has no such lesson; the database's own error when the
 * entry refers to something that is not this student's.
 */
export async function addEntry(client: ClientBase, entry: NewEntry, writer: Writer): Promise<LogEntry> {
  const studentId = await studentOfLesson(client, entry.lessonId);
  const key = { academy_id: writer.academyId, student_id: studentId, id: entry.id };
  await insertRow(client, 'log_entry', {
    ...key,
    lesson_id: entry.lessonId,
    instructor_id: writer.instructorId,
    kind: entry.kind,
    replaces_id: entry.replaces,
    made_at: entry.madeAt,
    received_at: writer.receivedAt,
  });
  if (entry.kind === 'intake') await addIntake(client, key, entry);
  if (entry.kind === 'exception') await addException(client, key, entry);
  if (entry.kind === 'address') await addAddress(client, key, entry);
  if (entry.kind === 'reading') await addReading(client, key, entry);
  if (entry.kind === 'change') await addChange(client, key, entry);
  if (entry.kind === 'trial') await addTrial(client, key, entry);
  if (entry.kind === 'shots') await addShots(client, key, entry);
  if (entry.kind === 'look') await addLook(client, key, entry);
  await noteStudentChanged(client, studentId, entry.madeAt);
  return { ...entry, studentId, receivedAt: writer.receivedAt.toISOString() };
}

const FINDINGS_AS_JSON = `
  select jsonb_agg(jsonb_build_object(
    'item', item, 'question', question, 'unit', unit, 'measured', measured, 'uncertainty', uncertainty,
    'low', low, 'middle', middle, 'high', high, 'verdict', verdict, 'close', close,
    'widenedBy', to_jsonb(widened_by), 'untested', untested, 'mark', mark, 'why', why, 'limits', limits,
    'weight', jsonb_build_object('out', weight_out, 'turn', weight_turn, 'path', weight_path, 'total', weight_total),
    'because', case when because_item is not null then jsonb_build_object('item', because_item, 'words', because_words) end,
    'withheld', withheld, 'putForward', put_forward
  ) order by position)
  from finding where finding.academy_id = entry.academy_id and finding.reading_id = entry.id`;

const CHOICES_AS_JSON = `
  select coalesce(jsonb_agg(jsonb_build_object(
    'question', question, 'seen', seen, 'wanted', to_jsonb(wanted), 'asTaught', as_taught, 'mark', mark, 'why', why
  ) order by array_position(house_questions(), question)), '[]')
  from choice_finding where choice_finding.academy_id = entry.academy_id and choice_finding.reading_id = entry.id`;

const MEASURED_AS_JSON = `
  select coalesce(jsonb_object_agg(figure, jsonb_build_object('way', way, 'uncertainty', uncertainty)), '{}')
  from measurement where measurement.academy_id = entry.academy_id and measurement.address_id = entry.id`;

/** What was looked at above the feet; nothing at all where nothing was. */
const POSTURE_AS_JSON = `
  select case when num_nonnulls(seat, pressure_route, trail_elbow, trail_arm, club_rest, swing_path, tell_tales) = 0 and figures = '{}' then '{}'
    else jsonb_build_object('posture', jsonb_build_object(
      'figures', figures,
      'choices', jsonb_strip_nulls(jsonb_build_object(
        'seat', seat, 'pressureRoute', pressure_route, 'trailElbow', trail_elbow, 'trailArm', trail_arm, 'clubRest', club_rest))
    ) || jsonb_strip_nulls(jsonb_build_object('swingPath', swing_path, 'tellTales', to_jsonb(tell_tales)))) end
  from (
    select coalesce(jsonb_object_agg(item, jsonb_build_object('value', value, 'way', way, 'uncertainty', uncertainty)), '{}') as figures
    from sighting where sighting.academy_id = entry.academy_id and sighting.address_id = entry.id
  ) as seen`;

/** Which part of a log: what landed after a place, what landed before one, or the newest. */
export type LogPart = { after: Cursor } | { before: Cursor } | { ids: readonly string[] } | 'newest';

export interface LogPage {
  entries: LogEntry[];
  /** The places of the first and the last entry that landed, of those on the page; null for an empty page. */
  first: Cursor | null;
  last: Cursor | null;
  /** Whether there is more beyond the page, in the direction that was asked for. */
  more: boolean;
}

const partOf = (part: LogPart) => {
  if (part === 'newest') return { condition: 'true', order: 'desc', values: [] };
  if ('ids' in part) return { condition: 'id = any($3::uuid[])', order: 'asc', values: [part.ids] };
  const [condition, order, { number, id }] =
    'after' in part
      ? ['(changed, id) > ($3, $4::uuid)', 'asc', part.after]
      : ['(changed, id) < ($3, $4::uuid)', 'desc', part.before];
  return { condition, order, values: [number, id] };
};

/** A page of the log of one student, in the order of landing; each entry in the shape it was sent in. */
export async function listEntries(
  client: ClientBase,
  studentId: string,
  part: LogPart,
  limit: number,
): Promise<LogPage> {
  const { condition, order, values } = partOf(part);
  const { rows } = await client.query(
    `select entry.changed, entry.id, entry.student_id, entry.received_at, entry.made_at,
       jsonb_build_object('id', entry.id, 'lessonId', entry.lesson_id, 'kind', entry.kind, 'replaces', entry.replaces_id)
       || case entry.kind
         when 'intake' then (
           select jsonb_build_object('cameFor', to_jsonb(came_for), 'sore', sore, 'words', words, 'sport', sport)
           from intake_entry where intake_entry.academy_id = entry.academy_id and intake_entry.id = entry.id)
         when 'exception' then (
           select jsonb_build_object('item', item, 'low', low, 'high', high, 'club', club, 'ended', ended)
           from exception_entry where exception_entry.academy_id = entry.academy_id and exception_entry.id = entry.id)
         when 'address' then (
           select jsonb_build_object('standing', standing, 'club', club, 'clubLengthInches', club_length_inches, 'shot', shot,
             'setup', jsonb_build_object(
               'address', jsonb_build_object(
                 'shoe', jsonb_build_object('length', shoe_length, 'breadth', shoe_breadth),
                 'lead', jsonb_build_object('heel', jsonb_build_object('x', lead_heel_x, 'y', lead_heel_y), 'flare', lead_flare),
                 'trail', jsonb_build_object('heel', jsonb_build_object('x', trail_heel_x, 'y', trail_heel_y), 'flare', trail_flare)),
               'balance', jsonb_build_object('leadShare', lead_share, 'leadHeelToe', lead_heel_toe, 'trailHeelToe', trail_heel_toe),
               'measured', (${MEASURED_AS_JSON}))
               || (${POSTURE_AS_JSON}))
           from address_entry where address_entry.academy_id = entry.academy_id and address_entry.id = entry.id)
         when 'reading' then (
           select jsonb_build_object('addressId', address_id, 'buildId', build_id, 'screenId', screen_id, 'methodId', method_id,
             'methodVersion', method_version, 'modelVersion', model_version, 'notices', notices, 'judgement', judgement,
             'note', note, 'facts', case when read_age is not null then jsonb_build_object('cautions', read_cautions, 'age', read_age,
               'rests', case when read_hand is not null then jsonb_build_object('hand', read_hand, 'facts', read_caution_facts,
                 'shoulderGoal', read_shoulder_goal) end) end,
             'check', (${CHECK_AS_JSON}),
             'findings', (${FINDINGS_AS_JSON}), 'choices', (${CHOICES_AS_JSON}))
           from reading_entry where reading_entry.academy_id = entry.academy_id and reading_entry.id = entry.id)
         when 'change' then (
           select jsonb_build_object('readingId', reading_id, 'fromAddressId', from_address_id,
             'toAddressId', to_address_id, 'leadHeelLift', lead_heel_lift,
             'shoulderGoal', shoulder_goal, 'reason', reason, 'feel', feel, 'note', note)
           from change_entry where change_entry.academy_id = entry.academy_id and change_entry.id = entry.id)
         ${TRIAL_KINDS_AS_JSON}
       end as entry
     from (
       select * from log_entry where academy_id = current_academy() and student_id = $1 and ${condition}
       order by changed ${order}, id ${order} limit $2
     ) as entry
     order by entry.changed ${order}, entry.id ${order}`,
    [studentId, limit + 1, ...values],
  );
  const page = rows.slice(0, limit);
  const places = page.map(cursorAt);
  if (order === 'desc') places.reverse();
  return {
    entries: page.map((row) => ({
      ...row.entry,
      madeAt: row.made_at.toISOString(),
      studentId: row.student_id,
      receivedAt: row.received_at.toISOString(),
    })),
    first: places[0] ?? null,
    last: places.at(-1) ?? null,
    more: rows.length > limit,
  };
}

/** Entries of one student by their identifiers; those that this student's log does not have are missing. */
export async function entriesOf(
  client: ClientBase,
  studentId: string,
  ids: readonly string[],
): Promise<LogEntry[]> {
  const { entries } = await listEntries(client, studentId, { ids }, ids.length);
  return entries;
}
