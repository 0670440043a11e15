import type { SwingTrace } from '@pedastance/core/balance';
import type { ClubId, ShotType } from '@pedastance/core/club';
import { useMemo } from 'react';
import { View } from 'react-native';
import { useStore } from 'zustand';
import { joined, parted, shotsOfLesson } from '../../../domain/pressureShots';
import { lesson } from '../../../state/lesson';
import { replaceSwings } from '../../../state/pressure';
import { useRecords } from '../../../state/records';
import { Button } from '../../../ui/Button';
import { Quiet } from '../../../ui/Words';
import { useLessonContext } from '../context';
import { messages } from './PressureStep.messages';

interface JoinShotsProps {
  swings: readonly SwingTrace[];
  club: ClubId;
  shot: ShotType;
}

/** The shots of today's lesson with the swings of a recording: as many of the one as of the other are the same, in order. */
export function JoinShots({ swings, club, shot: played }: JoinShotsProps) {
  const { student } = useLessonContext();
  const lessonId = useStore(lesson, (state) => state.draft?.id ?? '');
  const entries = useRecords((state) => state.entries);
  const shots = useMemo(
    () => shotsOfLesson(Object.values(entries), { studentId: student.id, lessonId, club, shot: played }),
    [entries, student.id, lessonId, club, played],
  );
  if (swings.some(({ shot }) => shot))
    return (
      <View className="flex-row flex-wrap items-center gap-2">
        <Quiet>{messages.pathsOfShots}</Quiet>
        <Button look="quiet" words={messages.otherSwings} onPress={() => replaceSwings(parted(swings))} />
      </View>
    );
  if (shots.every(({ path }) => path === undefined)) return null;
  if (shots.length !== swings.length) return <Quiet>{messages.notAsMany(shots.length, swings.length)}</Quiet>;
  return (
    <View className="flex-row">
      <Button
        look="plain"
        words={messages.takePaths(shots.length)}
        onPress={() => replaceSwings(joined(swings, shots))}
      />
    </View>
  );
}
