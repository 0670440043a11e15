import type { ExceptionEntry, LogEntry, Logged } from '@pedastance/contract';
import { isKind } from '@pedastance/contract/trialLog';
import type { ClubId } from '@pedastance/core/club';

/** A student's exceptions that stand, oldest first: those that nothing replaced and nobody ended. */
export function standingExceptions(
  entries: readonly LogEntry[],
  studentId: string,
): Logged<ExceptionEntry>[] {
  const own = entries.filter(isKind('exception')).filter((entry) => entry.studentId === studentId);
  const replaced = new Set(own.map(({ replaces }) => replaces));
  return (own as Logged<ExceptionEntry>[])
    .filter(({ id, ended }) => !ended && !replaced.has(id))
    .sort((a, b) => a.madeAt.localeCompare(b.madeAt));
}

/** Of them those that hold with a club: its own go before those for all clubs. */
export function exceptionsWith(
  standing: readonly Logged<ExceptionEntry>[],
  club: ClubId,
): Logged<ExceptionEntry>[] {
  const holding = standing.filter((each) => each.club === null || each.club === club);
  return holding.filter(
    (each) =>
      each ===
      (holding.findLast(({ item, club: of }) => item === each.item && of === club) ??
        holding.findLast(({ item }) => item === each.item)),
  );
}
