import { clubAndShot } from '@pedastance/core/club';
import type { Student } from '@pedastance/contract';
import type { Speech } from '@pedastance/core/phrases';
import { bandsFor, ownFlareDifference, withEveryQuestion } from '@pedastance/core/method';
import { turningBody, goalOf, type TurningBody } from '@pedastance/core/turn';
import { useMemo } from 'react';
import { View } from 'react-native';
import { newestScreen, useRecords } from '../../state/records';
import { Body, Heading, Quiet } from '../../ui/Words';
import { useBudgets } from '../../cards/turning';
import { WhereItStops } from '../../cards/WhereItStops';
import { day } from '../../domain/students';
import { lastShoulderGoal, type LogRecord } from '@pedastance/contract/records';
import { messages } from './TurnCard.messages';

interface TurnCardProps {
  student: Student;
  /** The student's records, newest first. */
  records: readonly LogRecord[];
  speech: Speech;
}

/** By how much the method a record was read with has the trail foot further out; 0 while it is not on this device. */
function useOwnDifferenceIn(record: LogRecord | null, student: Student, legs: TurningBody | null): number {
  const methods = useRecords((state) => state.methods);
  return useMemo(() => {
    const method = methods.find(
      ({ id, version }) => id === record?.reading.methodId && version === record.reading.methodVersion,
    );
    if (!record || !method || !student.build) return 0;
    const { club, shot, clubLengthInches } = record.address;
    const body = { build: student.build.figures, legs };
    return ownFlareDifference(bandsFor(withEveryQuestion(method), body, { club, shot, clubLengthInches }));
  }, [methods, record, student.build, legs]);
}

/** What stops this student's turn on the feet last recorded, and what would free it. */
export function TurnCard({ student, records, speech }: TurnCardProps) {
  const screen = useRecords((state) => newestScreen(state.screens, student.id));
  const shoulders = useRecords((state) => lastShoulderGoal(Object.values(state.entries), student.id));
  // A pitch holds the turn short on purpose.
  const newest = records.find(({ address }) => address.shot === 'full') ?? null;
  const body = useMemo(() => screen && turningBody(screen, student.hand), [screen, student.hand]);
  const goal = useMemo(() => goalOf(shoulders), [shoulders]);
  const feet = newest && (newest.agreed ?? newest.address);
  const ownDifference = useOwnDifferenceIn(newest, student, body);
  const turning = useBudgets(
    body,
    feet && feet.setup,
    newest?.change?.leadHeelLift ?? 0,
    goal,
    ownDifference,
  );
  return (
    <View className="gap-1" testID="turn-card">
      <Heading>{messages.theTurn}</Heading>
      {!screen && <Body>{messages.legsAndTrunk}</Body>}
      {screen && !feet && <Body>{messages.legsTestedRecordAFull}</Body>}
      {turning && feet && (
        <>
          <WhereItStops turning={turning} student={student} speech={speech} />
          <Quiet>
            {messages.onTheFeet(
              newest.agreed ? 'agreed' : 'recorded',
              clubAndShot(feet.club, feet.shot),
              day(newest.reading.madeAt),
            )}
          </Quiet>
        </>
      )}
    </View>
  );
}
