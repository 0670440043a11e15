import { setupAsTaken } from '..';
import { taught } from '../test/fitProblems';
import { daysToNextLook } from './nextLook';
import { drillsFor, proposeCard, type Agreement } from './propose';

const stand = (figures: Parameters<typeof setupAsTaken>[1]) =>
  setupAsTaken({ ...taught(), measured: {} }, figures, 'tape');
const student = { name: 'Ann Example', hand: 'left' as const, birthYear: 1990, bornOn: null, facts: [] };
const agreement = (over: Partial<Agreement> = {}): Agreement => ({
  student,
  from: stand({ trailFlare: 5, setback: 0 }),
  agreed: stand({ trailFlare: 25, setback: 75 }),
  cameFor: ['curves away'],
  looks: [],
  today: '2026-11-27',
  ...over,
});

test('a flare and a closed line: felt big first, drilled at the laces, looked at in a week', () => {
  const draft = proposeCard(agreement());
  expect(draft.dose).toBe('feel');
  expect(draft.further.map(({ figure }) => figure)).toEqual(['trailFlare', 'setback']);
  expect(draft.drills[0]!.id).toBe('far-back-then-laces');
  expect(draft.nextLook).toBe('2026-12-04');
});

test('where nothing is turned out or set back, one dose is enough', () => {
  const draft = proposeCard(agreement({ agreed: stand({ trailFlare: 5, setback: 0, ballAlong: 90 }) }));
  expect([draft.dose, draft.further, draft.rounds.feel]).toEqual(['play', [], 0]);
});

test('a minor practises less, and drills are fewer only where a caution bars them', () => {
  const minor = { ...student, birthYear: 2014 };
  expect(proposeCard(agreement({ student: minor })).practice).toEqual({
    daysAWeek: 2,
    balls: 20,
    warmUp: true,
  });
  expect(drillsFor(agreement({ student: minor }), 9).length).toBe(drillsFor(agreement(), 9).length);
});

test.each([
  [[], 7],
  [['held'], 14],
  [['held', 'held'], 28],
  [['held', 'held', 'held', 'held', 'held'], 56],
  [['held', 'held', 'drifted'], 7],
  [['drifted', 'held'], 14],
] as const)('after %j it is looked at again in %d days', (looks, days) => {
  expect(daysToNextLook(looks)).toBe(days);
});
