import type { Today } from '@pedastance/contract';
import { agreedWith } from '@pedastance/contract/agreed';
import { agreementsOf, type Agreement, type LoggedAgreements } from '@pedastance/contract/agreements';
import { recordsOf } from '@pedastance/contract/records';
import { isMinor, outgrewBy, stillGrows, type CautionFact } from '@pedastance/core/body';
import { clubAndShot, sameClubAndShot, type ClubId, type ShotType } from '@pedastance/core/club';
import { FIGURE_WORDS } from '@pedastance/core/setup';
import type { ClientBase } from 'pg';
import { NEWEST_CONSENT_FIRST } from './consents';
import { entriesOfKinds } from './lessons';
import { ASKED, TAKEN_BACK } from './painAnswers';

const DAY_MS = 24 * 60 * 60 * 1000;

/** An agreement is looked at again after so many days (starting value), and left to rest after so many. */
const DUE_AFTER_DAYS = 7;
const AGREEMENTS_LAST_DAYS = 180;
/** A trial that nobody went on with for so long is no work of today's (starting value), days. */
const TRIALS_LAST_DAYS = 60;
/** So many agreements are looked through, the newest; a coach's day has no more. */
const MOST_AGREEMENTS = 100;
const MOST_LISTED = 50;

interface Agreed {
  student_id: string;
  name: string;
  club: ClubId;
  shot: ShotType;
  made_at: Date;
  /** When it was last measured. */
  today_at: Date | null;
  /** The newest card of the change, and the day it names. */
  card_at: Date | null;
  next_look: string | null;
  height_then: number;
  height_now: number;
  shoe_then: number;
  shoe_now: number;
  birth_year: number;
  born_on: string | null;
  caution_facts: CautionFact[];
}

const daysBefore = (now: Date, days: number): Date => new Date(now.getTime() - days * DAY_MS);

/** The newest change of each student and club, with the address that was measured after it and how tall the student was. */
async function newestAgreed(client: ClientBase, since: Date): Promise<Agreed[]> {
  const { rows } = await client.query<Agreed>(
    `select newest.*, student.name, later.made_at as today_at, build.height as height_now,
       build.shoe_length as shoe_now, student.birth_year, student.born_on, student.caution_facts,
       card.made_at as card_at, card.next_look
     from (
       select distinct on (change.student_id, agreed.club, agreed.shot)
         change.student_id, change.id as change_id, agreed.club, agreed.shot, entry.made_at, build.height as height_then,
         build.shoe_length as shoe_then
       from change_entry as change
       join log_entry as entry on entry.academy_id = change.academy_id and entry.id = change.id
       join address_entry as agreed on agreed.academy_id = change.academy_id and agreed.id = change.to_address_id
       join reading_entry as reading on reading.academy_id = change.academy_id and reading.id = change.reading_id
       join build on build.academy_id = change.academy_id and build.id = reading.build_id
       where change.academy_id = current_academy() and entry.made_at >= $1 and not exists (
         select from log_entry as correction
         where correction.academy_id = change.academy_id and correction.replaces_id = change.id)
       order by change.student_id, agreed.club, agreed.shot, entry.made_at desc
     ) as newest
     join student on student.academy_id = current_academy() and student.id = newest.student_id
     join lateral (
       select height, shoe_length from build where build.academy_id = student.academy_id and build.student_id = student.id
       order by build.made_at desc, build.id desc limit 1
     ) as build on true
     left join lateral (
       select entry.made_at from address_entry as address
       join log_entry as entry on entry.academy_id = address.academy_id and entry.id = address.id
       where address.academy_id = student.academy_id and address.student_id = student.id and address.club = newest.club
         and address.shot = newest.shot and address.standing = 'today' and entry.made_at > newest.made_at
       order by entry.made_at desc limit 1
     ) as later on true
     left join lateral (
       select entry.made_at, card.next_look from card_entry as card
       join log_entry as entry on entry.academy_id = card.academy_id and entry.id = card.id
       where card.academy_id = student.academy_id and card.student_id = student.id and card.change_id = newest.change_id
       order by entry.made_at desc limit 1
     ) as card on true
     order by newest.made_at desc limit $2`,
    [since, MOST_AGREEMENTS],
  );
  return rows;
}

/** The kinds of entries that say what stands agreed, and what was measured since. */
const TOLD_BY = ['address', 'reading', 'change', 'exception', 'trial', 'look'] as const;

/** What stands agreed with each student and club, and how it was measured since: as their pages tell it. */
async function standingAgreements(client: ClientBase, studentIds: readonly string[]): Promise<Agreement[]> {
  const log = await entriesOfKinds(client, studentIds, TOLD_BY);
  return studentIds.flatMap((studentId) => {
    const entries = log.filter((entry) => entry.studentId === studentId);
    const standingWith: LoggedAgreements['standingWith'] = (club, shot) =>
      agreedWith({ entries, studentId, club, shot, lessonId: null }).agreed;
    return agreementsOf({ records: recordsOf(entries, studentId), standingWith });
  });
}

