import {
  CHOICE_QUESTIONS,
  FIGURES,
  POSTURE_FIGURES,
  type ChoiceQuestion,
  type Item,
  type Part,
  type Range,
} from '../setup';
import type { Unit } from '../units';
import type { RuleKind } from './rules';

/**
 * What a house method answers. The first seven are what a drawing of the feet and the load alone
 * answers.
 */
export const QUESTIONS = [
  'stanceWidth',
  'leadFlare',
  'trailFlare',
  'stanceLine',
  'ballAlong',
  'leadShare',
  'heelToe',
  'ballOut',
  ...POSTURE_FIGURES,
  ...CHOICE_QUESTIONS,
] as const;
export type Question = (typeof QUESTIONS)[number];
export type FigureQuestion = Exclude<Question, ChoiceQuestion>;

/**
 * Whether a question is answered by a word.
 * @param question the question
 * @returns true for those
 * @example isChoiceQuestion('seat') // true
 */
export const isChoiceQuestion = (question: Question): question is ChoiceQuestion =>
  (CHOICE_QUESTIONS as readonly Question[]).includes(question);

export const FIGURE_QUESTION_NAMES = QUESTIONS.filter(
  (question): question is FigureQuestion => !isChoiceQuestion(question),
);

/**
 * The question that an item is measured to answer: heel to toe is measured under each foot.
 * @param item an item of a setup
 * @returns the question
 * @example questionOf('trailHeelToe') // 'heelToe'
 */
export const questionOf = (item: Item): FigureQuestion =>
  item === 'leadHeelToe' || item === 'trailHeelToe' ? 'heelToe' : item;

/** An item that answers a question; for heel to toe either foot's. */
const itemOf = (question: FigureQuestion): Item => (question === 'heelToe' ? 'leadHeelToe' : question);

interface FigureQuestionDefinition {
  part: Part;
  unit: Unit;
  /** What a middle and a band's ends can be at all. */
  range: Range;
  /** The kinds of rule that can answer it. */
  rules: readonly RuleKind[];
}

const FLAT: readonly RuleKind[] = ['fixed', 'by club', 'by club length'];
const FREE: readonly RuleKind[] = [...FLAT, 'no view'];

/** The rules of questions that have more, or fewer, than a figure and no view. */
const RULES: Partial<Record<FigureQuestion, readonly RuleKind[]>> = {
  stanceWidth: [...FLAT, 'shoulders by club length', 'hips', 'gap in club heads', 'gap between shoes'],
  leadFlare: FLAT,
  trailFlare: [...FLAT, 'leg test'],
  stanceLine: [...FLAT, 'what the legs lack', 'by the arc', 'marks of the lead shoe'],
  ballAlong: FLAT,
  leadShare: FLAT,
  heelToe: FLAT,
  ballOut: [...FREE, 'share of the club'],
};

const definitionOf = (question: FigureQuestion): FigureQuestionDefinition => {
  const { part, unit, range, asked } = FIGURES[itemOf(question)];
  return { part, unit, range: asked ?? range, rules: RULES[question] ?? FREE };
};

/** What the figures that answer each question are, and which rules can give them. */
export const FIGURE_QUESTIONS = Object.fromEntries(
  FIGURE_QUESTION_NAMES.map((question) => [question, definitionOf(question)]),
) as Record<FigureQuestion, FigureQuestionDefinition>;

const CHOICE_QUESTION_PARTS: Record<ChoiceQuestion, Part> = {
  seat: 'hips',
  pressureRoute: 'swing',
  trailElbow: 'swing',
  trailArm: 'hands',
  clubRest: 'hands',
};

/**
 * The kinds of rule that can answer a question.
 * @param question the question
 * @returns the kinds, in the order a coach is offered them
 * @example rulesFor('seat') // ['choice', 'no view']
 */
export const rulesFor = (question: Question): readonly RuleKind[] =>
  isChoiceQuestion(question) ? ['choice', 'no view'] : FIGURE_QUESTIONS[question].rules;

/**
 * The part of the body a question is asked under.
 * @param question the question
 * @returns the part
 * @example partOf('seat') // 'hips'
 */
export const partOf = (question: Question): Part =>
  isChoiceQuestion(question) ? CHOICE_QUESTION_PARTS[question] : FIGURE_QUESTIONS[question].part;
