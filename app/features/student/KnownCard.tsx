import type { Student } from '@pedastance/contract';
import { useMemo } from 'react';
import { View } from 'react-native';
import { MeasureAgain } from '../../cards/MeasureAgain';
import { ownShots } from '@pedastance/contract/ownShots';
import { day } from '../../domain/students';
import { newestScreen, useRecords } from '../../state/records';
import { Body, Heading } from '../../ui/Words';
import { messages } from './KnownCard.messages';

/** What is known of a student besides the log, each with its day: legs and trunk, and shots. */
export function KnownCard({ student }: { student: Student }) {
  const screen = useRecords((state) => newestScreen(state.screens, student.id));
  const entries = useRecords((state) => state.entries);
  const { shots, simulated } = useMemo(
    () => ownShots(Object.values(entries), student.id),
    [entries, student.id],
  );
  const hit = shots.reduce((sum, { shots: each }) => sum + each.length, 0);
  const last = shots.at(-1)?.madeAt;
  const carried = screen?.items.filter(({ takenAt }) => takenAt !== null) ?? [];
  const oldest = carried.map(({ takenAt }) => takenAt!).sort()[0];
  const since = oldest ? messages.ofItsTestsCarriedOver(carried.length, day(oldest)) : '';
  const turns = (screen?.earlierTurns.length ?? 0) + (screen?.turnedOn ? 1 : 0);
  const measured = turns > 0 ? messages.turnsMeasured(turns) : '';
  return (
    <View className="gap-1" testID="known-card">
      <Heading>{messages.knownSoFar}</Heading>
      <MeasureAgain student={student} />
      <Body>
        {screen
          ? messages.legsAndTrunkTested(day(screen.madeAt), since, measured)
          : messages.legsAndTrunkNotTested}
      </Body>
      <Body>
        {last
          ? messages.shotsTheLast(
              hit,
              simulated ? ' simulated, none of their own' : ' of their own',
              day(last),
            )
          : messages.shotsNoneYet}
      </Body>
    </View>
  );
}
