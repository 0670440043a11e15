import { View } from 'react-native';
import { Body, Heading } from '../../ui/Words';

/** The wide screen's right side before anybody is picked. */
export function NobodyChosen() {
  return (
    <View role="main" className="flex-1 items-center justify-center bg-paper p-10">
      <View className="max-w-md gap-2">
        <Heading>Pick a student to begin.</Heading>
        <Body>
          Their log opens here: what was found, what was changed, and any old address on the plan again. A
          lesson starts from there.
        </Body>
      </View>
    </View>
  );
}
