import type { ReactNode } from 'react';
import { ScrollView, View } from 'react-native';
import { useStore } from 'zustand';
import { lesson } from '../../state/lesson';
import { Button } from '../../ui/Button';
import { useWide } from '../../ui/layout';
import { LessonPlan } from './LessonPlan';
import { messages } from './WorkPlace.messages';

/** How much of a phone the plan takes: most of it, a strip that a tap makes large, or nothing. */
type PlanRoom = 'large' | 'small' | 'strip' | 'none';

interface WorkPlaceProps {
  label: string;
  /** What scrolls: figures, findings, words. */
  children: ReactNode;
  /** What stays under the thumb. */
  desk?: ReactNode;
  plan?: PlanRoom;
}

const HEIGHT: Partial<Record<PlanRoom, string>> = {
  large: 'h-[52%] min-h-[230px]',
  small: 'h-[29%] min-h-[215px]',
};

/** The plan above the work on a phone; where words come first, one tap brings it and one takes it away. */
function PlanAbove({ room }: { room: PlanRoom }) {
  const large = useStore(lesson, (state) => state.planLarge);
  const shown = room === 'strip' ? (large ? 'large' : 'none') : room;
  return (
    <>
      {HEIGHT[shown] && (
        <View className={`border-b border-ink ${HEIGHT[shown]}`}>
          <LessonPlan />
        </View>
      )}
      {room === 'strip' && (
        <View className="flex-row justify-end border-b border-grid">
          <Button
            look="quiet"
            words={large ? messages.lessPlan : messages.plan}
            label={large ? messages.makeThePlanSmall : messages.showThePlan}
            onPress={() => lesson.setState({ planLarge: !large })}
          />
        </View>
      )}
    </>
  );
}

/**
 * A step's place. On a phone the plan stands above the work as far as it is wanted and the desk stays at the bottom;
 * on a wide screen the plan has a side of its own and this is the other.
 */
export function WorkPlace({ label, children, desk, plan = 'none' }: WorkPlaceProps) {
  const wide = useWide();
  return (
    <View className="flex-1">
      {!wide && <PlanAbove room={plan} />}
      <ScrollView className="flex-1" contentContainerClassName="p-3 gap-2" tabIndex={0} aria-label={label}>
        {children}
      </ScrollView>
      {desk}
    </View>
  );
}
