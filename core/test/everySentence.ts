import {
  budgetSentence,
  buysSentences,
  doSentences,
  exceptionWords,
  FIGURE_WORDS,
  FIGURES,
  heldSentence,
  inFootWords,
  judge,
  liftWords,
  partingSentences,
  PLACED_FIGURES,
  pulledSentence,
  rangeSentence,
  seeded,
  stopsSentence,
  turnBudget,
  TURNS,
  USUAL_GOAL,
  waitsSentence,
  type FigureName,
  type Held,
  type Speech,
} from '..';
import { bodyOf, feetOf } from './turning';
import { caseOf } from './adviceCases';
import { WRITTEN_CASES } from './writtenCases';

/** Two coaches: one with a right-hander who says lead and trail, one with a left-hander who says left and right. */
export const SPEECHES: readonly Speech[] = [
  { length: 'cm', feet: 'lead and trail', hand: 'right' },
  { length: 'inches', feet: 'left and right', hand: 'left' },
];

const SHOE = 290;
const DRAWS = 200;

/** What is said of sixty cases. */
const judged = (speech: Speech): string[] =>
  WRITTEN_CASES.flatMap((each) => {
    const judgement = judge(caseOf(each), DRAWS);
    return [
      stopsSentence(judgement, speech),
      ...doSentences(judgement, SHOE, speech),
      ...buysSentences(judgement, speech),
      ...partingSentences(judgement, speech),
      pulledSentence(judgement, speech),
      waitsSentence(judgement, speech),
    ];
  });

/** What a student is told of every figure, more of it, less of it, and where it was not measured before. */
const told = ({ length, feet, hand }: Speech): string[] =>
  Object.entries(FIGURE_WORDS).flatMap(([name, { instruction }]) => {
    const { unit, range } = FIGURES[name as FigureName];
    const by = { mm: 43, degrees: 12, percent: 8 }[unit];
    const to = Math.min(range.most, Math.max(range.least, { mm: 183, degrees: 17, percent: 42 }[unit]));
    return [null, by, -by].flatMap((step) => {
      const words = instruction?.({ by: step, to, length, shoeLength: SHOE, toesStay: true });
      return words === undefined ? [] : [inFootWords(words, feet, hand)];
    });
  });

const VERDICTS: readonly Held['verdict'][] = ['held', 'drifted', 'not measured'];

const held = (speech: Speech): string[] =>
  PLACED_FIGURES.flatMap((figure) =>
    VERDICTS.map((verdict) => heldSentence({ figure, verdict, agreed: 41, today: 63 }, speech)),
  );

const turned = (speech: Speech): string[] => {
  const random = seeded(14);
  return Array.from({ length: 12 }, () => {
    const legs = {
      inLead: 10 + 35 * random(),
      inTrail: 5 + 40 * random(),
      outLead: 25 + 35 * random(),
      trunk: 35 + 20 * random(),
    };
    const feet = feetOf(25 * random(), 25 * random());
    return TURNS.flatMap((turn) => {
      const budget = turnBudget(turn, bodyOf(legs), feet, USUAL_GOAL, { draws: DRAWS });
      return [budgetSentence(budget, speech), rangeSentence(budget)];
    });
  }).flat();
};

const agreed = (speech: Speech): string[] => [
  liftWords(25, speech),
  exceptionWords({ item: 'trailFlare', low: 22, high: 28 }, speech),
  exceptionWords({ item: 'stanceWidth', low: 300, high: 360 }, speech),
  exceptionWords({ item: 'stanceLine', low: -2, high: 6 }, speech),
];

/** Sentences by themselves: a full stop, a question mark or an exclamation mark ends one. */
const alone = (text: string): string[] =>
  text
    .split(/(?<=[.?!])\s+/)
    .map((sentence) => sentence.trim())
    .filter(Boolean);

/**
 * Every sentence of the lesson’s own screens, made from the phrases with sample figures.
 * @returns each once, by where it is said
 */
export function everySentence(): Record<string, string[]> {
  const groups = { judgement: judged, instructions: told, 'did it hold': held, turn: turned, agreed };
  return Object.fromEntries(
    Object.entries(groups).map(([name, make]) => [
      name,
      [...new Set(SPEECHES.flatMap(make).flatMap(alone))].sort((a, b) => a.localeCompare(b)),
    ]),
  );
}
