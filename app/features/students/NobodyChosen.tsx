import { View } from 'react-native';
import { Body, Heading } from '../../ui/Words';
import { messages } from './NobodyChosen.messages';

/** The wide screen's right side before anybody is picked. */
export function NobodyChosen() {
  return (
    <View role="main" className="flex-1 items-center justify-center bg-paper p-10">
      <View className="max-w-md gap-2">
        <Heading>{messages.pickAStudentToBegin}</Heading>
        <Body>{messages.theirLogOpensHereWhat}</Body>
      </View>
    </View>
  );
}
