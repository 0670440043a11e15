import type { AddressEntry, LogEntry, Logged } from './lessons';
import { isKind } from './trialLog';

type Kind = LogEntry['kind'];
type EntryOf<Name extends Kind> = Extract<LogEntry, { kind: Name }>;

/** A student's entries of one kind that nothing replaced, oldest first. */
export function standingOf<Name extends Kind>(
  entries: readonly LogEntry[],
  kind: Name,
  studentId: string,
): Logged<EntryOf<Name>>[] {
  const own = entries.filter(isKind(kind)).filter((entry) => entry.studentId === studentId) as Logged<
    EntryOf<Name>
  >[];
  const replaced = new Set(own.map(({ replaces }) => replaces));
  return own.filter(({ id }) => !replaced.has(id)).sort((a, b) => a.madeAt.localeCompare(b.madeAt));
}

/** The addresses of a log, by their identifiers. */
export const addressesIn = (entries: readonly LogEntry[]): Map<string, Logged<AddressEntry>> =>
  new Map(entries.filter(isKind('address')).map((entry) => [entry.id, entry]));
