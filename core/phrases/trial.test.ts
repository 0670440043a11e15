import type { FactorialVerdict, Comparison, Effect, LookResult } from '../trial';
import {
  factorialSentence,
  effectSentences,
  evidenceSentences,
  missSentence,
  pathWords,
  planSentence,
  shotFigure,
  shotNumber,
  sideWords,
  verdictSentence,
} from './trial';

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

test('figures in the coach’s units: yards and miles an hour go with inches', () => {
  expect(shotFigure(-1.44, 'degrees', 'cm')).toBe('−1.4°');
  expect(shotFigure(100, 'metres', 'inches')).toBe('109 yd');
  expect(shotFigure(44.704, 'metres a second', 'inches')).toBe('100.0 mph');
  expect(shotFigure(0.25, 'of shots', 'cm')).toBe('25 in 100');
  for (const unit of ['degrees', 'metres', 'metres a second', 'of shots'] as const) {
    for (const length of ['cm', 'inches'] as const) {
      expect(shotNumber.stored(shotNumber.shown(3.7, unit, length), unit, length)).toBeCloseTo(3.7, 12);
    }
  }
  expect(shotNumber.shown(3, 'degrees', 'inches')).toBe(3);
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
  expect(evidenceSentences(comparison, 1, 0.0282, 'cm')).toEqual([
    'B was 1.4° straighter on average, 1.3° straighter by the median of all pairs: 11 shots against 12 of A.',
    'The true difference is likely between 0.3° and 2.4° (95%, this look by itself; above 0 B is better).',
    'Of all 924 orders these shots could have been dealt in, B would look this good 11 times in 1000 if the setup made no difference; at most 28 times in 1000 was said to be enough beforehand.',
    'That B is better by 1.0° or more: 81 in 100, knowing nothing but these shots.',
  ]);
  const drawn = evidenceSentences(
    { ...comparison, exact: false, arrangements: 20_000, p: 0.0002, difference: -2, chance: null },
    1,
    0.0135,
    'cm',
  );
  expect(drawn[0]).toContain('2.0° less straight');
  expect(drawn[2]).toContain(
    'Of 20,000 orders drawn as these shots were, B would look this good less than once in 1000 times',
  );
  expect(drawn).toHaveLength(3);
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
  expect(verdictSentence(verdict)).toBe(
    'Not yet. These shots do not tell B from A. 6 more a side until the next look. If the difference is what it looks like, about 19 a side would show it.',
  );
  expect(verdictSentence({ ...verdict, more: { toNextLook: 6, inAll: 60 } })).toContain(
    'this trial ends at 24',
  );
  expect(verdictSentence({ ...verdict, more: { toNextLook: 6, inAll: null } })).toMatch(/next look\.$/);
  expect(verdictSentence({ ...verdict, verdict: 'drop', because: 'pain', more: null })).toContain(
    'doctor or physiotherapist',
  );
});

test('the plan is told by how often it would show', () => {
  expect(planSentence([0.62, 0.77, 0.88], '1.0°')).toBe(
    'If B is better by 1.0°, such trials show it 62 in 100 by 12 a side, 77 in 100 by 18 a side, 88 in 100 by 24 a side. Plan for 24 a side. With nothing there, 6 in 100 at the very most are kept by chance, all looks together.',
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
  expect(effectSentences(effect, 'carry', 0.025, 'cm')).toEqual([
    'It helps. With it 3 m longer on average, in 8 pairs of blocks that differ in it alone.',
    'The true difference is likely between 0 m and 6 m (95%).',
    'Of all 256 ways of swapping within the pairs, it would look this good 4 times in 1000 if it did nothing; at most 25 times in 1000 was said to be enough beforehand.',
  ]);
  const verdict: FactorialVerdict = { verdict: 'keep', because: 'better', effects: [effect, null], helps: 1 };
  expect(factorialSentence(verdict)).toBe('● Keep what helped: 1 of 2. Your own shots show it.');
  expect(factorialSentence({ ...verdict, because: 'pain' })).toContain('doctor or physiotherapist');
  expect(factorialSentence({ ...verdict, because: 'never shown' })).toContain('any of it helps');
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
    'One way or both is not clear yet. 9 misses in 24 shots: 2 right, 7 left; 78 in 100 go left (95%: 40 to 97).',
  );
});
