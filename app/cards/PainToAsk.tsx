import { painToAsk, type Student } from '@pedastance/contract';
import { router } from 'expo-router';
import { View } from 'react-native';
import { day } from '../domain/students';
import { answerPain } from '../state/writes/painAnswer';
import { Button } from '../ui/Button';
import { Notice } from '../ui/Notice';
import { Body } from '../ui/Words';
import { messages } from './PainToAsk.messages';

/** That a student ticked at home that it hurts, until the coach says that they asked. */
export function PainToAsk({ student }: { student: Student }) {
  const tick = painToAsk(student.pain);
  if (!tick) return null;
  const note = async () => {
    await answerPain(student, tick.tickId, 'noted');
    router.push(`/students/${student.id}/edit`);
  };
  return (
    <View testID="pain-to-ask">
      <Notice kind="trouble">
        <Body className="font-semibold">{messages.ask(day(tick.on))}</Body>
        <View className="flex-row flex-wrap gap-2">
          <Button look="plain" words={messages.noted} onPress={() => void note()} />
          <Button
            look="quiet"
            words={messages.nothing}
            onPress={() => void answerPain(student, tick.tickId, 'nothing')}
          />
        </View>
      </Notice>
    </View>
  );
}
