import { FIGURE_QUESTIONS, isChoiceQuestion, type Question } from '../method';
import type { ComparedCell } from '../method/compare';
import { FIGURE_WORDS } from '../setup';
import { figureWithUnit, type LengthUnit } from '../units';
import { bandWords, questionFigure } from './figures';

export interface NamedCell {
  name: string;
  cell: ComparedCell;
}

const quoted = (name: string): string => `“${name}”`;

function asked(question: Question, { cell }: NamedCell, length: LengthUnit): string {
  if (cell.wanted) return cell.wanted.join(' or ');
  return cell.band && !isChoiceQuestion(question) ? questionFigure(question, cell.band.middle, length) : '';
}

function oneView(question: Question, a: NamedCell, b: NamedCell, length: LengthUnit): string | null {
  const has = ({ cell }: NamedCell) => cell.band !== null || cell.wanted !== null;
  if (has(a) && has(b)) return null;
  if (!has(a) && !has(b)) return 'Neither has a view.';
  const [viewed, free] = has(a) ? [a, b] : [b, a];
  return `${quoted(viewed.name)} asks for ${asked(question, viewed, length)}; ${quoted(free.name)} leaves it free.`;
}

/**
 * What sets two methods apart on one question, or what both take, in a sentence with its reason.
 * @param question the question
 * @param a one method
 * @param b the other
 * @param length the coach’s unit of length
 * @returns the sentence
 */
export function differenceSentence(
  question: Question,
  a: NamedCell,
  b: NamedCell,
  length: LengthUnit,
): string {
  const one = oneView(question, a, b, length);
  if (one) return one;
  if (isChoiceQuestion(question)) {
    const both = a.cell.wanted!.filter((word) => b.cell.wanted!.includes(word));
    if (both.length > 0) return `Both take ${both.join(' or ')}.`;
    return `${quoted(b.name)} asks for ${asked(question, b, length)} and ${quoted(a.name)} for ${asked(question, a, length)}: ${b.cell.why}`;
  }
  const [bandA, bandB] = [a.cell.band!, b.cell.band!];
  const low = Math.max(bandA.low, bandB.low);
  const high = Math.min(bandA.high, bandB.high);
  if (low <= high) return `Both take ${bandWords(question, { low, high }, length)}.`;
  const apart = bandB.middle - bandA.middle;
  const side =
    FIGURE_WORDS[question === 'heelToe' ? 'leadHeelToe' : question][apart < 0 ? 'smaller' : 'larger'];
  const size = figureWithUnit(Math.abs(apart), FIGURE_QUESTIONS[question].unit, length);
  return `${quoted(b.name)} asks for ${asked(question, b, length)}, ${size} ${side} than ${quoted(a.name)}: ${b.cell.why}`;
}
