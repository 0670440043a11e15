import type { Setup } from '@pedastance/core/setup';
import { useEffect, useState } from 'react';
import { useStore } from 'zustand';
import { lesson } from '../../state/lesson';

type Lesson = ReturnType<typeof lesson.getState>;

/** A setup of the lesson as it is when no shoe is under the finger: words follow the feet when they are let go. */
export function useSettled(select: (state: Lesson) => Setup | null): Setup | null {
  const held = useStore(lesson, (state) => (state.dragging ? undefined : select(state)));
  const [settled, setSettled] = useState<Setup | null>(held ?? null);
  useEffect(() => {
    if (held !== undefined) setSettled(held);
  }, [held]);
  return settled;
}
