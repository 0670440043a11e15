import { useEffect, useRef } from 'react';
import { Pressable, ScrollView, Text, View } from 'react-native';
import { useStore } from 'zustand';
import { lesson, openStep } from '../../state/lesson';
import { STEPS, type LessonDraft, type Step } from '../../domain/lessonDraft';
import { FEET_FIGURES, LOAD_FIGURES } from '@pedastance/core/setup';

const DONE: Partial<Record<Step, (draft: LessonDraft) => boolean>> = {
  club: (draft) => draft.club !== null,
  feet: ({ setup }) => setup !== null && FEET_FIGURES.every((name) => setup.measured[name]),
  balance: ({ setup }) => setup !== null && LOAD_FIGURES.every((name) => setup.measured[name]),
  change: (draft) => draft.agreed !== null,
};

const doneSteps = (draft: LessonDraft | null): string =>
  STEPS.filter((step) => draft && DONE[step]?.(draft)).join(' ');

/** The steps of a lesson, always in view and in order; any can be opened at any time. */
export function StepBar() {
  const current = useStore(lesson, (state) => state.draft?.step);
  const done = useStore(lesson, (state) => doneSteps(state.draft)).split(' ');
  const bar = useRef<ScrollView>(null);
  useEffect(() => {
    const node = bar.current as unknown as HTMLElement | null;
    node?.querySelector('[aria-selected="true"]')?.scrollIntoView({ inline: 'center', block: 'nearest' });
  }, [current]);
  return (
    <View className="border-y border-ink">
      <ScrollView
        ref={bar}
        horizontal
        showsHorizontalScrollIndicator={false}
        contentContainerClassName="min-w-full"
      >
        <View role="tablist" aria-label="Steps of the lesson" className="grow flex-row">
          {STEPS.map((step) => {
            const chosen = step === current;
            return (
              <Pressable
                key={step}
                role="tab"
                aria-selected={chosen}
                onPress={() => openStep(step)}
                className={`h-12 min-w-[44px] grow flex-row items-center justify-center px-0.5 ${chosen ? 'bg-ink' : ''}`}
              >
                <Text className={`font-text text-[14px] ${chosen ? 'font-semibold text-paper' : 'text-ink'}`}>
                  {step}
                </Text>
                {done.includes(step) && (
                  <Text
                    aria-label="done"
                    className={`font-text text-base ${chosen ? 'text-paper' : 'text-lagoon'}`}
                  >
                    {'•'}
                  </Text>
                )}
              </Pressable>
            );
          })}
        </View>
      </ScrollView>
    </View>
  );
}
