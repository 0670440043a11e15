import type { Question } from '@pedastance/core/method';
import {
  bandWords,
  capitalised,
  inFootWords,
  instructions,
  questionFigure,
  liftWords,
  type Speech,
} from '@pedastance/core/phrases';
import type { Finding } from '@pedastance/core/reading';
import {
  differences,
  isLine,
  lineWords,
  FIGURE_WORDS,
  type Difference,
  type Setup,
  type FigureName,
} from '@pedastance/core/setup';
import { figureWithUnit, type Unit } from '@pedastance/core/units';

/** A finding's band, with its unit once; a line's ends as open and closed. */
export const findingBand = (finding: Pick<Finding, 'question' | 'low' | 'high'>, speech: Speech): string =>
  bandWords(finding.question, finding, speech.length);

/** What a figure is called, as this coach speaks of this student's feet. */
export const figureName = (name: FigureName, speech: Speech): string =>
  capitalised(inFootWords(FIGURE_WORDS[name].name, speech.feet, speech.hand));

export const figure = (value: number, unit: Unit, speech: Speech): string =>
  figureWithUnit(value, unit, speech.length);

/** A figure of a finding's question, as a coach says it. */
export const findingFigure = (
  { question }: Pick<Finding, 'question'>,
  value: number,
  speech: Speech,
): string => questionFigure(question, value, speech.length);

/** A figure of a change, as a coach says it; lines by their side. */
export const changeFigure = ({ change, unit }: Difference, value: number, speech: Speech): string =>
  isLine(change as Question) ? lineWords(value) : figure(value, unit, speech);

export const spoken = (text: string, speech: Speech): string => inFootWords(text, speech.feet, speech.hand);

/** Instructions that take one setup to the other. */
export const tellChange = (from: Setup, to: Setup, speech: Speech): string[] =>
  instructions(differences(from, to), from.address.shoe.length, speech);

/** Instructions for a whole change: the feet, and the lead heel where it is to come up. */
export const tellAgreed = (from: Setup, to: Setup, leadHeelLift: number, speech: Speech): string[] =>
  [...tellChange(from, to, speech), liftWords(leadHeelLift, speech)].filter((line) => line !== '');
