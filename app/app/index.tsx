import { Text, View } from 'react-native';

export default function Home() {
  return (
    <View className="flex-1 bg-paper">
      <Text className="text-ink">Home</Text>
    </View>
  );
}
