import { View } from 'react-native';
import { useStore } from 'zustand';
import { lesson, openStep } from '../../state/lesson';
import { prefer, usePreferences } from '../../state/preferences';
import { Button } from '../../ui/Button';
import { useJudge, useLessonContext } from './context';
import { Desk } from './Desk';
import { FeetRows, LoadRows } from './MeasureRows';
import { NeedsClub } from './NeedsClub';
import { TurnPanel } from './TurnPanel';
import { WorkPlace } from './WorkPlace';
import { useSpeech } from '../../state/useSpeech';
import { common } from '../../domain/common.messages';
import { messages } from './FeetStep.messages';

/** Whose eyes the plan is seen through. */
function ViewButton() {
  const viewpoint = usePreferences((state) => state.viewpoint);
  const other = viewpoint === 'coach' ? 'student' : 'coach';
  return (
    <Button
      look="plain"
      words={viewpoint === 'coach' ? messages.seenByCoach : messages.seenByStudent}
      label={messages.thePlanIsSeen(viewpoint, other)}
      onPress={() => prefer({ viewpoint: other })}
    />
  );
}

/** Feet, ball and load on the plan: dragged there, stepped to or typed, with every figure live. */
export function FeetStep() {
  const { student } = useLessonContext();
  const speech = useSpeech(student.hand);
  const judge = useJudge();
  const loads = useStore(lesson, (state) => state.deskFor === 'load');
  return (
    <NeedsClub>
      <WorkPlace
        label={messages.figuresOfFeetAndLoad}
        plan="large"
        desk={
          <Desk loads={loads} speech={speech}>
            <Button
              look="desk"
              words={common.read}
              label={messages.onToTheRead}
              onPress={() => openStep('read')}
            />
          </Desk>
        }
      >
        <FeetRows speech={speech} judge={judge} atDesk={!loads} />
        <LoadRows speech={speech} judge={judge} atDesk={loads} />
        <TurnPanel speech={speech} />
        <View className="flex-row justify-end">
          <ViewButton />
        </View>
      </WorkPlace>
    </NeedsClub>
  );
}
