import {
  type CardLink,
  type CardPictures,
  type CardTick,
  type LogEntry,
  type NewCardLink,
  type OpenedCard,
  type StudentCards,
  type Tick,
  type TickRecord,
} from '@pedastance/contract';
import { CARD_PICTURE_PX, LONGEST_CARD_PICTURE } from '@pedastance/contract/cardLimits';
import { takenHome } from '@pedastance/contract/takenHome';
import { composeCard, type Card } from '@pedastance/core/card';
import type { ClientBase, Pool } from 'pg';
import { encodedJpeg } from './encodedJpeg';
import { ENTRY_AS_JSON } from './entryJson';
import { insertRow, type Writer } from './rows';
import { findStudent } from './students';

/** What cards of a student rest on: the cards, the changes, the addresses those go between, and the ladders. */
async function cardLog(client: ClientBase, studentId: string): Promise<LogEntry[]> {
  const { rows } = await client.query(
    `select entry.student_id, entry.received_at, entry.made_at, ${ENTRY_AS_JSON} as entry
     from log_entry as entry
     where entry.academy_id = current_academy() and entry.student_id = $1 and (entry.kind in ('card', 'change', 'ladder')
       or entry.kind = 'address' and exists (
         select from change_entry as change where change.academy_id = entry.academy_id
           and change.student_id = entry.student_id and entry.id in (change.from_address_id, change.to_address_id)))`,
    [studentId],
  );
  return rows.map((row) => ({
    ...row.entry,
    madeAt: row.made_at.toISOString(),
    studentId: row.student_id,
    receivedAt: row.received_at.toISOString(),
  }));
}

type Wanted = Pick<NewCardLink, 'studentId' | 'cardId' | 'wholeBag' | 'length'>;

/** The card of a link does not stand in its student's log. */
export class NoSuchCard extends Error {
  constructor() {
    super('no such card');
  }
}

/** A card as it reads today. @throws NoSuchCard */
export async function composedCard(client: ClientBase, wanted: Wanted, today: string): Promise<Card> {
  const { studentId, cardId, wholeBag, length } = wanted;
  const student = await findStudent(client, studentId);
  const log = await cardLog(client, studentId);
  const home = takenHome(student, log, { cardId, wholeBag, length, today });
  if (!home) throw new NoSuchCard();
  return composeCard(home);
}

const dayOf = (at: Date): string => at.toISOString().slice(0, 10);

/** A link with its pictures encoded anew: nothing that a program may have written into them is left. @throws NotAJpeg */
export async function withEncodedPictures(link: NewCardLink): Promise<NewCardLink> {
  if (!link.pictures) return link;
  const { earlier, later, measures } = link.pictures;
  const wanted = { ...CARD_PICTURE_PX, mostBytes: (LONGEST_CARD_PICTURE / 4) * 3 };
  const anew = async ({ on, jpeg }: CardPictures['earlier']) => {
    const bytes = await encodedJpeg(Buffer.from(jpeg, 'base64'), wanted);
    return { on, jpeg: bytes.toString('base64') };
  };
  return { ...link, pictures: { earlier: await anew(earlier), later: await anew(later), measures } };
}

/** Takes the pictures off every card of a student. */
export async function takePicturesOff(client: ClientBase, studentId: string): Promise<void> {
  await client.query(
    'update card_link set pictures = null where academy_id = current_academy() and student_id = $1',
    [studentId],
  );
}

export async function addCardLink(
  client: ClientBase,
  link: NewCardLink,
  { academyId, instructorId, receivedAt }: Writer,
): Promise<{ id: string; studentId: string }> {
  const card = await composedCard(client, link, dayOf(receivedAt));
  await insertRow(client, 'card_link', {
    academy_id: academyId,
    id: link.id,
    student_id: link.studentId,
    card_id: link.cardId,
    token_hash: Buffer.from(link.tokenHash, 'base64url'),
    whole_bag: link.wholeBag,
    length: link.length,
    pictures: link.pictures && JSON.stringify(link.pictures),
    contents: JSON.stringify(card),
    ends_on: link.endsOn,
    made_by: instructorId,
    made_at: link.madeAt,
    received_at: receivedAt,
  });
  return { id: link.id, studentId: link.studentId };
}

