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
    'Luck alone looks this good once in 100. We had said under 2.8.',
    '81% likely to be worth having: 1.0° or more.',
  ]);
  const drawn = evidenceSentences(
    { ...comparison, exact: false, arrangements: 20_000, p: 0.0002, difference: -2, chance: null },
    1,
    0.0135,
    'cm',
  );
  expect(drawn[0]).toContain('2.0° less straight');
  expect(drawn[2]).toContain('Luck alone hardly ever looks this good. We had said under');
  expect(drawn).toHaveLength(3);
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
  expect(evidenceSentences(shown, 0.2, 0.0282, 'cm').slice(0, 2)).toEqual([
    'Clean strike: 9 of 12 with B, 4 of 12 with A.',
    'The true difference is likely between 2 in 100 and 66 in 100 (95%, this look by itself; above 0 B is better).',
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
  expect(pathFigure({ value: 2.34, deviation: 0.81, guess: false })).toBe('path 2.3° in-to-out ± 0.8°');
  expect(pathFigure({ value: 0.3, deviation: 3.1, guess: true })).toBe('path about straight ± 3°, a guess');
  expect(pathSentence({ value: -6.2, deviation: 4.1, interval: [-14.2, 1.8], guess: true })).toBe(
    'these feet give a path about 6° out-to-in ± 4°, a guess (95%: 14.2° out-to-in to 1.8° in-to-out).',
  );
});

test('an end that nothing bounds is not told', () => {
  expect(intervalSentence([null, null], 'degrees', 'cm', '95%')).toContain('no bounds');
  expect(intervalSentence([1, null], 'degrees', 'cm', '95%')).toBe(
    'The true difference is likely at least 1.0°; how far above that, these shots do not say (95%).',
  );
  expect(intervalFigures([null, 2], 'degrees', 'cm')).toBe('no bound to 2.0°');
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
    'Not yet. These shots do not tell B from A. 6 more a side until the next look. If the difference is what it looks like, about 19 a side would show it.',
  );
  expect(verdictSentence({ ...verdict, more: { toNextLook: 6, inAll: 60 } }, false)).toContain(
    'this trial ends at 24',
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
    'Not shown. These shots leave open whether B is better; the old setup stays unless you say otherwise. If the difference is what it looks like, about 60 a side would show it.',
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
    'One way or both is not clear yet. 9 misses in 24 shots: 2 right, 7 left; 78 in 100 go left (95%: 40 to 97).',
  );
});
