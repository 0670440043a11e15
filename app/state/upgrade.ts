import type { ChangeEntry, LogEntry, NewEntry } from '@pedastance/contract';
import type { Screen } from '@pedastance/core/body';
import type { Finding } from '@pedastance/core/reading';
import type { IDBPTransaction, StoreNames } from 'idb';
import type { Schema } from './schema';
import type { LessonDraft } from '../domain/lessonDraft';
import type { Letter } from './letter';
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
export function wholeEntry<Entry extends NewEntry | LogEntry>(entry: Entry): Entry {
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
export const wholeScreen = <Taken extends Screen>(screen: Taken): Taken => ({
  ...screen,
  items: screen.items.map((item) => ({ ...item, uncertainty: item.uncertainty ?? null })),
});

/** What a lesson in progress said of its feet and its load before each figure did. */
interface EarlierDraft {
  feetPlaced?: boolean;
  balanceNoted?: boolean;
}

/** Today's setup of a lesson in progress, measured in what the coach had placed or noted. */
function wholeSetup(setup: Setup, { feetPlaced = false, balanceNoted = false }: EarlierDraft): Setup {
  if ((setup as Partial<Setup>).measured) return setup;
  const whole = upgradedSetup(setup);
  const names = [...(feetPlaced ? FEET_FIGURES : []), ...(balanceNoted ? LOAD_FIGURES : [])];
  return { ...whole, measured: Object.fromEntries(names.map((name) => [name, whole.measured[name]])) };
}

/** A lesson in progress of any earlier shape in today's. */
function wholeDraft({ feetPlaced, balanceNoted, ...draft }: LessonDraft & EarlierDraft): LessonDraft {
  return {
    ...draft,
    begun: draft.begun ?? draft.recorded.length > 0,
    shoulderGoal: draft.shoulderGoal ?? LIFTED_NOTHING.shoulderGoal,
    screen: draft.screen && wholeScreen(draft.screen),
    setup: draft.setup && wholeSetup(draft.setup, { feetPlaced, balanceNoted }),
    agreed: draft.agreed && upgradedSetup(draft.agreed),
  };
}

/** A letter of any earlier shape in today's. */
function wholeLetter({ studentId, ...letter }: Letter & { studentId?: string }): Letter {
  const { writing } = letter;
  const subjectId = letter.subjectId ?? studentId;
  if (writing.route === 'screen') {
    return { ...letter, subjectId, writing: { route: 'screen', body: wholeScreen(writing.body) } };
  }
  if (writing.route !== 'entry') return { ...letter, subjectId };
  return { ...letter, subjectId, writing: { route: 'entry', body: wholeEntry(writing.body) } };
}

/** Brings what a device kept in an earlier shape to today's; nothing is lost. */
export async function bringUp(
  transaction: IDBPTransaction<Schema, StoreNames<Schema>[], 'versionchange'>,
): Promise<void> {
  for (let at = await transaction.objectStore('outbox').openCursor(); at; at = await at.continue()) {
    await at.update(wholeLetter(at.value));
  }
  for (let at = await transaction.objectStore('entries').openCursor(); at; at = await at.continue()) {
    await at.update({ ...at.value, value: wholeEntry(at.value.value) });
  }
  for (let at = await transaction.objectStore('screens').openCursor(); at; at = await at.continue()) {
    await at.update({ ...at.value, value: wholeScreen(at.value.value) });
  }
  for (let at = await transaction.objectStore('drafts').openCursor(); at; at = await at.continue()) {
    await at.update({ ...at.value, value: wholeDraft(at.value.value) });
  }
}
