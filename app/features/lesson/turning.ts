import { answerFor, bandsFor, ownFlareDifference } from '@pedastance/core/method';
import { USUAL_GOAL, goalOf, type TurningBody, type Goal } from '@pedastance/core/turn';
import { useMemo } from 'react';
import { useStore } from 'zustand';
import { lesson } from '../../state/lesson';
import { useLessonContext } from './context';

/** What this student brings to a turn; null before the legs have been screened. */
export const useTurningBody = (): TurningBody | null => useLessonContext().legs;

/** How far the lead heel is agreed to come up in this lesson's change, mm; 0 where the change leaves it. */
export const useLeadHeelLift = (): number => useStore(lesson, (state) => state.draft?.leadHeelLift ?? 0);

/**
 * How far the lead heel comes up on the feet that are shown, mm: on today's feet as was agreed and recorded with this club, on
 * agreed ones as the change has it where it speaks of it.
 */
export function useLiftOnFeet(): number {
  const { own } = useLessonContext();
  const inChange = useStore(lesson, ({ draft, standing }) =>
    standing === 'agreed' ? (draft?.leadHeelLift ?? 0) : 0,
  );
  return inChange > 0 ? inChange : (own.agreed.find(({ item }) => item === 'leadHeelLift')?.to ?? 0);
}

/** By how much the lesson's method itself has the trail foot further out with this club, degrees. */
export function useOwnDifference(): number {
  const { build, legs, method } = useLessonContext();
  const club = useStore(lesson, (state) => state.draft?.club ?? null);
  const shot = useStore(lesson, (state) => state.draft?.shot ?? 'full');
  const clubLengthInches = useStore(lesson, (state) => state.draft?.clubLengthInches ?? 0);
  return useMemo(
    () =>
      club
        ? ownFlareDifference(
            bandsFor(method, { build: build.figures, legs }, { club, shot, clubLengthInches }),
          )
        : 0,
    [build, legs, method, club, shot, clubLengthInches],
  );
}

/** Where along the shoes the method's plumb line from the shoulders meets them, with this club; null where it has none. */
export function usePlumbPlace(): number | null {
  const { method } = useLessonContext();
  const club = useStore(lesson, (state) => state.draft?.club ?? null);
  const shot = useStore(lesson, (state) => state.draft?.shot ?? 'full');
  return useMemo(() => {
    const rule = club && answerFor(method, 'stanceWidth', club, shot).rule;
    return rule && rule.kind === 'shoulders by club length' ? (rule.place ?? null) : null;
  }, [method, club, shot]);
}

/** The turn this lesson works toward. */
export function useGoal(): Goal {
  const shoulders = useStore(lesson, (state) => state.draft?.shoulderGoal ?? USUAL_GOAL.shoulders);
  return useMemo(() => goalOf(shoulders), [shoulders]);
}
