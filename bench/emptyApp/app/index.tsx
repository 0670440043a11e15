import { Text, View } from 'react-native';
import { create } from 'zustand';

const useCount = create(() => ({ count: 0 }));

/** The same stack with nothing in it: what the first load is measured against. */
export default function Empty() {
  const count = useCount((state) => state.count);
  return (
    <View className="flex-1">
      <Text>{count}</Text>
    </View>
  );
}
