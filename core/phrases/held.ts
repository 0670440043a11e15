import type { PutRight } from '../reading';
import { alongFoot, FIGURES, FIGURE_WORDS, isLine, type Held } from '../setup';
import { saidInUnit, type LengthUnit } from '../units';
import { inFootWords } from './feet';
import { questionFigure } from './figures';
import type { Speech } from './instruction';

/**
 * A figure as it is said: whole centimetres or half inches, whole degrees and percents.
 * @param figure which figure
 * @param value mm, degrees or percent
 * @param length the coach’s unit of length
 * @returns the figure with its unit
 */
export function saidFigure(figure: Held['figure'], value: number, length: LengthUnit): string {
  if (figure === 'leadHeelToe' || figure === 'trailHeelToe') return alongFoot(value);
  return saidInUnit(value, FIGURES[figure].unit, length);
}

/** What each figure is called where it is said. */
const CALLED: Record<Held['figure'], string> = {
  stanceWidth: 'Width',
  leadFlare: 'Lead flare',
  trailFlare: 'Trail flare',
  setback: 'Trail foot back',
  ballAlong: 'Ball inside the heel',
  ballOut: 'Distance to the ball',
  leadShare: 'Weight on the lead foot',
  leadHeelToe: 'Weight under the lead foot',
  trailHeelToe: 'Weight under the trail foot',
};

export const HELD_SHAPES: Record<Held['verdict'], string> = {
  held: '●',
  drifted: '▲',
  'cannot tell': '◐',
  'not measured': '○',
};

/**
 * Whether an agreed figure held, in a sentence.
 * @param held the figure then and now
 * @param speech how the coach speaks of feet and lengths, and the student’s hand
 * @returns words
 * @example 'Trail flare drifted: 12°, not 30°.'
 */
export function heldSentence(held: Held, speech: Speech): string {
  const name = inFootWords(CALLED[held.figure], speech.feet, speech.hand);
  const said = (value: number) => saidFigure(held.figure, value, speech.length);
  switch (held.verdict) {
    case 'held':
      return `${name} held: ${said(held.today!)}.`;
    case 'drifted':
      return `${name} drifted: ${said(held.today!)}, not ${said(held.agreed)}.`;
    case 'cannot tell':
      return `${name} about ${said(held.today!)}, agreed ${said(held.agreed)}: measure it to be sure.`;
    case 'not measured':
      return `${name}: not measured since.`;
  }
}

/**
 * A fault that was put right since the last look, in a sentence.
 * @param mended the figure then and now
 * @param speech how the coach speaks of feet and lengths, and the student’s hand
 * @returns words
 * @example putRightSentence({ item: 'trailFlare', question: 'trailFlare', was: 2, is: 15 }, { length: 'cm', feet: 'lead and trail', hand: 'right' }) // 'Trail flare put right: 15°, it was 2°.'
 */
export function putRightSentence(
  { item, question, was, is }: PutRight,
  { length, feet, hand }: Speech,
): string {
  const said = (value: number) =>
    isLine(question) || question === 'heelToe'
      ? questionFigure(question, Math.round(value), length)
      : saidInUnit(value, FIGURES[item].unit, length);
  return `${inFootWords(FIGURE_WORDS[item].name, feet, hand)} put right: ${said(is)}, it was ${said(was)}.`;
}
