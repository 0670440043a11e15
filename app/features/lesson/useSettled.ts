import type { Setup } from '@pedastance/core/setup';
import { useState } from 'react';
import { useStore } from 'zustand';
import { lesson } from '../../state/lesson';

type Lesson = ReturnType<typeof lesson.getState>;

/** A setup of the lesson as it is when no shoe is under the finger: words follow the feet when they are let go. */
export function useSettled(select: (state: Lesson) => Setup | null): Setup | null {
  const held = useStore(lesson, (state) => (state.dragging ? undefined : select(state)));
  const [settled, setSettled] = useState<Setup | null>(held ?? null);
  // Set while rendering, not in an effect after it: words wait for one drawing of the screen, not for two.
  if (held !== undefined && held !== settled) setSettled(held);
  return held !== undefined ? held : settled;
}
