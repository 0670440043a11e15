import { startingSetup } from '@pedastance/core/method';
import { withFigure, type FeetFigure, type Setup } from '@pedastance/core/setup';
import { useEffect, useMemo } from 'react';
import { useStore } from 'zustand';
import { lesson, tryOn } from '../../../state/lesson';
import { useLessonContext } from '../context';

/** A middle iron, where no club was chosen yet, inches. */
const SOME_CLUB_INCHES = 37;

/** The feet that a ladder begins from: as they stand today, or plainly before they were looked at. */
export function useFeet(): Setup {
  const { build } = useLessonContext();
  const today = useStore(lesson, (state) => state.draft?.setup ?? null);
  return useMemo(() => today ?? startingSetup(build.figures, SOME_CLUB_INCHES), [today, build]);
}

/** Shows feet to stand in on the lesson's plan, with today's behind them, while they are stood in. */
export function useSetupOnPlan(setup: Setup | null): void {
  const today = useStore(lesson, (state) => state.draft?.setup ?? null);
  useEffect(() => {
    if (!today || !setup) return;
    tryOn({ setup, other: today });
    return () => tryOn(null);
  }, [today, setup]);
}

/** Shows the rung to stand on in the lesson's plan. */
export function useRungOnPlan(figure: FeetFigure, rung: number): void {
  const feet = useFeet();
  useSetupOnPlan(useMemo(() => withFigure(feet, figure, rung), [feet, figure, rung]));
}
