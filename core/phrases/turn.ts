import type { FitAnswer } from '../fit';
import { inOrderMet, type Stop, type StopName, type TurnBudget } from '../turn';
import { angleFigure, lengthWithUnit } from '../units';
import { inFootWords } from './feet';
import type { Speech } from './instruction';

const GOING = { back: 'Going back', through: 'Going through' } as const;

/** Reached so seldom, or so often, it is told in a word rather than in percent. */
const chanceWords = (chance: number): string => {
  if (chance < 0.02) return 'hardly ever';
  return chance > 0.98 ? 'nearly always' : `${Math.round(chance * 100)} times in 100`;
};

/**
 * One way of turning in a sentence or two: where it ends, by which leg, and whether that is enough.
 * @param budget degrees
 * @param speech how the coach speaks of feet and lengths, and the student’s hand
 * @returns words
 */
export function budgetSentence(budget: TurnBudget, speech: Speech): string {
  const { turn, first, limit, atMost, needed, missing, interval, chance, stops } = budget;
  const say = (words: string) => inFootWords(words, speech.feet, speech.hand);
  const untested = stops.filter(({ at, name }) => at === null && name !== 'trail through');
  if (!first || limit === null) {
    const legs = untested.map(({ leg }) => `the ${leg} leg`).join(' and ');
    const latest = atMost === null ? '' : ` It ends at ${angleFigure(atMost)} at the latest.`;
    return say(`${GOING[turn]}: not known, because ${legs} has not been tested.${latest}`);
  }
  const reach = interval
    ? ` (95%: ${angleFigure(interval[0])} to ${angleFigure(interval[1])}; reached ${chanceWords(chance!)})`
    : '';
  const stop = `the ${first.leg} leg stops the hips at ${angleFigure(limit)}`;
  return missing! < 0.5
    ? say(
        `${GOING[turn]}: enough. ${stop.charAt(0).toUpperCase()}${stop.slice(1)}, ${angleFigure(needed.value)} is needed${reach}.`,
      )
    : say(
        `${GOING[turn]}: ${stop}; ${angleFigure(needed.value)} is needed, ${angleFigure(missing!)} missing${reach}.`,
      );
}

/** What lets a stop go further, and how. */
const REMEDIES: Record<StopName, { more: string; perDegree: 1 | -1 } | null> = {
  'trail back': { more: 'more trail flare', perDegree: 1 },
  'lead back': { more: 'less lead flare', perDegree: -1 },
  'lead through': { more: 'more lead flare', perDegree: 1 },
  'trail through': null,
};

/**
 * What freeing the first stop gets, and what stops the turn next; empty where nothing is missing.
 * @param budget degrees
 * @param speech how the coach speaks of feet and lengths, and the student’s hand
 * @returns words
 */
export function nextStopSentence(budget: TurnBudget, speech: Speech): string {
  const { first, limit, missing, stops, turn } = budget;
  if (!first || limit === null || missing === null || missing < 0.5) return '';
  const remedy = REMEDIES[first.name];
  if (!remedy) return '';
  const counted = inOrderMet(stops).filter(({ name, at }) => at !== null && name !== 'trail through');
  const next: Stop | undefined = counted[1];
  // Turning one foot never moves the other leg's stop, so the next one stays where it is.
  const room = next?.at ? next.at.value - limit : Infinity;
  const by = Math.min(missing, room);
  if (by < 0.5) {
    return inFootWords(
      `Both legs stop it at the same place: freeing one alone gains nothing going ${turn}.`,
      speech.feet,
      speech.hand,
    );
  }
  const then = room < missing && next ? `, then the ${next.leg} leg is next` : '';
  return inFootWords(
    `${angleFigure(by)} ${remedy.more} gets it to ${angleFigure(limit + by)}${then}.`,
    speech.feet,
    speech.hand,
  );
}

/**
 * What a stop is made of, to be opened down to its inputs.
 * @param stop degrees
 * @param speech how the coach speaks of feet and lengths, and the student’s hand
 * @returns words
 */
export function stopSentence({ leg, at, made, turn }: Stop, speech: Speech): string {
  const say = (words: string) => inFootWords(words, speech.feet, speech.hand);
  if (!at) return say(`The ${leg} leg going ${turn}: not tested.`);
  const signed = (value: number) => `${value < 0 ? '\u2212' : '+'} ${angleFigure(Math.abs(value))}`;
  const test = made.calibrated
    ? 'test and give, as measured turns have told'
    : `${angleFigure(made.test!.value)} in the test ${signed(made.give.value)} give`;
  const reach = made.calibrated ? ` (${angleFigure(at.value - made.flare - made.lift)})` : '';
  const lift = made.lift > 0 ? ` ${signed(made.lift)} for the lifted heel` : '';
  return say(
    `The ${leg} leg going ${turn}: ${test}${reach} ${signed(made.flare)} flare${lift} = ${angleFigure(at.value)} ± ${angleFigure(at.uncertainty)}.`,
  );
}

/**
 * What an answer of the fit gains, each way.
 * @param answer of the fit, degrees
 * @returns words
 */
export function gainWords({ back, through }: FitAnswer): string {
  const way = (name: string, turn: FitAnswer['back']) =>
    turn && `${name} ${angleFigure(turn.from)} → ${angleFigure(turn.to)} of ${angleFigure(turn.needed)}`;
  return [way('back', back), way('through', through)].filter(Boolean).join(' · ');
}

/**
 * A lift of the lead heel, mm, as an instruction; empty where there is none.
 * @param leadHeelLift mm
 * @param speech how the coach speaks of feet and lengths, and the student’s hand
 * @returns words
 */
export const liftWords = (leadHeelLift: number, speech: Speech): string =>
  leadHeelLift > 0
    ? inFootWords(
        `Let the lead heel come up ${lengthWithUnit(leadHeelLift, speech.length)} going back.`,
        speech.feet,
        speech.hand,
      )
    : '';
