import type { ClubId } from '@pedastance/core/club';
import { finishHeld } from '@pedastance/core/ladder';
import { View } from 'react-native';
import { noteTry } from '../../../state/ladder';
import { Button } from '../../../ui/Button';
import { Quiet } from '../../../ui/Words';
import { messages } from './FieldTests.messages';
import { TestFrame, useTries } from './TestFrame';

const words = messages.finish;
const percent = (share: number): string => `${Math.round(100 * share)}%`;

/** Whether the finish holds: a swing at a time, one tap each. */
export function FinishRunner({ club }: { club: ClubId }) {
  const tries = useTries('finish');
  const told = finishHeld(tries);
  return (
    <TestFrame
      test="finish"
      purpose={words.purpose}
      how={words.how}
      more={told && <Quiet>{words.doubt(percent(told.low), percent(told.high))}</Quiet>}
      contents={{ test: 'finish', club, tries: [...tries] }}
    >
      <View className="flex-row flex-wrap gap-2">
        <Button words={words.held} onPress={() => noteTry('finish', { held: true })} />
        <Button look="plain" words={words.fell} onPress={() => noteTry('finish', { held: false })} />
      </View>
    </TestFrame>
  );
}
