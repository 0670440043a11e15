import { Slot } from 'expo-router';
import { View } from 'react-native';
import { useWide } from '../../ui/layout';
import { StudentList } from './StudentList';

/** On a wide screen the list stays beside what is opened from it. */
export function StudentsFrame() {
  const wide = useWide();
  return (
    <View className="flex-1 flex-row">
      {wide && (
        <View className="w-[360px] border-r border-grid">
          <StudentList />
        </View>
      )}
      <View className="flex-1">
        <Slot />
      </View>
    </View>
  );
}
