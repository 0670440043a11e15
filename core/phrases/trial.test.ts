import { shotFigure, shotNumber, type Units } from '../units';
import type { FactorialVerdict, Comparison, Effect, LookResult } from '../trial';
import {
  factorialSentence,
  effectSentences,
  evidenceSentences,
  intervalFigures,
  intervalSentence,
  missSentence,
  pathFigure,
  pathSentence,
  pathWords,
  planSentence,
  quickSentence,
  sideWords,
  verdictSentence,
} from './trial';

const METRIC: Units = { length: 'cm', distance: 'metres', speed: 'metres a second' };
const IMPERIAL: Units = { length: 'inches', distance: 'yards', speed: 'miles an hour' };

const comparison: Comparison = {
  outcome: 'straight path',
  count: { A: 12, B: 11 },
  mean: { A: -3.2, B: -1.8 },
  difference: 1.4,
  shift: 1.3,
  interval: [0.3, 2.4],
  p: 0.0108,
  exact: true,
  arrangements: 924,
  chance: 0.81,
};

test('figures in the coach’s units, each quantity by itself', () => {
  expect(shotFigure(-1.44, 'degrees', METRIC)).toBe('−1.4°');
  expect(shotFigure(100, 'metres', IMPERIAL)).toBe('109 yd');
  expect(shotFigure(44.704, 'metres a second', IMPERIAL)).toBe('100.0 mph');
  expect(shotFigure(50.8, 'millimetres', IMPERIAL)).toBe('2.0 in');
  expect(shotFigure(0.25, 'of shots', METRIC)).toBe('25%');
  const mixed: Units = { length: 'cm', distance: 'yards', speed: 'kilometres an hour' };
  expect(shotFigure(100, 'metres', mixed)).toBe('109 yd');
  expect(shotFigure(10, 'metres a second', mixed)).toBe('36.0 km/h');
  expect(shotFigure(-40, 'millimetres', mixed)).toBe('−4 cm');
  for (const unit of ['degrees', 'metres', 'metres a second', 'millimetres', 'of shots'] as const) {
    for (const units of [METRIC, IMPERIAL, mixed]) {
      expect(shotNumber.stored(shotNumber.shown(3.7, unit, units), unit, units)).toBeCloseTo(3.7, 12);
    }
  }
  expect(shotNumber.shown(3, 'degrees', IMPERIAL)).toBe(3);
});

test('five and five say beforehand how large a change they can show', () => {
  expect(quickSentence(2, 'degrees', METRIC)).toBe(
    'Five and five show only a large change: 3.4°, four times in five.',
  );
  // By Fisher's exact test, one-sided: luck alone gives 5 of 5 against 1 of 5 in 5 of 210 orders, against 2 of 5 in 10 of 120.
  expect(quickSentence(0.5, 'of shots', METRIC)).toContain('one with A and all five with B');
});

test('a path is told by its way', () => {
  expect([pathWords(2.34), pathWords(-0.6), pathWords(0.01)]).toEqual([
    '2.3° in-to-out',
    '0.6° out-to-in',
    'straight',
  ]);
});

test('a side is left or right by the hand', () => {
  expect([sideWords('far', 'right'), sideWords('far', 'left'), sideWords('near', 'right')]).toEqual([
    'right',
    'left',
    'left',
  ]);
});

test('the evidence says what it rests on, and against what', () => {
  expect(evidenceSentences(comparison, 1, 0.0282, METRIC)).toEqual([
    'B was 1.4° straighter on average.',
    'By the median of all pairs, 1.3° straighter.',
    'It rests on 11 shots with B and 12 with A.',
    'The true difference is likely between 0.3° and 2.4°.',
    'Sure to 95%. Above 0, B is better.',
    'Luck alone looks this good once in 100. We had said under 2.8.',
    '81% likely to be worth having: 1.0° or more.',
  ]);
  const drawn = evidenceSentences(
    { ...comparison, exact: false, arrangements: 20_000, p: 0.0002, difference: -2, chance: null },
    1,
    0.0135,
    METRIC,
  );
  expect(drawn[0]).toContain('2.0° less straight');
  expect(drawn.at(-1)).toContain('Luck alone hardly ever looks this good. We had said under');
  expect(drawn).toHaveLength(6);
});

test('what a shot shows or does not is told as how many of how many', () => {
  const shown: Comparison = {
    ...comparison,
    outcome: 'clean strike',
    count: { A: 12, B: 12 },
    mean: { A: 4 / 12, B: 9 / 12 },
    difference: 5 / 12,
    shift: null,
    interval: [0.02, 0.66],
  };
  expect(evidenceSentences(shown, 0.2, 0.0282, METRIC).slice(0, 3)).toEqual([
    'Clean strike with B: 9 of 12.',
    'With A: 4 of 12.',
    'The true difference is likely between 2% and 66%.',
  ]);
});

