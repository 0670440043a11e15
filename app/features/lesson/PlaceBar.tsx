import { notMeasured, PLACED_FIGURES } from '@pedastance/core/setup';
import { Pressable, Text, View } from 'react-native';
import { useStore } from 'zustand';
import { hasChange, PLACE_NAMES, placeOf, type LessonDraft, type Place } from '../../domain/lessonDraft';
import { lesson, openPlace } from '../../state/lesson';
import { useWide } from '../../ui/layout';
import { useLessonContext } from './context';
import { useJudgement } from './useJudgement';
import { messages } from './PlaceBar.messages';

const measuredWords = ({ setup }: LessonDraft): string =>
  setup
    ? messages.measured(PLACED_FIGURES.length - notMeasured(setup).length, PLACED_FIGURES.length)
    : messages.noClubYet;

function useThings(): string {
  const judgement = useJudgement();
  if (!judgement) return '';
  const { things, before, waits, lookNext } = judgement;
  if (things.length > 0) return messages.things(things.length);
  const [first] = before;
  if (first) return messages.before[first];
  // Nothing is called fine that was not looked at, or that nothing explains.
  return waits.length === 0 && lookNext === null ? messages.fine : messages.notYet;
}

/** How far each place is, in a word or two. */
function useStates(): Record<Place, string> {
  const { legs } = useLessonContext();
  const address = useStore(lesson, ({ draft }) => (draft ? measuredWords(draft) : ''));
  const inUse = useStore(lesson, ({ draft }) => draft !== null && hasChange(draft));
  const recorded = useStore(lesson, ({ draft }) => draft?.recorded.length ?? 0);
  return {
    student: legs ? messages.done : messages.legsNotTested,
    address,
    read: useThings(),
    change: inUse ? messages.inUse : '',
    keep: recorded > 0 ? messages.done : '',
  };
}

/** Marks along an edge, every fifth one long: the bar is a ruler. */
function Marks({ upright }: { upright: boolean }) {
  return (
    <View
      aria-hidden
      className={upright ? 'absolute bottom-0 right-0 top-0 justify-between' : 'flex-row justify-between'}
    >
      {Array.from({ length: 26 }, (_mark, at) => {
        const long = at % 5 === 0;
        const size = upright ? `h-px ${long ? 'w-3' : 'w-1.5'} self-end` : `w-px ${long ? 'h-2.5' : 'h-1.5'}`;
        return <View key={at} className={`bg-ink ${size}`} />;
      })}
    </View>
  );
}

/** The five places of a lesson, always all in view, each with how far it is; any can be opened at any time. */
export function PlaceBar() {
  const wide = useWide();
  const current = useStore(lesson, (state) => placeOf(state.draft?.step ?? 'who'));
  const states = useStates();
  return (
    <View className={wide ? 'w-[112px] border-r border-ink' : 'border-t border-ink bg-paper'}>
      <Marks upright={wide} />
      <View role="tablist" aria-label={messages.placesOfTheLesson} className={wide ? 'flex-1' : 'flex-row'}>
        {PLACE_NAMES.map((place) => {
          const chosen = place === current;
          return (
            <Pressable
              key={place}
              role="tab"
              aria-selected={chosen}
              onPress={() => openPlace(place)}
              className={`justify-center ${wide ? 'min-h-[72px] flex-1 pl-3 pr-4' : 'min-h-[52px] flex-1 items-center px-0.5'} ${chosen ? 'bg-ink' : ''}`}
            >
              <Text
                className={`font-text text-[15px] font-semibold leading-5 ${chosen ? 'text-paper' : 'text-ink'}`}
              >
                {messages.names[place]}
              </Text>
              <Text
                numberOfLines={1}
                className={`font-text text-[13px] leading-4 ${chosen ? 'text-paper' : 'text-pencil'}`}
              >
                {states[place] === '' ? '\u00a0' : states[place]}
              </Text>
            </Pressable>
          );
        })}
      </View>
    </View>
  );
}
