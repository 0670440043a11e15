import type { ClubId, Shot } from '../club';

/** What a house method answers, in the order a setup is read: from the ground up. */
export const QUESTIONS = [
  'stanceWidth',
  'leadFlare',
  'trailFlare',
  'stanceLine',
  'ballAlong',
  'leadShare',
  'heelToe',
] as const;
export type Question = (typeof QUESTIONS)[number];

/** Where a figure comes from; shown beside it wherever it decides something. */
export type FigureMark = 'common practice, no source' | 'starting value' | 'from memory';

/** How far below and above its middle a band reaches, in the question's own unit. */
export interface Tolerance {
  below: number;
  above: number;
}

/** The middle is one figure, in the question's own unit. */
export interface FixedRule {
  kind: 'fixed';
  value: number;
}

/**
 * Stance width from the shoulders and the club's length: the outer shoulder breadth and a number
 * of sole breadths, linear in club length between the marks and the nearest mark's beyond them.
 * Stated with both soles turned square.
 */
export interface ShouldersRule {
  kind: 'shoulders by club length';
  /** In rising order of club length. */
  marks: { lengthInches: number; soleBreadths: number }[];
}

/** Stance width from the gap between the soles turned square, in club heads. */
export interface ClubHeadsRule {
  kind: 'gap in club heads';
  heads: number;
  headBreadth: number;
}

export type Rule = FixedRule | ShouldersRule | ClubHeadsRule;

/** One answer, for the clubs and the shot it is given for. */
export interface Answer {
  shot: Shot;
  clubs: ClubId[];
  rule: Rule;
  tolerance: Tolerance;
  mark: FigureMark;
}

export interface QuestionAnswers {
  /** Why the rule exists. */
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
