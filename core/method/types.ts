import type { ClubId, ShotType } from '../club';
import type { Question } from './questions';
import type { Rule } from './rules';

/** Where a figure comes from; shown beside it wherever it decides something. */
export const FIGURE_MARKS = ['common practice, no source', 'starting value', 'from memory'] as const;
export type FigureMark = (typeof FIGURE_MARKS)[number];

/** How far below and above its middle a band reaches, in the question's own unit. */
export interface Tolerance {
  below: number;
  above: number;
}

/** One answer, for the clubs and the shot it is given for. */
export interface Answer {
  shot: ShotType;
  clubs: ClubId[];
  rule: Rule;
  tolerance: Tolerance;
  mark: FigureMark;
}

export interface QuestionAnswers {
  /** Why the rule exists, and where schools contradict each other why this side is taken. */
  why: string;
  /** What being below, or above, the band limits. */
  limitsBelow: string;
  limitsAbove: string;
  /** Every club and shot exactly once. */
  answers: Answer[];
}

/** One instructor's answers, as data. A version never changes; an edit is the next version. */
export interface HouseMethod {
  id: string;
  version: number;
  name: string;
  summary: string;
  questions: Record<Question, QuestionAnswers>;
}

/** A method as it is before anybody has made it their own. */
export type MethodContents = Omit<HouseMethod, 'id' | 'version'>;
