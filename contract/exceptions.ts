import type { ExceptionEntry, LogEntry, Logged } from './lessons';
import type { ClubId } from '@pedastance/core/club';
import { standingOf } from './standing';

/** A student's exceptions that stand, oldest first: those that nothing replaced and nobody ended. */
export function standingExceptions(
  entries: readonly LogEntry[],
  studentId: string,
): Logged<ExceptionEntry>[] {
  return standingOf(entries, 'exception', studentId).filter(({ ended }) => !ended);
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
