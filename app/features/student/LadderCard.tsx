import type { Logged, TestEntry } from '@pedastance/contract';
import { clubAndShot, clubById, firstOfEachClubAndShot, type ClubId } from '@pedastance/core/club';
import { patternSentence, type Speech } from '@pedastance/core/phrases';
import { useMemo } from 'react';
import { View } from 'react-native';
import { entryFound, testName } from '../../domain/fieldTestWords';
import { laddersIn } from '../../domain/ladders';
import { messages as pressure } from '../../domain/pressureWords.messages';
import { spoken } from '../../domain/sentences';
import { standingOf } from '@pedastance/contract/standing';
import { keptFound } from '../../domain/ladderWords';
import { day } from '../../domain/students';
import { useRecords } from '../../state/records';
import { Body, Heading, Quiet } from '../../ui/Words';
import { messages } from './LadderCard.messages';

/** As many of the newest are told: what changed since the one before is seen. */
const MOST_TOLD = 4;

const clubIn = (entry: TestEntry): ClubId | null => ('club' in entry ? entry.club : null);
const sameTest = (a: TestEntry, b: TestEntry): boolean => a.test === b.test && clubIn(a) === clubIn(b);

const testNameOf = (entry: TestEntry): string => {
  const club = clubIn(entry);
  return club ? `${testName(entry.test)}, ${clubById(club).name}` : testName(entry.test);
};

function Line({ name, words }: { name: string; words: string }) {
  return (
    <View className="flex-row flex-wrap items-baseline justify-between gap-x-3 border-b border-grid py-1">
      <Quiet>{name}</Quiet>
      <Body className="figures">{words}</Body>
    </View>
  );
}

/** What ladders and tests found of this student, newest first; of each test the newest, with each club. */
export function LadderCard({ studentId, speech }: { studentId: string; speech: Speech }) {
  const entries = useRecords((state) => state.entries);
  const told = useMemo(() => {
    const kept = laddersIn(Object.values(entries), studentId);
    return kept.flatMap((entry) => {
      const found = keptFound(entry, kept, speech);
      return found ? [{ entry, found }] : [];
    });
  }, [entries, studentId, speech]);
  const tests = useMemo(
    () =>
      (standingOf(Object.values(entries), 'test', studentId) as Logged<TestEntry>[])
        .reverse()
        .filter((each, at, all) => all.findIndex((other) => sameTest(other, each)) === at),
    [entries, studentId],
  );
  const pressures = useMemo(
    () =>
      firstOfEachClubAndShot(
        standingOf(Object.values(entries), 'pressure', studentId).reverse(),
        (kept) => kept,
      ),
    [entries, studentId],
  );
  if (told.length + tests.length + pressures.length === 0) return null;
  return (
    <View className="gap-1" testID="ladder-card">
      <Heading>{messages.ladders}</Heading>
      {told.slice(0, MOST_TOLD).map(({ entry, found }) => (
        <Line key={entry.id} name={messages.line(found.name, day(entry.madeAt))} words={found.words} />
      ))}
      {tests.map((entry) => (
        <Line
          key={entry.id}
          name={messages.line(testNameOf(entry), day(entry.madeAt))}
          words={entryFound(entry, speech)}
        />
      ))}
      {pressures.map(({ id, club, shot, pattern, cue, swings, madeAt }) => (
        <Line
          key={id}
          name={messages.line(`${pressure.name}, ${clubAndShot(club, shot)}`, day(madeAt))}
          words={
            pattern ? spoken(`${patternSentence(pattern)} ${cue}`, speech) : pressure.kept(swings.length)
          }
        />
      ))}
    </View>
  );
}
