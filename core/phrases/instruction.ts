import type { Hand } from '../body';
import { isChoiceQuestion, type Question } from '../method';
import { FIGURE_WORDS, type ChoiceQuestion, type Difference } from '../setup';
import type { LengthUnit } from '../units';
import { inFootWords, type FootWords } from './feet';

export interface Speech {
  length: LengthUnit;
  feet: FootWords;
  hand: Hand;
}

/**
 * What to tell the student.
 * @param changes what differs, from the ground up
 * @param shoeLength the student's shoe, mm
 * @param speech how this coach speaks of this student
 * @returns one sentence a change, in the order given
 */
export function instructions(changes: readonly Difference[], shoeLength: number, speech: Speech): string[] {
  const toesStay = !changes.some((each) => each.change === 'setback');
  return changes.flatMap(({ change, from, to }) => {
    const by = from === null ? null : to - from;
    const told = { by, to, length: speech.length, shoeLength, toesStay };
    const sentence = FIGURE_WORDS[change].instruction?.(told);
    return sentence === undefined ? [] : [inFootWords(sentence, speech.feet, speech.hand)];
  });
}

const CHOICE_NAMES: Record<ChoiceQuestion, string> = {
  seat: 'Seat',
  pressureRoute: 'Pressure route',
  trailElbow: 'Trail elbow, going back',
  trailArm: 'Trail arm',
  clubRest: 'Club before the swing',
};

/**
 * What a question is called, in lead and trail.
 * @param question a question of a house method
 * @returns its name
 */
export function questionName(question: Question): string {
  if (question === 'heelToe') return 'Heel to toe, both feet';
  return isChoiceQuestion(question) ? CHOICE_NAMES[question] : FIGURE_WORDS[question].name;
}
