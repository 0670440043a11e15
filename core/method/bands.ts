import type { Body } from '../build';
import { bandOf, type Band } from './band';
import { answerFor, playedKey, type Played } from './coverage';
import {
  CHOICE_QUESTIONS,
  FIGURE_QUESTION_NAMES,
  FIGURE_QUESTIONS,
  type ChoiceQuestion,
  type FigureQuestion,
} from './questions';
import type { HouseMethod } from './types';

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

function evaluate(method: HouseMethod, body: Body, played: Played): Bands {
  const figures: Bands['figures'] = {};
  const free = new Set<FigureQuestion>();
  const asked = new Set<FigureQuestion>();
  const bandFor = (question: FigureQuestion): Band | null => {
    const known = figures[question];
    if (known) return known;
    if (free.has(question)) return null;
    if (asked.has(question)) throw new Error(`${method.name}: ${question} is asked by its own rule`);
    asked.add(question);
    const answer = answerFor(method, question, played.club, played.shot);
    if (answer.rule.kind === 'no view') {
      free.add(question);
      return null;
    }
    const band = withinRange(bandOf(answer, { ...played, body, middleOf }), question);
    figures[question] = band;
    return band;
  };
  const middleOf = (question: FigureQuestion): number => {
    const band = bandFor(question);
    if (!band) throw new Error(`${method.name} has no view on ${question}, which another rule needs`);
    return band.middle;
  };
  for (const question of FIGURE_QUESTION_NAMES) bandFor(question);
  const choices: Bands['choices'] = {};
  for (const question of CHOICE_QUESTIONS) {
    const { rule } = answerFor(method, question, played.club, played.shot);
    if (rule.kind === 'choice') choices[question] = rule.choices;
  }
  return { figures, choices };
}

const worked = new WeakMap<
  HouseMethod,
  WeakMap<Body['build'], Map<string, Bands & { legs: Body['legs'] }>>
>();

/**
 * What a method asks of a body with a club and shot. Every rule is evaluated once for the same
 * method, body and club: the same objects are answered from memory, which nobody may change.
 */
export function bandsFor(method: HouseMethod, body: Body, played: Played): Bands {
  const ofMethod = worked.get(method) ?? new WeakMap();
  worked.set(method, ofMethod);
  const ofBuild = ofMethod.get(body.build) ?? new Map<string, Bands & { legs: Body['legs'] }>();
  ofMethod.set(body.build, ofBuild);
  const key = playedKey(played);
  const known = ofBuild.get(key);
  if (known && known.legs === body.legs) return known;
  const bands = { ...evaluate(method, body, played), legs: body.legs };
  ofBuild.set(key, bands);
  return bands;
}
