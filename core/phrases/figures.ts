import { FIGURE_QUESTIONS, type FigureQuestion } from '../method';
import { isLine, lineWords } from '../setup';
import { figureWithUnit, lengthFigure, rounded, type LengthUnit } from '../units';

/**
 * A question's figure as a coach says it: a line by its side, anything else with its unit.
 * @param question the question
 * @param value in the question’s unit
 * @param length the coach’s unit of length
 * @returns words
 */
export const questionFigure = (question: FigureQuestion, value: number, length: LengthUnit): string =>
  isLine(question) ? lineWords(value) : figureWithUnit(value, FIGURE_QUESTIONS[question].unit, length);

/**
 * A band's ends, with its unit once; a line's ends as open and closed.
 * @param question the question
 * @param band its ends, in the question’s unit
 * @param length the coach’s unit of length
 * @returns words
 */
export function bandWords(
  question: FigureQuestion,
  { low, high }: { low: number; high: number },
  length: LengthUnit,
): string {
  const unit = FIGURE_QUESTIONS[question].unit === 'mm' ? (length === 'cm' ? ' cm' : ' in') : '';
  return `${bandBeside(question, { low, high }, length)}${unit}`;
}

/**
 * The same beside a figure that has its unit of length already.
 * @param question the question
 * @param band its ends, in the question’s unit
 * @param length the coach’s unit of length
 * @returns words
 * @example bandBeside('stanceWidth', { low: 276, high: 326 }, 'cm') // '27.6 to 32.6'
 */
export function bandBeside(
  question: FigureQuestion,
  { low, high }: { low: number; high: number },
  length: LengthUnit,
): string {
  if (isLine(question)) return `${lineWords(low)} to ${lineWords(high)}`;
  const { unit } = FIGURE_QUESTIONS[question];
  const bare = (value: number): string => (unit === 'mm' ? lengthFigure(value, length) : rounded(value, 0));
  const sign = { mm: '', degrees: '°', percent: '%' }[unit];
  return `${bare(low)} to ${bare(high)}${sign}`;
}
