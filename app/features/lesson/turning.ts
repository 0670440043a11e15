import { measureAddress, type Setup } from '@pedastance/core/ground';
import { turningBody } from '@pedastance/core/screen';
import {
  turnBudget,
  USUAL_GOAL,
  type TurnBudget,
  type TurningBody,
  type TurningFeet,
} from '@pedastance/core/turn';
import { useMemo } from 'react';
import { useStore } from 'zustand';
import { lesson } from '../../state/lesson';
import { useLessonContext } from './context';

export const feetOf = ({ address }: Setup, leadHeelLift: number): TurningFeet => {
  const { leadFlare, trailFlare } = measureAddress(address);
  return { flare: { lead: leadFlare, trail: trailFlare }, leadHeelLift };
};

/** What this student brings to a turn; null before the legs have been screened. */
export function useTurningBody(): TurningBody | null {
  const { screen } = useLessonContext();
  return useMemo(() => screen && turningBody(screen), [screen]);
}

/** How far the lead heel may come up in this lesson, mm. */
export const useLeadHeelLift = (): number => useStore(lesson, (state) => state.draft?.leadHeelLift ?? 0);

export interface Budgets {
  leadHeelLift: number;
  back: TurnBudget;
  through: TurnBudget;
}

const kept = new WeakMap<TurningBody, WeakMap<Setup, Budgets>>();

/** Both ways of turning on these feet, worked out once for each body, setup and lift. */
export function budgetsOf(body: TurningBody, setup: Setup, leadHeelLift: number): Budgets {
  const ofBody = kept.get(body) ?? new WeakMap<Setup, Budgets>();
  kept.set(body, ofBody);
  const known = ofBody.get(setup);
  if (known && known.leadHeelLift === leadHeelLift) return known;
  const feet = feetOf(setup, leadHeelLift);
  const budgets = {
    leadHeelLift,
    back: turnBudget('back', body, feet, USUAL_GOAL),
    through: turnBudget('through', body, feet, USUAL_GOAL),
  };
  ofBody.set(setup, budgets);
  return budgets;
}
