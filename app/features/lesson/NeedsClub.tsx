import type { ReactNode } from 'react';
import { View } from 'react-native';
import { useStore } from 'zustand';
import { lesson, openStep } from '../../state/lesson';
import { Button } from '../../ui/Button';
import { Body } from '../../ui/Words';

/** Everything below depends on the club; without one the step says so. */
export function NeedsClub({ children }: { children: ReactNode }) {
  const chosen = useStore(lesson, (state) => state.draft?.club != null && state.draft.setup !== null);
  if (chosen) return <>{children}</>;
  return (
    <View className="flex-1 justify-center gap-3 p-6">
      <Body>Width, flare, ball and balance all go by the club. Choose it first.</Body>
      <Button words="Choose a club" onPress={() => openStep('club')} />
    </View>
  );
}
