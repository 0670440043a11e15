import type { LogEntry, Logged, TestEntry, TestName, TestOf } from '@pedastance/contract';
import { standingOf } from './standing';

/** What was tried of each test in a lesson, in time. */
export type TestTries = { readonly [Name in TestName]?: TestOf<Name>['tries'] };

/** Of each test the newest of a student that stands in the log, and with one club where it is of a club. */
export function newestTest<Name extends TestName>(
  entries: readonly LogEntry[],
  studentId: string,
  { test, club, notOf }: { test: Name; club: string | null; notOf?: string | undefined },
): Logged<TestOf<Name>> | null {
  const all = standingOf(entries, 'test', studentId) as Logged<TestEntry>[];
  const found = all.findLast(
    (each) =>
      each.test === test &&
      each.lessonId !== notOf &&
      (club === null || !('club' in each) || each.club === club),
  );
  return (found ?? null) as Logged<TestOf<Name>> | null;
}
