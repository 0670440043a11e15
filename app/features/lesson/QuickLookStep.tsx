import { capitalised } from '@pedastance/core/phrases';
import { EYE_LOOKS, isSeen, QUICK_LOOK, setupAsSeen, type EyeLook } from '@pedastance/core/setup';
import { ScrollView, View } from 'react-native';
import { useStore } from 'zustand';
import { spoken } from '../../domain/sentences';
import { lesson, openStep } from '../../state/lesson';
import { standAs } from '../../state/tape';
import { useSpeech } from '../../state/useSpeech';
import { Button } from '../../ui/Button';
import { Chips } from '../../ui/Chips';
import { Body, Quiet } from '../../ui/Words';
import { useLessonContext } from './context';
import { NeedsClub } from './NeedsClub';
import { common } from '../../domain/common.messages';
import { messages } from './QuickLookStep.messages';

/** What is asked of each look. */
const ASKED: Record<EyeLook, string> = {
  width: messages.width,
  'lead foot': messages.leadFoot,
  'trail foot': messages.trailFoot,
  line: messages.lineThroughTheToes,
  ball: messages.ball,
  'heel to toe': messages.weightHeelToToe,
  'side to side': messages.weightSideToSide,
};

function LookRow({ look }: { look: EyeLook }) {
  const { student, build } = useLessonContext();
  const speech = useSpeech(student.hand);
  const setup = useStore(lesson, (state) => state.draft!.setup!);
  const { value } = build.figures.shoulderBreadth;
  const asked = spoken(ASKED[look], speech);
  return (
    <View className="gap-1 border-b border-grid py-2" testID={`look-${look.replaceAll(' ', '-')}`}>
      <Body className="font-semibold">{asked}</Body>
      <Chips
        label={asked}
        chips={QUICK_LOOK[look].map((answer) => ({
          words: capitalised(spoken(answer.words, speech)),
          chosen: isSeen(setup, answer, value),
          onPress: () => standAs(setupAsSeen(lesson.getState().draft!.setup!, answer, value)),
        }))}
      />
    </View>
  );
}

/** What an eye can tell in a quarter of a minute: enough for a first judgement. */
export function QuickLookStep() {
  return (
    <NeedsClub>
      <View className="flex-1">
        <ScrollView
          className="flex-1"
          contentContainerClassName="gap-1 p-3"
          tabIndex={0}
          aria-label={messages.aQuickLook}
        >
          <Quiet>{messages.tapWhatYouSeeLeave}</Quiet>
          {EYE_LOOKS.map((look) => (
            <LookRow key={look} look={look} />
          ))}
        </ScrollView>
        <View className="border-t border-grid p-3">
          <Button words={common.read} label={messages.readWhatWasSeen} onPress={() => openStep('read')} />
        </View>
      </View>
    </NeedsClub>
  );
}
