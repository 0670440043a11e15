import { useStore } from 'zustand';
import { useMemo } from 'react';
import { turningBody, USUAL_GOAL, goalOf, type TurningBody, type Goal } from '@pedastance/core/turn';
import { useLessonContext } from './context';
import { lesson } from '../../state/lesson';

/** What this student brings to a turn; null before the legs have been screened. */
export function useTurningBody(): TurningBody | null {
  const { screen } = useLessonContext();
  return useMemo(() => screen && turningBody(screen), [screen]);
}

/** How far the lead heel may come up in this lesson, mm. */
export const useLeadHeelLift = (): number => useStore(lesson, (state) => state.draft?.leadHeelLift ?? 0);

/** The turn this lesson works toward. */
export function useGoal(): Goal {
  const shoulders = useStore(lesson, (state) => state.draft?.shoulderGoal ?? USUAL_GOAL.shoulders);
  return useMemo(() => goalOf(shoulders), [shoulders]);
}
