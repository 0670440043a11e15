import type { ClubId } from '@pedastance/core/club';
import { finishHeld } from '@pedastance/core/ladder';
import { View } from 'react-native';
import { noteTry } from '../../../state/ladder';
import { Button } from '../../../ui/Button';
import { Quiet } from '../../../ui/Words';
import { messages } from './FieldTests.messages';
import { TestFrame, useTries } from './TestFrame';

const percent = (share: number): string => `${Math.round(100 * share)}%`;

/** Whether the finish holds, or the trail foot lifts: a swing at a time, one tap each. */
export function FinishRunner({ test, club }: { test: 'finish' | 'lift'; club: ClubId }) {
  const words = messages[test];
  const tries = useTries(test);
  const told = finishHeld(tries);
  return (
    <TestFrame
      test={test}
      purpose={words.purpose}
      how={words.how}
      more={told && <Quiet>{messages.finish.doubt(percent(told.low), percent(told.high))}</Quiet>}
      contents={{ test, club, tries: [...tries] }}
    >
      <View className="flex-row flex-wrap gap-2">
        <Button words={words.held} onPress={() => noteTry(test, { held: true })} />
        <Button look="plain" words={words.fell} onPress={() => noteTry(test, { held: false })} />
      </View>
    </TestFrame>
  );
}
