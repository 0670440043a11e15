import type { Fit, FitProblem } from '@pedastance/core/fit';
import type { Goal, TurnBudget, TurningBody, TurningFeet } from '@pedastance/core/turn';

/** What can be asked of the turn's worker, and what it answers. */
interface TurnAsked {
  fit: FitProblem;
  budgets: { body: TurningBody; feet: TurningFeet; goal: Goal };
}

export interface TurnAnswers {
  fit: Fit;
  budgets: { back: TurnBudget; through: TurnBudget };
}

export interface TurnQuestion<Ask extends keyof TurnAnswers> {
  ask: Ask;
  of: TurnAsked[Ask];
}
