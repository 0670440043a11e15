import type { Way } from '../advice';
import { heelUp } from '../setup';
import { OWN_CLOSING_BELOW, type Stop, type TurnBudget } from '../turn';
import { angleFigure, type Angle } from '../units';
import { chanceWords } from './chance';
import { inFootWords } from './feet';
import type { Speech } from './instruction';

const GOING = { back: 'Going back', through: 'Going through' } as const;

/** How likely a turn that is as good as reached is to be reached. */
function enoughWords(chance: number | null): string {
  if (chance === null) return 'Enough.';
  const said = chanceWords(chance);
  if (said === 'likely') return 'Likely enough.';
  return said === 'almost sure' ? 'Almost surely enough.' : 'An even chance.';
}

/**
 * One way of turning in a sentence or two: where it ends, by which leg, and whether that is enough.
 * @param budget degrees
 * @param speech how the coach speaks of feet and lengths, and the student’s hand
 * @param asked whether more turn is asked of this student at all
 * @returns words
 */
export function budgetSentence(budget: TurnBudget, speech: Speech, asked = true): string {
  const { turn, first, limit, needed, missing, chance, assumed, hurts } = budget;
  const say = (words: string) => inFootWords(words, speech.feet, speech.hand);
  if (hurts || !first || limit === null)
    return say(
      `${GOING[turn]}: not asked for. The ${hurts} leg hurts, and is never turned further than today.`,
    );
  if (!asked)
    return `${GOING[turn]}: about ${angleFigure(limit)} on these feet. No more is asked while something hurts.`;
  const usual = assumed.map((leg) => ` A usual ${leg} leg stands in: it was not tested.`).join('');
  const told =
    missing! < 0.5
      ? `about ${angleFigure(limit)}, ${angleFigure(needed.value)} needed. ${enoughWords(chance)}`
      : `the ${first.leg} leg stops the hips at ${angleFigure(limit)}. ${angleFigure(needed.value)} is needed: ${angleFigure(missing!)} short.`;
  return say(`${GOING[turn]}: ${told}${usual}`);
}

/**
 * Between which turns a way of turning ends 95 times in 100, for a coach who asks how sure that is.
 * @param budget degrees
 * @returns one sentence; empty where nothing was drawn
 */
export const rangeSentence = ({ turn, interval }: TurnBudget): string =>
  interval
    ? `${GOING[turn]}: almost surely between ${angleFigure(interval[0])} and ${angleFigure(interval[1])}.`
    : '';

/**
 * What a stop is made of, to be opened down to its inputs.
 * @param stop degrees
 * @param speech how the coach speaks of feet and lengths, and the student’s hand
 * @returns words
 */
export function stopSentence({ leg, at, made, turn }: Stop, speech: Speech): string {
  const say = (words: string) => inFootWords(words, speech.feet, speech.hand);
  if (!at) return say(`The ${leg} leg going ${turn}: it hurt in its test.`);
  const signed = (value: number) => `${value < 0 ? '\u2212' : '+'} ${angleFigure(Math.abs(value))}`;
  const test = made.calibrated
    ? 'test and give, as measured turns have told'
    : `${angleFigure(made.test!.value)} ${made.usual ? 'of a usual leg' : 'in the test'} ${signed(made.give.value)} give`;
  const reach = made.calibrated ? ` (${angleFigure(at.value - made.flare - made.lift - made.closing)})` : '';
  const lift = made.lift > 0 ? ` ${signed(made.lift)} for the lifted heel` : '';
  const line = Math.abs(made.closing) < 0.5 ? '' : ` ${signed(made.closing)} for the line`;
  return say(
    `The ${leg} leg going ${turn}: ${test}${reach} ${signed(made.flare)} flare${lift}${line} = ${angleFigure(at.value)} ± ${angleFigure(at.uncertainty)}.`,
  );
}

/**
 * What closing the feet is worth to this student's turn, and what that rests on.
 * @param closing degrees of turn for a degree of closing, and one standard deviation
 * @returns words
 * @example closingSentence({ value: 0.62, uncertainty: 0.18 }) // 'Closing by a dropped trail foot gives this student 0.6° of turn a degree, ± 0.2: their own turns on other lines say so.'
 */
export function closingSentence({ value, uncertainty }: Angle): string {
  const worth = `${value.toFixed(1)}° of turn a degree, ± ${uncertainty.toFixed(1)}`;
  return uncertainty < OWN_CLOSING_BELOW
    ? `Closing by a dropped trail foot gives this student ${worth}: their own turns on other lines say so.`
    : `Closing by a dropped trail foot is taken to give ${worth}: a starting value, common practice with no source, which no leg test predicts. Measure the turn on other lines to find this student’s own.`;
}

/**
 * What another way of freeing the turn gains, back and through.
 * @param way the turns before and after, degrees
 * @returns words
 */
export function gainWords({ back, through }: Pick<Way, 'back' | 'through'>): string {
  const way = (name: string, turn: Way['back']) =>
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
  leadHeelLift > 0 ? inFootWords(heelUp(leadHeelLift, speech.length), speech.feet, speech.hand) : '';
