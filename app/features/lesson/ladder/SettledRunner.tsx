import { settledMiddle } from '@pedastance/core/ladder';
import { capitalised } from '@pedastance/core/phrases';
import { alongFoot } from '@pedastance/core/setup';
import { View } from 'react-native';
import { noteTry } from '../../../state/ladder';
import { Button } from '../../../ui/Button';
import { messages } from './FieldTests.messages';
import { TestFrame, useTries } from './TestFrame';

const words = messages.settled;
/** Places that an eye tells apart, percent from the heel. */
const PLACES = [20, 35, 50, 65, 80] as const;

/** Where the weight comes to rest, a settling at a time, one tap each. */
export function SettledRunner() {
  const tries = useTries('settled');
  const told = settledMiddle(tries.map(({ along }) => along));
  const band = told && {
    item: 'heelToe' as const,
    low: Math.round(told.low),
    high: Math.round(told.high),
    club: null,
  };
  return (
    <TestFrame
      test="settled"
      purpose={words.purpose}
      how={words.how}
      contents={{ test: 'settled', tries: [...tries] }}
      bands={band ? [band] : []}
    >
      <View className="flex-row flex-wrap gap-2">
        {PLACES.map((along) => (
          <Button
            key={along}
            look="plain"
            words={capitalised(alongFoot(along))}
            onPress={() => noteTry('settled', { along })}
          />
        ))}
      </View>
    </TestFrame>
  );
}