/** Whether an agreement is to be looked at again: on its card's day, where it has one, else after a week. */
function isDue(row: Agreed, now: Date): boolean {
  const { card_at, next_look, today_at, made_at } = row;
  if (!card_at) return !today_at && made_at <= daysBefore(now, DUE_AFTER_DAYS);
  if (!next_look || next_look > now.toISOString().slice(0, 10)) return false;
  return !today_at || today_at < card_at;
}

/** Whether the student has outgrown an agreement: by height, or while they grow by their shoes. */
function hasGrown(row: Agreed, now: Date): boolean {
  const { birth_year: birthYear, born_on: bornOn, caution_facts: facts } = row;
  const growing = stillGrows({ birthYear, bornOn, facts }, now.toISOString().slice(0, 10));
  const then = { height: row.height_then, shoeLength: row.shoe_then };
  return outgrewBy(then, { height: row.height_now, shoeLength: row.shoe_now }, growing) !== null;
}

type OfAgreements = Pick<Today, 'due' | 'drifted' | 'outgrown'>;

/** The figures of an agreement that have drifted, as a coach names them. */
const driftedIn = ({ held }: Agreement): string[] =>
  held.filter(({ verdict }) => verdict === 'drifted').map(({ figure }) => FIGURE_WORDS[figure].name);

async function ofAgreements(client: ClientBase, now: Date): Promise<OfAgreements> {
  const all = await newestAgreed(client, daysBefore(now, AGREEMENTS_LAST_DAYS));
  const students = [...new Set(all.map(({ student_id }) => student_id))];
  const standing = await standingAgreements(client, students);
  const day: OfAgreements = { due: [], drifted: [], outgrown: [] };
  for (const row of all) {
    const about = { studentId: row.student_id, name: row.name };
    const known = day.outgrown.some(({ studentId }) => studentId === about.studentId);
    if (!known && hasGrown(row, now)) day.outgrown.push(about);
    const agreement = standing.find(
      (each) => each.studentId === row.student_id && sameClubAndShot(each, row),
    );
    // All of it was let go of since, or dropped.
    if (!agreement) continue;
    const { agreedAt } = agreement;
    const ofClub = { ...about, club: clubAndShot(row.club, row.shot), agreedAt };
    const figures = driftedIn(agreement);
    if (figures.length > 0) day.drifted.push({ ...ofClub, figures });
    if (isDue(row, now)) day.due.push(ofClub);
  }
  day.due.reverse();
  return day;
}

async function openTrials(client: ClientBase, now: Date): Promise<Today['trials']> {
  const { rows } = await client.query(
    `select trial.student_id as "studentId", student.name, trial.id as "trialId", entry.made_at as "declaredAt"
     from trial_entry as trial
     join log_entry as entry on entry.academy_id = trial.academy_id and entry.id = trial.id
     join student on student.academy_id = trial.academy_id and student.id = trial.student_id
     where trial.academy_id = current_academy() and entry.made_at >= $1
       and not exists (select from look_entry as look where look.academy_id = trial.academy_id
         and look.trial_id = trial.id and look.decision <> 'go on')
       and not exists (select from log_entry as correction
         where correction.academy_id = trial.academy_id and correction.replaces_id = trial.id)
     order by entry.made_at desc limit $2`,
    [daysBefore(now, TRIALS_LAST_DAYS), MOST_LISTED],
  );
  return rows;
}

async function withoutConsent(client: ClientBase, now: Date): Promise<Today['consents']> {
  const { rows } = await client.query(
    `select student.id as "studentId", student.name, student.birth_year as "birthYear", student.born_on as "bornOn"
     from student
     left join lateral (
       select given from consent where consent.academy_id = student.academy_id and consent.student_id = student.id
       order by ${NEWEST_CONSENT_FIRST} limit 1
     ) as word on true
     where student.academy_id = current_academy() and word.given is not true and student.birth_year >= $1
     order by student.last_entry_at desc nulls last, student.id limit $2`,
    [now.getUTCFullYear() - 19, MOST_LISTED],
  );
  const day = now.toISOString().slice(0, 10);
  return rows.filter((born) => isMinor(born, day)).map(({ studentId, name }) => ({ studentId, name }));
}

/** Whose newest word of pain nobody has asked after yet: as `painToAsk` has it. */
async function hurting(client: ClientBase): Promise<NonNullable<Today['hurts']>> {
  const { rows } = await client.query(
    `select newest.student_id as "studentId", student.name, newest.ticked_on as "on"
     from (
       select distinct on (tick.student_id) tick.*, ${ASKED} as asked from card_tick as tick
       where tick.academy_id = current_academy() and tick.hurts and (${ASKED} or not ${TAKEN_BACK})
       order by tick.student_id, tick.received_at desc, tick.id desc
     ) as newest
     join student on student.academy_id = newest.academy_id and student.id = newest.student_id
     where not newest.asked
     order by newest.received_at desc limit $1`,
    [MOST_LISTED],
  );
  return rows;
}

/** What today's work is, from the academy's records. */
export async function todayOf(client: ClientBase, now: Date): Promise<Today> {
  return {
    hurts: await hurting(client),
    ...(await ofAgreements(client, now)),
    trials: await openTrials(client, now),
    consents: await withoutConsent(client, now),
  };
}
