import { POSTURE_FIGURES } from '../posture';
import type { RuleKind } from './types';

/**
 * What a house method answers. The first seven are what a drawing of the feet and the load alone
 * answers; new ones are added at the end, because the log keeps findings by their place.
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
  'seat',
  'pressureRoute',
] as const;
export type Question = (typeof QUESTIONS)[number];

/** Questions that one of a few words answers, not a figure. */
export const CHOICE_QUESTIONS = ['seat', 'pressureRoute'] as const satisfies readonly Question[];
export type ChoiceQuestion = (typeof CHOICE_QUESTIONS)[number];
export type FigureQuestion = Exclude<Question, ChoiceQuestion>;

/** Where the seat is: posture, apart from where the load is along the foot. */
export const SEATS = ['over the heels', 'behind the heels'] as const;
export type Seat = (typeof SEATS)[number];

/** Where the pressure goes in the swing, as schools teach it. */
export const PRESSURE_ROUTES = ['centred', 'loaded heel', 'long drive', 'forward-posted'] as const;
export type PressureRoute = (typeof PRESSURE_ROUTES)[number];

/** The words a choice question can be answered with. */
export const CHOICES: Record<ChoiceQuestion, readonly string[]> = {
  seat: SEATS,
  pressureRoute: PRESSURE_ROUTES,
};

export type Unit = 'mm' | 'degrees' | 'percent';

/** The parts of the body a setup is read by, from the ground up; the swing comes last. */
export const PARTS = ['feet', 'knees', 'hips', 'shoulders', 'hands', 'swing'] as const;
export type Part = (typeof PARTS)[number];

interface FigureQuestionDefinition {
  part: Part;
  unit: Unit;
  /** What a figure, a middle and a band's ends can be at all: human ranges, starting values. */
  range: { least: number; most: number };
  /** The kinds of rule that can answer it. */
  rules: readonly RuleKind[];
}

const FLAT: readonly RuleKind[] = ['fixed', 'by club', 'by club length'];
const FREE: readonly RuleKind[] = [...FLAT, 'no view'];

const figure = (
  part: Part,
  unit: Unit,
  least: number,
  most: number,
  rules: readonly RuleKind[],
): FigureQuestionDefinition => ({ part, unit, range: { least, most }, rules });

/** What the figures that answer each question are, and which rules can give them. */
export const FIGURE_QUESTIONS: Record<FigureQuestion, FigureQuestionDefinition> = {
  stanceWidth: figure('feet', 'mm', 50, 1200, [
    ...FLAT,
    'shoulders by club length',
    'hips',
    'gap in club heads',
    'gap between shoes',
  ]),
  leadFlare: figure('feet', 'degrees', -30, 60, FLAT),
  trailFlare: figure('feet', 'degrees', -30, 60, [...FLAT, 'leg test']),
  stanceLine: figure('feet', 'degrees', -30, 40, [
    ...FLAT,
    'what the legs lack',
    'by the arc',
    'marks of the lead shoe',
  ]),
  ballAlong: figure('feet', 'mm', -200, 500, FLAT),
  leadShare: figure('feet', 'percent', 0, 100, FLAT),
  heelToe: figure('feet', 'percent', 0, 100, FLAT),
  ballOut: figure('feet', 'mm', 100, 1200, [...FREE, 'share of the club']),
  trailKneeInside: figure('knees', 'mm', -150, 150, FREE),
  trailKneeFlex: figure('knees', 'degrees', -30, 60, FREE),
  hipBump: figure('hips', 'mm', -150, 150, FREE),
  hipGap: figure('hips', 'mm', -100, 400, FREE),
  hipLine: figure('hips', 'degrees', -45, 45, FREE),
  shoulderLine: figure('shoulders', 'degrees', -45, 45, FREE),
  shoulderTilt: figure('shoulders', 'degrees', -20, 45, FREE),
  clubFace: figure('hands', 'degrees', -30, 30, FREE),
  hipTurn: figure('swing', 'degrees', 0, 90, FREE),
  shoulderTurn: figure('swing', 'degrees', 0, 150, FREE),
};

const CHOICE_QUESTION_PARTS: Record<ChoiceQuestion, Part> = { seat: 'hips', pressureRoute: 'swing' };

export const FIGURE_QUESTION_NAMES = QUESTIONS.filter(
  (question): question is FigureQuestion => question in FIGURE_QUESTIONS,
);

export const isChoiceQuestion = (question: Question): question is ChoiceQuestion =>
  (CHOICE_QUESTIONS as readonly Question[]).includes(question);

/** The kinds of rule that can answer a question. */
export const rulesFor = (question: Question): readonly RuleKind[] =>
  isChoiceQuestion(question) ? ['choice', 'no view'] : FIGURE_QUESTIONS[question].rules;

/** The part of the body a question is asked under. */
export const partOf = (question: Question): Part =>
  isChoiceQuestion(question) ? CHOICE_QUESTION_PARTS[question] : FIGURE_QUESTIONS[question].part;
