import type { Body } from '../turn';
import { CHOICE_QUESTIONS, type ChoiceQuestion } from '../setup';
import { bandOf, type Band, type RuleInput } from './band';
import { answerFor, playedKey, type Played } from './coverage';
import { FIGURE_QUESTION_NAMES, FIGURE_QUESTIONS, type FigureQuestion } from './questions';
import type { Answer, HouseMethod } from './types';

/** All that a method asks of one body with one club: a question it leaves free has no entry. */
export interface Bands {
  figures: Partial<Record<FigureQuestion, Band>>;
  choices: Partial<Record<ChoiceQuestion, string[]>>;
}

/** A band's ends kept within what the figure can be at all; the middle stays what the rule says. */
function withinRange(band: Band, question: FigureQuestion): Band {
  const { least, most } = FIGURE_QUESTIONS[question].range;
  const { low, middle, high } = band;
  return {
    ...band,
    low: Math.min(middle, Math.max(least, low)),
    high: Math.max(middle, Math.min(most, high)),
  };
}

/** A question's answer for one club and shot, in the order questions are asked. */
type Answers = readonly (Answer | undefined)[];

const found = new WeakMap<HouseMethod, Map<string, Answers>>();

/** A method's answers for a club and shot, looked up once. */
function answersOf(method: HouseMethod, { club, shot }: Played): Answers {
  const known = found.get(method) ?? new Map<string, Answers>();
  found.set(method, known);
  const key = `${club} ${shot}`;
  const answers =
    known.get(key) ?? FIGURE_QUESTION_NAMES.map((question) => answerFor(method, question, club, shot));
  known.set(key, answers);
  return answers;
}

const fixedBands = new WeakMap<Answer, Band>();

/** A fixed figure has the same band for every body and club: worked out once. */
function bandOnce(answer: Answer, question: FigureQuestion, input: RuleInput): Band {
  if (answer.rule.kind !== 'fixed') return withinRange(bandOf(answer, input), question);
  const band = fixedBands.get(answer) ?? withinRange(bandOf(answer, input), question);
  fixedBands.set(answer, band);
  return band;
}

/** A foot that points out by itself is not too far out where it points; the middle stays what the rule says. */
function withToeOut(band: Band, question: FigureQuestion, answer: Answer, { legs }: Body): Band {
  if (question !== 'leadFlare' && question !== 'trailFlare') return band;
  const natural = legs?.naturalToeOut?.[question === 'leadFlare' ? 'lead' : 'trail'];
  if (natural === undefined) return band;
  const high = Math.min(FIGURE_QUESTIONS[question].range.most, natural + answer.tolerance.above);
  return high > band.high ? { ...band, high } : band;
}

/**
 * By how much a method itself has the trail foot further out than the lead foot; 0 where it leaves a flare free.
 * @param bands what the method asks of a body with a club
 * @returns degrees
 */
export const ownFlareDifference = ({ figures: { leadFlare, trailFlare } }: Bands): number =>
  leadFlare && trailFlare ? trailFlare.middle - leadFlare.middle : 0;

/** Every figure question's band; what one rule asks of another question is worked out first, once. */
function figuresOf(method: HouseMethod, body: Body, played: Played): Bands['figures'] {
  const answers = answersOf(method, played);
  const figures: Bands['figures'] = {};
  const asked: boolean[] = [];
  const work = (at: number): Band | undefined => {
    const question = FIGURE_QUESTION_NAMES[at]!;
    if (asked[at]) return figures[question];
    asked[at] = true;
    const answer = answers[at]!;
    if (answer.rule.kind !== 'no view')
      figures[question] = withToeOut(bandOnce(answer, question, input), question, answer, body);
    return figures[question];
  };
  const input: RuleInput = {
    ...played,
    body,
    middleOf: (question) => {
      const band = work(FIGURE_QUESTION_NAMES.indexOf(question));
      if (!band) throw new Error(`${method.name}: ${question} is needed by a rule and has no band yet`);
      return band.middle;
    },
  };
  for (let at = 0; at < answers.length; at += 1) work(at);
  return figures;
}

function choicesOf(method: HouseMethod, { club, shot }: Played): Bands['choices'] {
  const choices: Bands['choices'] = {};
  for (const question of CHOICE_QUESTIONS) {
    const { rule } = answerFor(method, question, club, shot);
    if (rule.kind === 'choice') choices[question] = rule.choices;
  }
  return choices;
}

type Worked = Bands & { legs: Body['legs'] };
const worked = new WeakMap<HouseMethod, WeakMap<Body['build'], Map<string, Worked>>>();

/**
 * What a method asks of a body with a club and shot. Every rule is evaluated once for the same
 * method, body and club: the same objects are answered from memory, which nobody may change.
 * @param method the house method
 * @param body the build and legs
 * @param played the club, its length in inches, and the shot
 * @returns a band or the words for each question; none where the method leaves it free
 */
export function bandsFor(method: HouseMethod, body: Body, played: Played): Bands {
  const ofMethod = worked.get(method) ?? new WeakMap<Body['build'], Map<string, Worked>>();
  worked.set(method, ofMethod);
  const ofBuild = ofMethod.get(body.build) ?? new Map<string, Worked>();
  ofMethod.set(body.build, ofBuild);
  const key = playedKey(played);
  const known = ofBuild.get(key);
  if (known && known.legs === body.legs) return known;
  const figures = figuresOf(method, body, played);
  const bands = { figures, choices: choicesOf(method, played), legs: body.legs };
  ofBuild.set(key, bands);
  return bands;
}
