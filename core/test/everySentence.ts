import {
  cautionsOf,
  evidenceSentences,
  groundSentences,
  JOINTS,
  missSentence,
  OUTCOME_DEFINITIONS,
  OUTCOMES,
  planSentence,
  quickSentence,
  shotFigure,
  verdictSentence,
  type Comparison,
  type LookResult,
  type Outcome,
  type Units,
  budgetSentence,
  buysSentences,
  doSentences,
  exceptionWords,
  FIGURE_WORDS,
  FIGURES,
  heldSentence,
  inFootWords,
  judge,
  leavesSentence,
  liftWords,
  pairSentence,
  partingSentences,
  PATTERN_WAYS,
  PLACED_FIGURES,
  PRESSURE_PATTERNS,
  pulledSentence,
  rangeSentence,
  seeded,
  stopsSentence,
  turnBudget,
  TURNS,
  USUAL_GOAL,
  waitsSentence,
  type FigureName,
  type Judgement,
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

const saidOf = (judgement: Judgement, speech: Speech): string[] => [
  stopsSentence(judgement, speech),
  ...doSentences(judgement, SHOE, speech),
  ...buysSentences(judgement, speech),
  ...partingSentences(judgement, speech),
  pulledSentence(judgement, speech),
  pairSentence(judgement),
  waitsSentence(judgement, speech),
];

/** What is said of sixty cases. */
const judged = (speech: Speech): string[] =>
  WRITTEN_CASES.flatMap((each) => saidOf(judge(caseOf(each), DRAWS), speech));

/** What is said of every pattern of the pressure, however it was seen, beside a path that is off. */
const pressed = (speech: Speech): string[] => {
  const across = caseOf(
    WRITTEN_CASES.find(({ name }) => name === 'a monitor shows the path across the ball')!,
  );
  const leaves = { at: 'half back', found: 62.4, usual: 38.2 } as const;
  return PRESSURE_PATTERNS.flatMap((pattern) => [
    inFootWords(leavesSentence({ pattern, by: 20, atLeast: 15, leaves }), speech.feet, speech.hand),
    ...PATTERN_WAYS.flatMap((way) =>
      saidOf(judge({ ...across, cameFor: [], pressure: { pattern, way } }, 0), speech),
    ),
  ]);
};

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

const METRIC: Units = { length: 'cm', distance: 'metres', speed: 'miles an hour' };

/** A comparison of each outcome, better and worse, with and without an end that nothing bounds. */
const compared = (outcome: Outcome): Comparison[] => {
  const { yesOrNo, scatter } = OUTCOME_DEFINITIONS[outcome];
  const common = {
    outcome,
    count: { A: 12, B: 11 },
    mean: { A: 0.25, B: 0.75 },
    exact: true,
    arrangements: 924,
  };
  return [
    {
      ...common,
      difference: scatter,
      shift: yesOrNo ? null : scatter,
      interval: [0.1, 2 * scatter],
      p: 0.01,
      chance: 0.8,
    },
    {
      ...common,
      difference: -scatter,
      shift: yesOrNo ? null : -scatter,
      interval: [null, scatter],
      p: 0.6,
      chance: null,
    },
    {
      ...common,
      difference: scatter,
      shift: yesOrNo ? null : scatter,
      interval: [0.1, null],
      p: 0.0001,
      chance: 0.9,
    },
    {
      ...common,
      difference: scatter,
      shift: yesOrNo ? null : scatter,
      interval: [null, null],
      p: 0.2,
      chance: null,
    },
  ];
};

const BECAUSE: readonly LookResult['because'][] = [
  'pain',
  'better',
  'worse',
  'unclear',
  'never shown',
  'not seen',
];

/** What trials say: their plan, their evidence, their verdicts, their misses. */
const tried = ({ hand }: Speech): string[] => [
  ...OUTCOMES.flatMap((outcome) => {
    const { unit, margin, scatter } = OUTCOME_DEFINITIONS[outcome];
    return [
      planSentence([0.5, 0.7, 0.9], shotFigure(margin, unit, METRIC)),
      planSentence([0.1, 0.2, 0.3], shotFigure(margin, unit, METRIC)),
      quickSentence(scatter, unit, METRIC),
      ...compared(outcome).flatMap((each) => evidenceSentences(each, margin, 0.0282, METRIC)),
    ];
  }),
  ...BECAUSE.flatMap((because) =>
    [false, true].map((simulated) =>
      verdictSentence(
        {
          look: 1,
          verdict: 'not yet',
          because,
          level: 0.0282,
          primary: null,
          more: { toNextLook: 6, inAll: 40 },
        },
        simulated,
      ),
    ),
  ),
  ...(['one way', 'both ways', 'not clear yet', 'no misses'] as const).map((pattern) =>
    missSentence(
      { near: 2, far: 7, shots: 24, pattern, side: 'far', share: 7 / 9, interval: [0.4, 0.97] },
      hand,
    ),
  ),
];

/** What divots and a driver's attack say. */
const ground = (): string[] =>
  [-80, 0, 60].flatMap((divotStart) => [
    ...groundSentences('7-iron', [{ divotStart, mishit: false }], METRIC),
    ...groundSentences('7-iron', [{ divotStart, divotEnd: divotStart + 140, mishit: false }], METRIC),
    ...groundSentences('driver', [{ attack: divotStart / 20, mishit: false }], METRIC),
  ]);

/** Every caution of the body, said where it is shown. */
const cautioned = (speech: Speech): string[] =>
  JOINTS.flatMap((joint) =>
    (['pain', 'stiff', 'operated'] as const).flatMap((state) =>
      cautionsOf(
        [{ joint, side: 'both', state, since: '', clearedBy: '', notedOn: '2026-05-01', status: 'stands' }],
        speech.hand,
        true,
      ).flatMap(({ caution, notSuggested, instead, deferTo, reason }) =>
        [caution, notSuggested, instead, deferTo, reason].map((words) =>
          inFootWords(words, speech.feet, speech.hand),
        ),
      ),
    ),
  );

/** Sentences by themselves: a full stop, a question mark or an exclamation mark ends one. */
const alone = (text: string): string[] =>
  text
    .split(/(?<=[.?!])\s+/)
    .map((sentence) => sentence.trim())
    .filter(Boolean);

/**
 * Every sentence of the lesson’s screens and of its trials, made from the phrases with sample figures.
 * @returns each once, by where it is said
 */
export function everySentence(): Record<string, string[]> {
  const groups = {
    judgement: judged,
    pressure: pressed,
    instructions: told,
    'did it hold': held,
    turn: turned,
    agreed,
    cautions: cautioned,
    trials: tried,
    ground,
  };
  return Object.fromEntries(
    Object.entries(groups).map(([name, make]) => [
      name,
      [...new Set(SPEECHES.flatMap(make).flatMap(alone))].sort((a, b) => a.localeCompare(b)),
    ]),
  );
}
