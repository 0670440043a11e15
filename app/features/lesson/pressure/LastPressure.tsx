import { PRESSURE_REMEDIES } from '@pedastance/core/balance';
import type { ClubId, ShotType } from '@pedastance/core/club';
import { patternSentence } from '@pedastance/core/phrases';
import { useMemo } from 'react';
import { View } from 'react-native';
import { lastPressure } from '../../../domain/pressure';
import { messages as patternWords } from '../../../domain/pressureWords.messages';
import { spoken } from '../../../domain/sentences';
import { day } from '../../../domain/students';
import { useRecords } from '../../../state/records';
import { useSpeech } from '../../../state/useSpeech';
import { Quiet } from '../../../ui/Words';
import { useLessonContext } from '../context';
import { messages } from './PressureStep.messages';

/** What the last swings on a mat with this club showed, and what to look at today for it. */
export function LastPressure({ club, shot }: { club: ClubId; shot: ShotType }) {
  const { student } = useLessonContext();
  const speech = useSpeech(student.hand);
  const entries = useRecords((state) => state.entries);
  const last = useMemo(
    () => lastPressure(Object.values(entries), student.id, { club, shot }),
    [entries, student.id, club, shot],
  );
  if (!last) return null;
  const { pattern, madeAt, swings } = last;
  const found = pattern ? patternSentence(pattern) : patternWords.kept(swings.length);
  return (
    <View testID="last-pressure">
      <Quiet>{messages.last(day(madeAt), spoken(found, speech))}</Quiet>
      {pattern && <Quiet>{messages.look(spoken(PRESSURE_REMEDIES[pattern].check, speech))}</Quiet>}
    </View>
  );
}
