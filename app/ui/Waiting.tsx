import { View } from 'react-native';
import { Body } from './Words';
import { messages } from './Waiting.messages';

export const Waiting = ({ words = messages.oneMoment }: { words?: string }) => (
  <View className="flex-1 items-center justify-center bg-paper p-6">
    <Body>{words}</Body>
  </View>
);
