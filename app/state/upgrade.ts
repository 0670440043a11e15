import type { LogEntry, NewEntry } from '@pedastance/contract';
import type { Finding } from '@pedastance/core/reading';
import type { IDBPTransaction, StoreNames } from 'idb';
import type { Schema } from './database';
import type { Letter } from './letter';

/** What a finding says of itself that it did not before the whole body was read: nothing. */
const SAID_NOTHING: Pick<Finding, 'untested' | 'weight' | 'because' | 'withheld'> = {
  untested: false,
  weight: { out: 0, turn: 0, path: 0, total: 0 },
  because: null,
  withheld: null,
};

/** An entry made before the whole body was read, in today's shape. */
export function wholeEntry<Entry extends NewEntry | LogEntry>(entry: Entry): Entry {
  if (entry.kind !== 'reading') return entry;
  const findings = entry.findings.map((finding) => ({ ...SAID_NOTHING, ...finding }));
  return { ...entry, screenId: entry.screenId ?? null, choices: entry.choices ?? [], findings };
}

/** A letter written before letters could be of a method, in today's shape. */
function wholeLetter({ studentId, ...letter }: Letter & { studentId?: string }): Letter {
  const { writing } = letter;
  const subjectId = letter.subjectId ?? studentId;
  if (writing.route !== 'entry') return { ...letter, subjectId };
  return { ...letter, subjectId, writing: { route: 'entry', body: wholeEntry(writing.body) } };
}

/** Brings what a device kept before the whole body was read to today's shape; nothing is lost. */
export async function addWholeRead(
  transaction: IDBPTransaction<Schema, StoreNames<Schema>[], 'versionchange'>,
): Promise<void> {
  for (let at = await transaction.objectStore('outbox').openCursor(); at; at = await at.continue()) {
    await at.update(wholeLetter(at.value));
  }
  for (let at = await transaction.objectStore('entries').openCursor(); at; at = await at.continue()) {
    await at.update({ ...at.value, value: wholeEntry(at.value.value) });
  }
}
