import type {
  AddressEntry,
  EntryCheck,
  IntakeEntry,
  LogEntry,
  Logged,
  LookEntry,
  NewEntry,
  PressureEntry,
  ReadingEntry,
  TrialEntry,
} from '@pedastance/contract';
import { pathShotsOf } from '@pedastance/contract/pathShots';
import { MODEL_VERSION } from '@pedastance/core/reading';
import type { ClientBase } from 'pg';
import { findBuild } from '../store/builds';
import { checkRow } from '../store/entryRows';
import { entriesOf, loggedEntry, writeEntry } from '../store/lessons';
import { findVersion } from '../store/methods';
import type { TableRows, Writer } from '../store/rows';
import { findScreen } from '../store/screens';
import { checkLook } from './look';
import { checkReading } from './reading';

/** The entry was made by a model that this server does not have yet. */
export class NewerModel extends Error {
  constructor() {
    super('made by a newer model');
  }
}

/** A look, a judgement or a swing on a mat names shots that its student's log does not have. */
export class NoSuchShots extends Error {
  /** @param field that names them */
  constructor(readonly field = 'shotIds') {
    super('no such shots');
  }
}

const numbersOf = (version: string): number[] => version.split('.').map(Number);

/** Whether a version comes after another (Semantic Versioning 2.0.0, section 11). */
export function isNewer(version: string, than: string): boolean {
  const [a, b] = [numbersOf(version), numbersOf(than)];
  const at = a.findIndex((number, place) => number !== b[place]);
  return at >= 0 && a[at]! > b[at]!;
}

/** The addresses that shots were hit from: each shot names its own, swings on a mat that of their lesson and club. */
async function stoodOnFor(
  client: ClientBase,
  { studentId, madeAt }: LogEntry,
  shots: readonly LogEntry[],
): Promise<LogEntry[]> {
  if (shots.length === 0) return [];
  const named = shots.flatMap((each) => (each.kind === 'shots' ? [each.addressId] : []));
  const lessons = shots.flatMap((each) => (each.kind === 'pressure' ? [each.lessonId] : []));
  const { rows } = await client.query<{ id: string }>(
    `select entry.id from log_entry as entry join address_entry using (academy_id, id)
     where entry.academy_id = current_academy() and entry.student_id = $1
       and (entry.id = any($2) or entry.lesson_id = any($3) and address_entry.standing = 'today' and entry.made_at <= $4)`,
    [studentId, named, lessons, madeAt],
  );
  return entriesOf(
    client,
    studentId,
    rows.map(({ id }) => id),
  );
}

/** Null where something that it names is not there: the entry's own references refuse it. */
async function readingChecked(
  client: ClientBase,
  entry: ReadingEntry & LogEntry,
): Promise<EntryCheck | null> {
  // The shots a judgement rests on come in the same question as the address it judges.
  const shotIds = [...new Set(entry.judgement?.shotIds)];
  const intakeId = entry.judgement?.intakeId ?? null;
  const ids = [entry.addressId, ...(intakeId ? [intakeId] : []), ...shotIds];
  const named = await entriesOf(client, entry.studentId, ids);
  // A swing on a mat whose path a monitor told is a shot too.
  const shots = named.filter(({ kind }) => kind === 'shots' || kind === 'pressure');
  if (shots.length !== shotIds.length) throw new NoSuchShots();
  const address = named.find(({ id, kind }) => id === entry.addressId && kind === 'address');
  const intake = named.find(({ id, kind }) => id === intakeId && kind === 'intake') ?? null;
  const build = await findBuild(client, entry.buildId);
  const screen = entry.screenId ? await findScreen(client, entry.studentId, entry.screenId) : null;
  const method = await findVersion(client, entry.methodId, entry.methodVersion);
  if (!address || !build || !method) return null;
  const path = pathShotsOf([...shots, ...(await stoodOnFor(client, entry, shots))], entry.studentId, true);
  return checkReading(entry, {
    path,
    address: address as AddressEntry & LogEntry,
    build,
    screen,
    method,
    intake: intake as IntakeEntry | null,
  });
}

/** Null where its trial is not there: the entry's own reference refuses it. */
async function lookChecked(client: ClientBase, entry: LookEntry & LogEntry): Promise<EntryCheck | null> {
  const named = entry.shotIds ?? [];
  const found = await entriesOf(client, entry.studentId, [entry.trialId, ...named]);
  const trial = found.find(({ id, kind }) => id === entry.trialId && kind === 'trial');
  const shots = found.filter((each) => each.kind === 'shots' && each.trialId === entry.trialId);
  if (shots.length !== new Set(named).size) throw new NoSuchShots();
  return trial ? checkLook(entry, trial as TrialEntry & LogEntry, shots) : null;
}

/** What working an entry out again comes to; null where it is of no such kind, or names something that is not there. */
async function checkOfEntry(client: ClientBase, entry: LogEntry): Promise<EntryCheck | null> {
  if (entry.kind === 'reading') return readingChecked(client, entry);
  return entry.kind === 'look' ? lookChecked(client, entry) : null;
}

/** @throws NoSuchShots where a swing on a mat names a shot that its student's log does not have */
async function swingsNameShots(client: ClientBase, entry: Logged<PressureEntry>): Promise<void> {
  const named = entry.swings.flatMap(({ shot }) => shot ?? []);
  if (named.length === 0) return;
  const ids = [...new Set(named.map(({ entryId }) => entryId))];
  const found = await entriesOf(client, entry.studentId, ids);
  const hit = new Map(found.map((each) => [each.id, each.kind === 'shots' ? each.shots.length : 0]));
  if (named.some(({ entryId, at }) => at >= (hit.get(entryId) ?? 0))) throw new NoSuchShots('swings');
}

/**
 * Adds an entry to the log, and beside a reading or a look what came of working it out again. What the
 * coach's device told is kept as it is, whatever comes of that.
 * @throws NewerModel, NoSuchShots, NoSuchLesson, and what `writeEntry` throws
 */
export async function addCheckedEntry(
  client: ClientBase,
  entry: NewEntry,
  writer: Writer,
): Promise<LogEntry> {
  const made = entry.kind === 'reading' || entry.kind === 'look' ? entry.modelVersion : null;
  if (made && isNewer(made, MODEL_VERSION)) throw new NewerModel();
  const logged = await loggedEntry(client, entry, writer);
  if (logged.kind === 'pressure') await swingsNameShots(client, logged);
  const check = await checkOfEntry(client, logged);
  const beside: TableRows[] = check ? [['entry_check', [checkRow(writer.academyId, logged.id, check)]]] : [];
  await writeEntry(client, logged, writer, beside);
  return check ? { ...logged, check } : logged;
}
