import { View } from 'react-native';
import { Body } from './Words';

export const Waiting = ({ words = 'One moment …' }: { words?: string }) => (
  <View className="flex-1 items-center justify-center bg-paper p-6">
    <Body>{words}</Body>
  </View>
);
