import type { ClubId } from '../club';

/** The middle is one figure, in the question's own unit. */
export interface FixedRule {
  kind: 'fixed';
  value: number;
}

/** A figure for each club the answer is given for. */
export interface ByClubRule {
  kind: 'by club';
  values: Partial<Record<ClubId, number>>;
}

/** A figure that moves with the club's length: linear between the marks, held beyond them. */
export interface ByClubLengthRule {
  kind: 'by club length';
  /** In rising order of club length. */
  marks: { lengthInches: number; value: number }[];
}

/**
 * Stance width from the shoulders and the club's length, by plumb line: a club dropped from each shoulder's
 * outer edge meets the shoe as it stands at a named place along it. Which edge of it, by the club: `soleBreadths`
 * −1 is its outer edge, 0 its middle, 1 its inner edge, linear in club length between the marks and the nearest
 * mark's beyond them. The shoes stand as the method itself flares them, so that a student's flare makes no
 * width fault.
 */
export interface ShouldersRule {
  kind: 'shoulders by club length';
  /** The place along the shoe, as a share of it from the heel; where none is named both soles are turned square. */
  place?: number;
  /** In rising order of club length. */
  marks: { lengthInches: number; soleBreadths: number }[];
}

/** Stance width from the hips: the heels a share of the hip breadth apart; 1 is under them. */
export interface HipsRule {
  kind: 'hips';
  share: number;
}

/** Stance width from the gap between the soles turned square, in club heads. */
export interface ClubHeadsRule {
  kind: 'gap in club heads';
  heads: number;
  headBreadth: number;
}

/** Stance width from the gap between the soles turned square, mm. */
export interface ShoeGapRule {
  kind: 'gap between shoes';
  gap: number;
}

/**
 * Trail flare by the leg test: what of the needed turn the trail leg's own turn-in and the give of
 * shoe, ankle and knee leave over, not under the foot's natural toe-out nor over the lead's flare.
 */
export interface LegTestRule {
  kind: 'leg test';
  neededTurn: number;
  give: number;
  /** Stands in until the legs have been tested. */
  untested: number;
}

/** A stance closed by what turn-in, give and the trail flare leave over of the needed turn. */
export interface LegsLackRule {
  kind: 'what the legs lack';
  neededTurn: number;
  give: number;
  most: number;
  /** Stands in until the legs have been tested. */
  untested: number;
}

/**
 * A stance line that turns the path back to straight for where on the arc the ball is met: the
 * arc's own path over what a degree of the line is worth in path.
 */
export interface ArcRule {
  kind: 'by the arc';
  /** Low point of the arc, inside the lead heel, mm. */
  lowPointInside: number;
  pathPerDegree: number;
}

/** The trail toe level with a mark of the lead shoe: 0 toe, 1/4 laces, 1/2 middle, 3/4 heel pad, 1 heel. */
export interface ShoeMarksRule {
  kind: 'marks of the lead shoe';
  marks: number;
}

/** A length as a share of the club's. */
export interface ClubShareRule {
  kind: 'share of the club';
  share: number;
}

/** One of these words. */
export interface ChoiceRule {
  kind: 'choice';
  choices: string[];
}

/** The method leaves it to the student. */
export interface NoViewRule {
  kind: 'no view';
}

export type Rule =
  | FixedRule
  | ByClubRule
  | ByClubLengthRule
  | ShouldersRule
  | HipsRule
  | ClubHeadsRule
  | ShoeGapRule
  | LegTestRule
  | LegsLackRule
  | ArcRule
  | ShoeMarksRule
  | ClubShareRule
  | ChoiceRule
  | NoViewRule;
export type RuleKind = Rule['kind'];
