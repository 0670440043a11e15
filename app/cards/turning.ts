import { type Setup } from '@pedastance/core/setup';
import {
  turnBudget,
  type Goal,
  type TurnBudget,
  type TurningBody,
  type TurningFeet,
  turningFeet,
} from '@pedastance/core/turn';
import { useMemo } from 'react';
import { useComputation } from '../workers/useComputation';

/** A body on its feet, and how far both ways of turning get on them. */
export interface Turning {
  body: TurningBody;
  feet: TurningFeet;
  goal: Goal;
  back: TurnBudget;
  through: TurnBudget;
}

/**
 * Both ways of turning on these feet at once, their intervals and chances as soon as a worker drew
 * them; null before the legs were tested, and while a flare is not measured.
 */
export function useBudgets(
  body: TurningBody | null,
  setup: Setup | null,
  lift: number,
  goal: Goal,
  ownDifference: number,
): Turning | null {
  const of = useMemo(() => {
    const feet = setup && turningFeet(setup, lift, ownDifference);
    return body && feet && { body, feet, goal };
  }, [body, setup, lift, goal, ownDifference]);
  const question = useMemo(() => of && { ask: 'budgets' as const, of }, [of]);
  const { answer } = useComputation(question);
  return useMemo(() => {
    if (!of) return null;
    const undrawn = (turn: 'back' | 'through') => turnBudget(turn, of.body, of.feet, of.goal, { draws: 0 });
    return { ...of, ...(answer ?? { back: undrawn('back'), through: undrawn('through') }) };
  }, [of, answer]);
}
