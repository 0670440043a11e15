import type { LogEntry, Logged, TestEntry, TestName, TestOf } from '@pedastance/contract';
import type { ClubId } from '@pedastance/core/club';
import { standingOf } from '@pedastance/contract/standing';

/** What was tried of each test in a lesson, in time, by the test and the club it was tried with. */
export type TestTries = Readonly<Record<string, readonly object[]>>;

/** Tests that no club is held for. */
const OF_NO_CLUB: readonly TestName[] = ['settled', 'broomstick'];

/** What the tries of a test lie under. */
export const triesKey = (test: TestName, club: ClubId | null): string =>
  OF_NO_CLUB.includes(test) ? test : `${test}, ${club}`;

/** One try of a test. */
export type TryOf<Name extends TestName> = TestOf<Name>['tries'][number];

const NO_TRIES: readonly never[] = [];

/** What was tried of a test in a lesson with its club. */
export const triesIn = <Name extends TestName>(
  tests: TestTries | undefined,
  test: Name,
  club: ClubId | null,
): readonly TryOf<Name>[] => (tests?.[triesKey(test, club)] ?? NO_TRIES) as readonly TryOf<Name>[];

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
