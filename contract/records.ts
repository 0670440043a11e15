import type { AddressEntry, ChangeEntry, LogEntry, Logged, ReadingEntry } from './lessons';
import { sameClubAndShot, type ClubAndShot } from '@pedastance/core/club';
import { USUAL_GOAL } from '@pedastance/core/turn';

/** One look at a student: the address, what was read in it, and the change that came of it. */
export interface LogRecord {
  reading: Logged<ReadingEntry>;
  address: Logged<AddressEntry>;
  change: Logged<ChangeEntry> | null;
  agreed: Logged<AddressEntry> | null;
  /** How often the change's words were corrected. */
  corrections: number;
}

/** The newest of a change and its corrections: the one that no other replaces. */
function standing(changes: readonly Logged<ChangeEntry>[]): Logged<ChangeEntry> | null {
  const replaced = new Set(changes.map((change) => change.replaces));
  const left = changes.filter((change) => !replaced.has(change.id));
  return left.sort((a, b) => b.madeAt.localeCompare(a.madeAt))[0] ?? null;
}

/** A student's log as records, newest first. Entries whose parts have not all come yet wait. */
export function recordsOf(entries: readonly LogEntry[], studentId: string): LogRecord[] {
  const own = entries.filter((entry) => entry.studentId === studentId);
  const byId = new Map(own.map((entry) => [entry.id, entry]));
  const address = (id: string | undefined) => {
    const entry = id === undefined ? undefined : byId.get(id);
    return entry?.kind === 'address' ? (entry as Logged<AddressEntry>) : null;
  };
  const changes = own.filter((entry): entry is Logged<ChangeEntry> => entry.kind === 'change');
  return own
    .filter((entry): entry is Logged<ReadingEntry> => entry.kind === 'reading')
    .flatMap((reading) => {
      const found = address(reading.addressId);
      if (!found) return [];
      const own = changes.filter((change) => change.readingId === reading.id);
      const change = standing(own);
      return [
        {
          reading,
          address: found,
          change,
          agreed: address(change?.toAddressId),
          corrections: own.filter((each) => each.replaces).length,
        },
      ];
    })
    .sort((a, b) => b.reading.madeAt.localeCompare(a.reading.madeAt));
}

/** A student's records with one club and shot. */
export const ofShot = (records: readonly LogRecord[], played: ClubAndShot): LogRecord[] =>
  records.filter(({ address }) => sameClubAndShot(address, played));

/** Whether a record's judgement had something to do, whatever came of it. */
export const hadThingsToDo = ({ reading }: Pick<LogRecord, 'reading'>): boolean =>
  (reading.judgement?.things.length ?? 0) > 0;

/** The turn of the shoulders that was last agreed on with a student, else the usual one, degrees. */
export function lastShoulderGoal(entries: readonly LogEntry[], studentId: string): number {
  const changed = recordsOf(entries, studentId).find(({ change }) => change !== null);
  return changed?.change?.shoulderGoal ?? USUAL_GOAL.shoulders;
}

/** Whether all of a record has reached the server. */
export const landed = ({ reading, address, change, agreed }: LogRecord): boolean =>
  [reading, address, change, agreed].every((entry) => entry === null || entry.receivedAt !== '');
