import {
  QUESTIONS,
  type Answer,
  type FigureMark,
  type MethodContents,
  type QuestionAnswers,
  type Question,
  type Rule,
  type Tolerance,
} from '..';
import { BAG, canPitch, type ClubFamily, type ClubId, type ShotType } from '../../club';
import { textsOf } from './texts';

export const PRACTICE: FigureMark = 'common practice, no source';
export const STARTING: FigureMark = 'starting value';

const ALL = BAG.map((club) => club.id);
const PITCHED = ALL.filter(canPitch);

const ofFamily = (...families: ClubFamily[]): ClubId[] =>
  BAG.filter((club) => families.includes(club.family)).map((club) => club.id);

export const DRIVER: ClubId[] = ['driver'];
export const FAIRWAY_WOODS: ClubId[] = ['3-wood', '5-wood'];
export const HYBRID_AND_LONG_IRONS: ClubId[] = ['hybrid', '3-iron', '4-iron'];
export const MID_IRONS: ClubId[] = ['5-iron', '6-iron', '7-iron'];
export const SHORT_IRONS_AND_WEDGES: ClubId[] = ['8-iron', '9-iron', ...ofFamily('wedge')];

/**
 * The clubs of the bag that are not among these.
 * @param clubs to leave out
 * @returns the others
 */
export const allBut = (clubs: readonly ClubId[]): ClubId[] => ALL.filter((club) => !clubs.includes(club));

/**
 * An answer for full shots with these clubs, or with all of them.
 * @param rule that gives the middle
 * @param tolerance below and above it, in the question’s unit
 * @param mark where the figure comes from
 * @param clubs it is for
 * @returns the answer
 */
export function full(
  rule: Rule,
  tolerance: number | Tolerance,
  mark: FigureMark,
  clubs: readonly ClubId[] = ALL,
): Answer {
  return answer('full', rule, tolerance, mark, clubs);
}

/**
 * An answer for pitches with every club that one is played with.
 * @param rule that gives the middle
 * @param tolerance below and above it, in the question’s unit
 * @param mark where the figure comes from
 * @returns the answer
 */
export const pitch = (rule: Rule, tolerance: number | Tolerance, mark: FigureMark): Answer =>
  answer('pitch', rule, tolerance, mark, PITCHED);

function answer(
  shot: ShotType,
  rule: Rule,
  tolerance: number | Tolerance,
  mark: FigureMark,
  clubs: readonly ClubId[],
): Answer {
  const sides = typeof tolerance === 'number' ? { below: tolerance, above: tolerance } : tolerance;
  return { shot, clubs: [...clubs], rule, tolerance: sides, mark };
}

/**
 * The rule that gives everybody one figure.
 * @param value in the question’s unit
 * @returns the rule
 */
export const fixed = (value: number): Rule => ({ kind: 'fixed', value });
/**
 * The rule that takes any of these words.
 * @param choices the words
 * @returns the rule
 */
export const oneOf = (...choices: string[]): Rule => ({ kind: 'choice', choices });
const NO_VIEW: Rule = { kind: 'no view' };

/**
 * Reaches this far below and above the middle.
 * @param below in the question’s unit
 * @param above in the question’s unit
 * @returns the tolerance
 */
export const sides = (below: number, above: number): Tolerance => ({ below, above });

interface Given {
  why: string;
  answers: Answer[];
}

/**
 * The answers a preset gives; where it gives none for a shot it leaves the question free.
 * @param name of the method
 * @param summary in a sentence
 * @param given the answers by question
 * @returns the method, every question in it
 */
export function preset(
  name: string,
  summary: string,
  given: Partial<Record<Question, Given>>,
): MethodContents {
  const questions = Object.fromEntries(
    QUESTIONS.map((question): [Question, QuestionAnswers] => {
      const { limitsBelow, limitsAbove, leftFree } = textsOf(question);
      const { why, answers } = given[question] ?? { why: leftFree, answers: [] };
      const missing = (shot: ShotType): Answer[] => {
        const clubs = shot === 'pitch' ? PITCHED : ALL;
        const open = clubs.filter(
          (club) => !answers.some((each) => each.shot === shot && each.clubs.includes(club)),
        );
        return open.length > 0 ? [answer(shot, NO_VIEW, 0, STARTING, open)] : [];
      };
      return [
        question,
        { why, limitsBelow, limitsAbove, answers: [...answers, ...missing('full'), ...missing('pitch')] },
      ];
    }),
  ) as MethodContents['questions'];
  return { name, summary, questions };
}