/** Brings the open links of a student up to date with the log; what reads as before is left as it is. */
export async function refreshCardLinks(client: ClientBase, studentId: string, at: Date): Promise<void> {
  const today = dayOf(at);
  const { rows } = await client.query<Wanted & { id: string; contents: Card }>(
    `select id, student_id as "studentId", card_id as "cardId", whole_bag as "wholeBag", length
     from card_link where academy_id = current_academy() and student_id = $1 and revoked_at is null and ends_on >= $2`,
    [studentId, today],
  );
  for (const link of rows) {
    await client.query(
      `update card_link set contents = $2, changed_on = $3
       where academy_id = current_academy() and id = $1 and contents <> $2::jsonb`,
      [link.id, JSON.stringify(await composedCard(client, link, today)), today],
    );
  }
}

/** Ends a link at once; false where there is none to end. */
export async function revokeCardLink(client: ClientBase, id: string, at: Date): Promise<boolean> {
  const { rowCount } = await client.query(
    `update card_link set revoked_at = $2, pictures = null where academy_id = current_academy() and id = $1 and revoked_at is null`,
    [id, at],
  );
  return rowCount === 1;
}

/** What students ticked, oldest first. */
export async function ticksOf(client: ClientBase, studentIds: string[]): Promise<CardTick[]> {
  const { rows } = await client.query(
    `select id, student_id as "studentId", card_id as "cardId", ticked_on as "on", rounds, hurts, takes_back as "takesBack",
       case when rung_at is not null then jsonb_build_object('at', rung_at, 'done', rung_done) end as rung, received_at
     from card_tick where academy_id = current_academy() and student_id = any($1) order by ticked_on, id`,
    [studentIds],
  );
  return rows.map(({ received_at, ...tick }) => ({ ...tick, receivedAt: received_at.toISOString() }));
}

export const tickRow = (
  { id, studentId, cardId, on, rounds, hurts, takesBack, rung }: TickRecord,
  academyId: string,
  receivedAt: string,
): Record<string, unknown> => ({
  academy_id: academyId,
  id,
  student_id: studentId,
  card_id: cardId,
  ticked_on: on,
  rounds,
  hurts,
  takes_back: takesBack,
  rung_at: rung?.at,
  rung_done: rung?.done,
  received_at: receivedAt,
});

/** The links of a student, newest first, and what was ticked. */
export async function cardsOf(client: ClientBase, studentId: string): Promise<StudentCards> {
  const { rows } = await client.query<CardLink>(
    `select id, student_id as "studentId", card_id as "cardId", whole_bag as "wholeBag", made_at as "madeAt",
       ends_on as "endsOn", revoked_at as "revokedAt", opened, last_opened_at as "lastOpenedAt"
     from card_link where academy_id = current_academy() and student_id = $1 order by made_at desc, id desc`,
    [studentId],
  );
  return { links: rows, ticks: await ticksOf(client, [studentId]) };
}

/** The card that a link's hash opens; null for any link that is not open. */
export async function openCard(pool: Pool, tokenHash: Buffer, at: Date): Promise<OpenedCard | null> {
  const { rows } = await pool.query(
    `select contents as card, pictured, changed_on as "changedOn", ends_on as "endsOn", ticked, rungs from card_open($1, $2)`,
    [tokenHash, dayOf(at)],
  );
  return rows[0] ?? null;
}

/** The pictures of a link that is open; undefined for any other, null where it has none. */
export async function openPictures(
  pool: Pool,
  tokenHash: Buffer,
  at: Date,
): Promise<CardPictures | null | undefined> {
  const { rows } = await pool.query('select pictures from card_pictures($1, $2)', [tokenHash, dayOf(at)]);
  return rows[0]?.pictures;
}

/** Counts that a card was read; false where the link is not open. */
export async function cardSeen(pool: Pool, tokenHash: Buffer, at: Date): Promise<boolean> {
  const { rows } = await pool.query('select card_seen($1, $2) as seen', [tokenHash, at]);
  return rows[0].seen;
}

/** Takes in what was ticked, each once; false where the link is not open. */
export async function addTicks(
  pool: Pool,
  tokenHash: Buffer,
  ticks: readonly Tick[],
  at: Date,
): Promise<'taken' | 'full' | 'closed'> {
  const { rows } = await pool.query('select card_ticks_take($1, $2, $3) as came_to', [
    tokenHash,
    JSON.stringify(ticks),
    at,
  ]);
  return rows[0].came_to;
}
