import type { Speech } from '@pedastance/core/phrases';
import { useMemo } from 'react';
import { View } from 'react-native';
import { laddersIn } from '../../domain/ladders';
import { keptFound } from '../../domain/ladderWords';
import { day } from '../../domain/students';
import { useRecords } from '../../state/records';
import { Body, Heading, Quiet } from '../../ui/Words';
import { messages } from './LadderCard.messages';

/** As many of the newest are told: what changed since the one before is seen. */
const MOST_TOLD = 4;

/** What ladders found of this student, newest first. */
export function LadderCard({ studentId, speech }: { studentId: string; speech: Speech }) {
  const entries = useRecords((state) => state.entries);
  const told = useMemo(() => {
    const kept = laddersIn(Object.values(entries), studentId);
    return kept.flatMap((entry) => {
      const found = keptFound(entry, kept, speech);
      return found ? [{ entry, found }] : [];
    });
  }, [entries, studentId, speech]);
  if (told.length === 0) return null;
  return (
    <View className="gap-1" testID="ladder-card">
      <Heading>{messages.ladders}</Heading>
      {told.slice(0, MOST_TOLD).map(({ entry, found }) => (
        <View
          key={entry.id}
          className="flex-row flex-wrap items-baseline justify-between gap-x-3 border-b border-grid py-1"
        >
          <Quiet>{messages.line(found.name, day(entry.madeAt))}</Quiet>
          <Body className="figures">{found.words}</Body>
        </View>
      ))}
    </View>
  );
}
