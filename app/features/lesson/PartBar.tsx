import { Pressable, Text, View } from 'react-native';
import { useStore } from 'zustand';
import { placeOf, PLACES, type Step } from '../../domain/lessonDraft';
import { lesson, openStep } from '../../state/lesson';
import { common } from '../../domain/common.messages';
import { messages } from './PartBar.messages';

const NAMES: Partial<Record<Step, string>> = {
  who: messages.cameFor,
  legs: common.legsAndTrunk,
  ladder: messages.fieldTests,
  feet: messages.plan,
  tape: messages.tape,
  photo: messages.photo,
  quickLook: messages.quickLook,
  body: messages.body,
  pressure: messages.pressure,
  keep: messages.record,
  try: messages.tryIt,
};

/** The parts of the open place in a row; a place of one part needs none. */
export function PartBar() {
  const current = useStore(lesson, (state) => state.draft?.step ?? 'who');
  const place = placeOf(current);
  const parts = (PLACES[place] as readonly Step[]).filter((step) => NAMES[step]);
  if (parts.length < 2 || current === 'club') return null;
  return (
    <View
      role="tablist"
      aria-label={messages.partsOfThisPlace}
      className="flex-row flex-wrap border-b border-grid"
    >
      {parts.map((step) => {
        const chosen = step === current;
        return (
          <Pressable
            key={step}
            role="tab"
            aria-selected={chosen}
            onPress={() => openStep(step)}
            className={`min-h-[48px] flex-auto items-center justify-center border-b-4 px-1 ${chosen ? 'border-lagoon' : 'border-transparent'}`}
          >
            <Text className={`font-text text-base text-ink ${chosen ? 'font-semibold' : ''}`}>
              {NAMES[step]}
            </Text>
          </Pressable>
        );
      })}
    </View>
  );
}
