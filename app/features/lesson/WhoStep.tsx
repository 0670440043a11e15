import { Link } from 'expo-router';
import { ScrollView, View } from 'react-native';
import { openStep } from '../../state/lesson';
import { Button } from '../../ui/Button';
import { Body, Heading } from '../../ui/Words';
import { inShort } from '../../domain/students';
import { useLessonContext } from './context';
import { BuildTable, Cautions } from '../../cards/StudentFacts';

export function WhoStep() {
  const { student } = useLessonContext();
  return (
    <View className="flex-1">
      <ScrollView className="flex-1" contentContainerClassName="gap-4 p-4" tabIndex={0} aria-label="Who">
        <View>
          <Heading>{student.name}</Heading>
          <Body>{inShort(student, new Date())}</Body>
        </View>
        <Cautions student={student} />
        <View className="gap-1">
          <Heading>Build</Heading>
          <BuildTable student={student} />
          <Link href={`/students/${student.id}/edit`} className="min-h-[48px] py-3">
            <Body tone="lagoon" className="font-semibold underline">
              Take the build again
            </Body>
          </Link>
        </View>
      </ScrollView>
      <View className="border-t border-grid p-3">
        <Button words="On to the legs" onPress={() => openStep('legs')} />
      </View>
    </View>
  );
}
