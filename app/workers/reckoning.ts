import type { Fit, FitProblem } from '@pedastance/core/fit';
import type { Goal, TurnBudget, TurningBody, TurningFeet } from '@pedastance/core/turn';
import type { BlockSize, Comparison, Look, TrialPlan, TrialShot, TrialVerdict } from '@pedastance/core/trial';

/** What can be asked of the worker. */
interface Asked {
  fit: FitProblem;
  budgets: { body: TurningBody; feet: TurningFeet; goal: Goal };
  chances: { margin: number; scatter: number; blockSize: BlockSize };
  look: { plan: TrialPlan; shots: TrialShot[]; look: Look; painUp: boolean };
}

/** What it answers to each. */
export interface Answers {
  fit: Fit;
  budgets: { back: TurnBudget; through: TurnBudget };
  /** How often a trial keeps a worthwhile change by each look. */
  chances: number[];
  /** The verdict, and what the shots say of every outcome they show. */
  look: { verdict: TrialVerdict; comparisons: Comparison[] };
}

export interface Question<Ask extends keyof Answers> {
  ask: Ask;
  of: Asked[Ask];
}
