import { budgetSentence, nextStopSentence, stopSentence } from './turn';
import { STARTING_GIVES, turnBudget, type Speech, type TurningBody } from '..';

const angle = (value: number) => ({ value, uncertainty: 5 });
const body = (inTrail: number | null): TurningBody => ({
  legs: {
    turnIn: { lead: angle(35), trail: inTrail === null ? null : angle(inTrail) },
    turnOut: { lead: angle(42), trail: angle(45) },
    trunk: { back: angle(45), through: null },
  },
  gives: STARTING_GIVES,
  reaches: {},
  soreKnee: { lead: false, trail: false },
});
const speech: Speech = { length: 'cm', feet: 'lead and trail', hand: 'right' };
const feet = { flare: { lead: 20, trail: 7 }, flareUncertainty: { lead: 2, trail: 2 }, leadHeelLift: 0 };
const back = (inTrail: number | null) => turnBudget('back', body(inTrail), feet);

test('the trail leg stops it, fifteen degrees of flare get to the lead leg', () => {
  // Trail 10 + 10 + 7 = 27; lead 42 + 20 - 20 = 42; 45 needed.
  expect(budgetSentence(back(10), speech)).toMatch(
    /^Going back: the trail leg stops the hips at 27°; 45° is needed, 18° missing \(95%: \d+° to \d+°; reached/,
  );
  expect(nextStopSentence(back(10), speech)).toBe(
    '15° more trail flare gets it to 42°, then the lead leg is next.',
  );
});

test('enough is said as enough, and asks for nothing', () => {
  const free = turnBudget('through', body(40), feet);
  expect(budgetSentence(free, speech)).toMatch(/^Going through: enough\. The lead leg stops the hips at 65°/);
  expect(nextStopSentence(free, speech)).toBe('');
});

test('an untested leg is named, and what is known is said', () => {
  expect(budgetSentence(back(null), { ...speech, feet: 'left and right' })).toBe(
    'Going back: not known, because the right leg has not been tested. It ends at 42° at the latest.',
  );
});

test('a stop is opened down to its inputs', () => {
  expect(stopSentence(back(10).stops[0]!, speech)).toBe(
    'The trail leg going back: 10° in the test + 10° give + 7° flare = 27° ± 8°.',
  );
  expect(stopSentence(back(10).stops[1]!, speech)).toMatch(/42° in the test \+ 20° give − 20° flare = 42°/);
});
