import type { FigureQuestion, Question } from '../method';
import { bandWords, figureWithUnit, questionFigure, type LengthUnit } from '../phrases';
import { FIGURE_QUESTIONS, isChoiceQuestion } from '../method';
import type { ComparedCell } from './compare';

/** How a smaller and a larger figure of each question are told apart. */
const SIDES: Record<FigureQuestion, readonly [smaller: string, larger: string]> = {
  stanceWidth: ['narrower', 'wider'],
  leadFlare: ['squarer', 'further out'],
  trailFlare: ['squarer', 'further out'],
  stanceLine: ['more open', 'more closed'],
  ballAlong: ['further forward', 'further back'],
  leadShare: ['less on the lead foot', 'more on the lead foot'],
  heelToe: ['nearer the heels', 'nearer the toes'],
  ballOut: ['nearer the ball', 'further from the ball'],
  trailKneeInside: ['further out', 'further in'],
  trailKneeFlex: ['straighter', 'more flexed'],
  hipBump: ['less pushed', 'more pushed'],
  hipGap: ['nearer the foot’s outside', 'further inside'],
  hipLine: ['more open', 'more closed'],
  shoulderLine: ['more open', 'more closed'],
  shoulderTilt: ['more level', 'more tilted'],
  clubFace: ['more open', 'more closed'],
  hipTurn: ['shorter', 'further'],
  shoulderTurn: ['shorter', 'further'],
};

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

/** What sets two methods apart on one question, or what both take, in a sentence with its reason. */
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
  const side = SIDES[question][apart < 0 ? 0 : 1];
  const size = figureWithUnit(Math.abs(apart), FIGURE_QUESTIONS[question].unit, length);
  return `${quoted(b.name)} asks for ${asked(question, b, length)}, ${size} ${side} than ${quoted(a.name)}: ${b.cell.why}`;
}
