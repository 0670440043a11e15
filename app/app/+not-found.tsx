import { Link } from 'expo-router';
import { View } from 'react-native';
import { Body, Title } from '../ui/Words';

export default function NotFound() {
  return (
    <View role="main" className="flex-1 items-center justify-center gap-3 bg-paper p-6">
      <Title>Nothing is here.</Title>
      <Body>This address opens no screen.</Body>
      <Link href="/students" className="min-h-[48px] py-3">
        <Body tone="lagoon" className="font-semibold underline">
          To the students
        </Body>
      </Link>
    </View>
  );
}
