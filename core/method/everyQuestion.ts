import { BAG, canPitch } from '../club';
import { QUESTIONS, rulesFor } from './questions';
import type { Answer, HouseMethod, MethodContents, QuestionAnswers } from './types';

const noView = (shot: Answer['shot'], clubs: Answer['clubs']): Answer => ({
  shot,
  clubs,
  rule: { kind: 'no view' },
  tolerance: { below: 0, above: 0 },
  mark: 'starting value',
});

const ALL = BAG.map(({ id }) => id);

/** A question that was not asked yet when the method was written. */
const NOT_ASKED: QuestionAnswers = {
  why: 'This version was written before the question was asked, and leaves it free.',
  limitsBelow: 'Not asked in this version.',
  limitsAbove: 'Not asked in this version.',
  answers: [noView('full', ALL), noView('pitch', ALL.filter(canPitch))],
};

/**
 * A method with every question there is: one that was written before a question was asked leaves it
 * free. What the feet are drawn from cannot be left free, and is not added.
 * @param method a method, or its contents
 * @returns the same method where nothing is missing
 */
export function withEveryQuestion<Contents extends HouseMethod | MethodContents>(method: Contents): Contents {
  const missing = QUESTIONS.filter(
    (question) => !(question in method.questions) && rulesFor(question).includes('no view'),
  );
  if (missing.length === 0) return method;
  const free = Object.fromEntries(missing.map((question) => [question, NOT_ASKED]));
  return { ...method, questions: { ...method.questions, ...free } };
}
