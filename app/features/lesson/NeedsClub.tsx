import type { ReactNode } from 'react';
import { View } from 'react-native';
import { useStore } from 'zustand';
import { lesson, openStep } from '../../state/lesson';
import { Button } from '../../ui/Button';
import { Body } from '../../ui/Words';
import { messages } from './NeedsClub.messages';

/** Everything below depends on the club; without one the step says so. */
export function NeedsClub({ children }: { children: ReactNode }) {
  const chosen = useStore(lesson, (state) => state.draft?.club != null && state.draft.setup !== null);
  if (chosen) return <>{children}</>;
  return (
    <View className="flex-1 justify-center gap-3 p-6">
      <Body>{messages.widthFlareBallAndBalance}</Body>
      <Button words={messages.chooseAClub} onPress={() => openStep('club')} />
    </View>
  );
}
