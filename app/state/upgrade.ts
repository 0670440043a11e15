import type { ChangeEntry, LogEntry, NewEntry } from '@pedastance/contract';
import type { Screen } from '@pedastance/core/body';
import type { Finding } from '@pedastance/core/reading';
import type { IDBPTransaction, StoreNames } from 'idb';
import type { Schema } from './schema';
import type { LessonDraft } from '../domain/lessonDraft';
import type { QueuedWrite } from './queuedWrite';
import {
  type ChangeName,
  upgradedSetup,
  type Setup,
  FEET_FIGURES,
  LOAD_FIGURES,
} from '@pedastance/core/setup';

/** What a finding says of itself that it did not before the whole body was read: nothing. */
const SAID_NOTHING: Pick<Finding, 'untested' | 'weight' | 'because' | 'withheld'> = {
  untested: false,
  weight: { out: 0, turn: 0, path: 0, total: 0 },
  because: null,
  withheld: null,
};

/** What a change lifted and aimed at before either was kept: nothing, and the usual turn. */
const LIFTED_NOTHING: Pick<ChangeEntry, 'leadHeelLift' | 'shoulderGoal'> = {
  leadHeelLift: 0,
  shoulderGoal: 90,
};

/** What a change was called before the lead toe's distance had a name of its own. */
const renamedChange = (change: string): ChangeName =>
  (change === 'ballOut' ? 'leadToeOut' : change) as ChangeName;

/** An entry of any earlier shape in today's. */
export function upgradedEntry<Entry extends NewEntry | LogEntry>(entry: Entry): Entry {
  if (entry.kind === 'address') return { ...entry, setup: upgradedSetup(entry.setup) };
  if (entry.kind === 'trial' && entry.apart) {
    return { ...entry, apart: { ...entry.apart, changes: entry.apart.changes.map(renamedChange) } };
  }
  if (entry.kind === 'change') return { ...LIFTED_NOTHING, ...entry };
  if (entry.kind !== 'reading') return entry;
  const findings = entry.findings.map((finding) => ({ ...SAID_NOTHING, ...finding }));
  return { ...entry, screenId: entry.screenId ?? null, choices: entry.choices ?? [], findings };
}

/** A screen from before the way of taking an angle told how sure it was, in today's shape. */
export const upgradedScreen = <Taken extends Screen>(screen: Taken): Taken => ({
  ...screen,
  items: screen.items.map((item) => ({ ...item, uncertainty: item.uncertainty ?? null })),
});

/** What a lesson in progress said of its feet and its load before each figure did. */
interface EarlierDraft {
  feetPlaced?: boolean;
  balanceNoted?: boolean;
}

/** Today's setup of a lesson in progress, measured in what the coach had placed or noted. */
function upgradedDraftSetup(setup: Setup, { feetPlaced = false, balanceNoted = false }: EarlierDraft): Setup {
  if ((setup as Partial<Setup>).measured) return setup;
  const whole = upgradedSetup(setup);
  const names = [...(feetPlaced ? FEET_FIGURES : []), ...(balanceNoted ? LOAD_FIGURES : [])];
  return { ...whole, measured: Object.fromEntries(names.map((name) => [name, whole.measured[name]])) };
}

/** A lesson in progress of any earlier shape in today's. */
function upgradedDraft({ feetPlaced, balanceNoted, ...draft }: LessonDraft & EarlierDraft): LessonDraft {
  return {
    ...draft,
    begun: draft.begun ?? draft.recorded.length > 0,
    shoulderGoal: draft.shoulderGoal ?? LIFTED_NOTHING.shoulderGoal,
    screen: draft.screen && upgradedScreen(draft.screen),
    setup: draft.setup && upgradedDraftSetup(draft.setup, { feetPlaced, balanceNoted }),
    agreed: draft.agreed && upgradedSetup(draft.agreed),
  };
}

/** A queued write of any earlier shape in today's. */
function upgradedWrite({ studentId, ...queued }: QueuedWrite & { studentId?: string }): QueuedWrite {
  const { writing } = queued;
  const subjectId = queued.subjectId ?? studentId;
  if (writing.route === 'screen') {
    return { ...queued, subjectId, writing: { route: 'screen', body: upgradedScreen(writing.body) } };
  }
  if (writing.route !== 'entry') return { ...queued, subjectId };
  return { ...queued, subjectId, writing: { route: 'entry', body: upgradedEntry(writing.body) } };
}

/** Brings what a device kept in an earlier shape to today's; nothing is lost. */
export async function upgradeDevice(
  transaction: IDBPTransaction<Schema, StoreNames<Schema>[], 'versionchange'>,
): Promise<void> {
  for (let at = await transaction.objectStore('outbox').openCursor(); at; at = await at.continue()) {
    await at.update(upgradedWrite(at.value));
  }
  for (let at = await transaction.objectStore('entries').openCursor(); at; at = await at.continue()) {
    await at.update({ ...at.value, value: upgradedEntry(at.value.value) });
  }
  for (let at = await transaction.objectStore('screens').openCursor(); at; at = await at.continue()) {
    await at.update({ ...at.value, value: upgradedScreen(at.value.value) });
  }
  for (let at = await transaction.objectStore('drafts').openCursor(); at; at = await at.continue()) {
    await at.update({ ...at.value, value: upgradedDraft(at.value.value) });
  }
}
