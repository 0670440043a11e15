import { STICK_PLACES } from '@pedastance/core/balance';
import { View } from 'react-native';
import { noteTry } from '../../../state/ladder';
import { Button } from '../../../ui/Button';
import { messages } from './FieldTests.messages';
import { TestFrame, useTries } from './TestFrame';

const words = messages.broomstick;

/** A broomstick under the shoes: where it is felt, one tap each time. */
export function BroomstickRunner() {
  const tries = useTries('broomstick');
  return (
    <TestFrame
      test="broomstick"
      purpose={words.purpose}
      how={words.how}
      contents={{ test: 'broomstick', tries: [...tries] }}
    >
      <View className="flex-row flex-wrap gap-2">
        {STICK_PLACES.map((felt) => (
          <Button
            key={felt}
            look="plain"
            words={words[felt]}
            onPress={() => noteTry('broomstick', { felt })}
          />
        ))}
      </View>
    </TestFrame>
  );
}