test('simulated shots are never told as the student’s own', () => {
  const better: LookResult = {
    look: 1,
    verdict: 'keep',
    because: 'better',
    level: 0.0282,
    primary: comparison,
    more: null,
  };
  expect(verdictSentence(better, false)).toBe('Keep. Your own shots show that B is better.');
  expect(verdictSentence(better, true)).toBe('Keep. The simulated shots show that B is better.');
});

test('a path is a guess in whole degrees until it is the student’s own', () => {
  expect(pathFigure({ value: 2.34, deviation: 0.81, guess: false })).toBe('path 2° in-to-out ± 1°');
  expect(pathFigure({ value: 0.3, deviation: 3.1, guess: true })).toBe('path about straight ± 3°, a guess');
  expect(pathSentence({ value: -6.2, deviation: 4.1, interval: [-14.2, 1.8], guess: true })).toBe(
    'these feet give a path about 6° out-to-in ± 4°, a guess. Almost always it lies between 14° out-to-in and 2° in-to-out.',
  );
});

test('an end that nothing bounds is not told', () => {
  expect(intervalSentence([null, null], 'degrees', METRIC)).toContain('no bounds');
  expect(intervalSentence([1, null], 'degrees', METRIC)).toBe(
    'The true difference is likely at least 1.0°. How far above, these shots do not say.',
  );
  expect(intervalFigures([null, 2], 'degrees', METRIC)).toBe('no bound to 2.0°');
});

test('a verdict says what next, and when it would take more than there is', () => {
  const verdict: LookResult = {
    look: 1,
    verdict: 'not yet',
    because: 'unclear',
    level: 0.0282,
    primary: comparison,
    more: { toNextLook: 6, inAll: 19 },
  };
  expect(verdictSentence(verdict, false)).toBe(
    'Not yet. These shots do not tell B from A. 6 more a side until the next look. If the difference is real, about 19 a side would show it.',
  );
  expect(verdictSentence({ ...verdict, more: { toNextLook: 6, inAll: 60 } }, false)).toContain(
    'This trial ends at 24.',
  );
  expect(verdictSentence({ ...verdict, more: { toNextLook: 6, inAll: null } }, false)).toMatch(
    /next look\.$/,
  );
  expect(verdictSentence({ ...verdict, verdict: 'drop', because: 'pain', more: null }, false)).toContain(
    'Doctor or physio first.',
  );
  expect(
    verdictSentence(
      {
        ...verdict,
        look: 3,
        verdict: 'not shown',
        because: 'never shown',
        more: { toNextLook: 0, inAll: 60 },
      },
      false,
    ),
  ).toBe(
    'Not shown. These shots leave open whether B is better. The old setup stays unless you say otherwise. If the difference is real, about 60 a side would show it.',
  );
});

test('the plan is told by how often it would show', () => {
  expect(planSentence([0.62, 0.77, 0.88], '1.0°')).toBe(
    'If B is better by 1.0°, such trials show it this often. 62% by 12 a side. 77% by 18 a side. 88% by 24 a side. Plan for 24 a side. With no difference, luck would fool us 6 times in 100 at most.',
  );
  expect(planSentence([0.1, 0.2, 0.3], '0.2°')).toContain('may well not show');
});

test('changes taken apart are told one by one', () => {
  const effect: Effect = {
    change: 0,
    difference: 3.2,
    interval: [0.4, 6.1],
    p: 1 / 256,
    pairs: 8,
    verdict: 'helps',
  };
  expect(effectSentences(effect, 'carry', 0.025, METRIC)).toEqual([
    'It helps. With it 3 m longer on average. 8 pairs of blocks differ in it alone.',
    'The true difference is likely between 0 m and 6 m.',
    'Luck alone looks this good 0.4 times in 100. We had said under 2.5.',
  ]);
  const verdict: FactorialVerdict = { verdict: 'keep', because: 'better', effects: [effect, null], helps: 1 };
  expect(factorialSentence(verdict, false)).toBe('● Keep what helped: 1 of 2. Your own shots show it.');
  expect(factorialSentence({ ...verdict, because: 'pain' }, false)).toContain('Doctor or physio first.');
  expect(factorialSentence({ ...verdict, because: 'never shown' }, false)).toContain('any of it helps');
  expect(factorialSentence({ ...verdict, because: 'worse' }, false)).toContain('harm');
});

test('misses are told by side, with how sure', () => {
  const words = missSentence(
    {
      near: 2,
      far: 7,
      shots: 24,
      pattern: 'not clear yet',
      side: 'far',
      share: 7 / 9,
      interval: [0.4, 0.972],
    },
    'left',
  );
  expect(words).toBe(
    'One way or both is not clear yet. 9 misses in 24 shots. 2 right, 7 left. Likely 40 to 97% of misses go left.',
  );
});
