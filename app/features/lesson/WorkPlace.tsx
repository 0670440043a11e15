import type { ReactNode } from 'react';
import { ScrollView, View } from 'react-native';
import { useWide } from '../../ui/layout';
import { LessonPlan } from './LessonPlan';

interface WorkPlaceProps {
  label: string;
  /** What scrolls: figures, findings, words. */
  children: ReactNode;
  /** What stays under the thumb. */
  desk?: ReactNode;
  /** On a phone, where the plan is shown above the work. */
  withPlan?: boolean;
  /** On a phone, where the work needs more room than the plan. */
  smallPlan?: boolean;
}

/**
 * A step's place. On a phone the plan stands above the figures and the desk stays at the bottom;
 * on a wide screen the plan has a side of its own and this is the other.
 */
export function WorkPlace({ label, children, desk, withPlan = true, smallPlan = false }: WorkPlaceProps) {
  const wide = useWide();
  return (
    <View className="flex-1">
      {withPlan && !wide && (
        <View
          className={`border-b border-ink ${smallPlan ? 'h-[29%] min-h-[215px]' : 'h-[52%] min-h-[300px]'}`}
        >
          <LessonPlan />
        </View>
      )}
      <ScrollView className="flex-1" contentContainerClassName="p-3 gap-2" tabIndex={0} aria-label={label}>
        {children}
      </ScrollView>
      {desk}
    </View>
  );
}
