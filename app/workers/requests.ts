import type { Case, Judgement } from '@pedastance/core/advice';
import type {
  PressureFault,
  PressureMapping,
  PressureOddities,
  PressureRepair,
  ShoeSize,
  SwingTrace,
} from '@pedastance/core/balance';
import type { Hand } from '@pedastance/core/body';
import type { ColumnSource, ReadShots } from '@pedastance/core/formats';
import type {
  FactorialShot,
  FactorialVerdict,
  BlockSize,
  Comparison,
  Look,
  TrialPlan,
  TrialShot,
  LookResult,
} from '@pedastance/core/trial';
import type { Goal, TurnBudget, TurningBody, TurningFeet } from '@pedastance/core/turn';

/** A recording of pressure as it was read: its file's header, how long, at what rate, what is odd about it, and its swings. */
export interface PressureRead {
  header: string[];
  seconds: number;
  /** frames a second */
  rate: number;
  oddities: PressureOddities;
  swings: SwingTrace[];
}

/** What can be asked of the worker. */
interface Asked {
  judge: Case;
  judgeEach: readonly Case[];
  budgets: { body: TurningBody; feet: TurningFeet; goal: Goal };
  chances: { margin: number; scatter: number; blockSize: BlockSize };
  /** The text of a file of shots, as rows of cells. */
  rows: { text: string };
  /** Rows without their header, by a mapping, for a student of this hand. */
  shots: { rows: string[][]; sources: readonly ColumnSource[]; hand: Hand };
  /** The text of a recording of pressure, for a student of this hand and shoe; mended, by a mapping where names do not tell. */
  pressure: {
    text: string;
    hand: Hand;
    shoe: ShoeSize;
    mapping: PressureMapping | null;
    repairs: readonly PressureRepair[];
  };
  apart: { plan: TrialPlan; changes: number; shots: FactorialShot[]; painUp: boolean };
  look: { plan: TrialPlan; shots: TrialShot[]; look: Look; painUp: boolean };
}

/** What it answers to each. */
export interface Answers {
  judge: Judgement;
  judgeEach: Judgement[];
  budgets: { back: TurnBudget; through: TurnBudget };
  /** How often a trial keeps a worthwhile change by each look. */
  chances: number[];
  rows: string[][];
  shots: ReadShots;
  /** What a recording has, with what is odd about it; or what is wrong with the file, whose header it is. */
  pressure: PressureRead | (Pick<PressureRead, 'header'> & { faults: PressureFault[] });
  apart: FactorialVerdict;
  /** The verdict, and what the shots say of every outcome they show. */
  look: { verdict: LookResult; comparisons: Comparison[] };
}

export interface Question<Ask extends keyof Answers> {
  ask: Ask;
  of: Asked[Ask];
}
