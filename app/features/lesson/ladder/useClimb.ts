import type { LadderTurn } from '@pedastance/core/ladder';
import { useMemo } from 'react';
import { useStore } from 'zustand';
import { climbOf, laddersIn, type Climb } from '../../../domain/ladders';
import { lesson } from '../../../state/lesson';
import { useRecords } from '../../../state/records';
import { useLessonContext } from '../context';

const NONE: readonly LadderTurn[] = [];

/** A ladder of the open lesson with what was kept of it before. */
export function useClimb(key: string): Climb & { turns: readonly LadderTurn[] } {
  const { student } = useLessonContext();
  const lessonId = useStore(lesson, (state) => state.draft?.id ?? '');
  const turns = useStore(lesson, (state) => state.draft?.ladders?.[key] ?? NONE);
  const entries = useRecords((state) => state.entries);
  return useMemo(() => {
    const kept = laddersIn(Object.values(entries), student.id);
    return { turns, ...climbOf(kept, { key, lessonId, turns }, new Date()) };
  }, [entries, student.id, key, lessonId, turns]);
}
