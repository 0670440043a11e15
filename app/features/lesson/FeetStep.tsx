import { View } from 'react-native';
import { openStep } from '../../state/lesson';
import { prefer, usePreferences } from '../../state/preferences';
import { Button } from '../../ui/Button';
import { useJudge, useLessonContext } from './context';
import { Desk } from './Desk';
import { FeetRows, LoadRows } from './MeasureRows';
import { NeedsClub } from './NeedsClub';
import { TurnPanel } from './TurnPanel';
import { WorkPlace } from './WorkPlace';
import { useSpeech } from '../../state/useSpeech';

/** Whose eyes the plan is seen through. */
function ViewButton() {
  const viewpoint = usePreferences((state) => state.viewpoint);
  const other = viewpoint === 'coach' ? 'student' : 'coach';
  return (
    <Button
      look="plain"
      words={viewpoint === 'coach' ? 'Seen by coach' : 'Seen by student'}
      label={`The plan is seen by the ${viewpoint}; show it as the ${other} sees it`}
      onPress={() => prefer({ viewpoint: other })}
    />
  );
}

export function FeetStep() {
  const { student } = useLessonContext();
  const speech = useSpeech(student.hand);
  const judge = useJudge();
  return (
    <NeedsClub>
      <WorkPlace
        label="Figures of the feet"
        desk={
          <Desk loads={false} speech={speech}>
            <Button
              look="desk"
              words="Balance"
              label="On to the balance"
              onPress={() => openStep('balance')}
            />
          </Desk>
        }
      >
        <FeetRows speech={speech} judge={judge} />
        <TurnPanel speech={speech} />
        <View className="flex-row justify-end">
          <ViewButton />
        </View>
      </WorkPlace>
    </NeedsClub>
  );
}

export function BalanceStep() {
  const { student } = useLessonContext();
  const speech = useSpeech(student.hand);
  const judge = useJudge();
  return (
    <NeedsClub>
      <WorkPlace
        label="Figures of the balance"
        desk={
          <Desk loads speech={speech}>
            <Button look="desk" words="Body" label="On to the body" onPress={() => openStep('body')} />
          </Desk>
        }
      >
        <LoadRows speech={speech} judge={judge} />
      </WorkPlace>
    </NeedsClub>
  );
}
