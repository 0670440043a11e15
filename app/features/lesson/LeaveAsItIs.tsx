import { PINNABLE, type PinnedFigure } from '@pedastance/core/advice';
import { capitalised, inFootWords, type Speech } from '@pedastance/core/phrases';
import { useState } from 'react';
import { View } from 'react-native';
import { useStore } from 'zustand';
import { changeDraft, lesson } from '../../state/lesson';
import { Button } from '../../ui/Button';
import { PickSeveral } from '../../ui/PickSeveral';
import { messages } from './LeaveAsItIs.messages';

export const MOVE_NAMES: Record<PinnedFigure, string> = {
  stanceWidth: 'width',
  leadFlare: 'lead foot',
  trailFlare: 'trail foot',
  setback: 'stance line',
  ballAlong: 'ball',
  leadShare: 'weight',
  hipBump: 'hips',
  leadHeelLift: 'lead heel',
};

/** What the coach wants left as it is: folded until it is wanted, in view while anything is. */
export function LeaveAsItIs({ speech }: { speech: Speech }) {
  const pinned = useStore(lesson, (state) => state.draft!.pinned);
  const [open, setOpen] = useState(pinned.length > 0);
  const toggle = (move: PinnedFigure) =>
    changeDraft({
      pinned: pinned.includes(move) ? pinned.filter((each) => each !== move) : [...pinned, move],
    });
  return (
    <View className="gap-2">
      <View className="flex-row">
        <Button
          look="quiet"
          words={open ? messages.foldWhatIsLeft : messages.leaveSomething}
          onPress={() => setOpen(!open)}
        />
      </View>
      {open && (
        <PickSeveral
          label={messages.leaveAs}
          options={PINNABLE.map((move) => ({
            value: move,
            words: capitalised(inFootWords(MOVE_NAMES[move], speech.feet, speech.hand)),
          }))}
          chosen={pinned}
          onToggle={toggle}
        />
      )}
    </View>
  );
}
