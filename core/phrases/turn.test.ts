import { budgetSentence, stopSentence } from './turn';
import { turnBudget, type Angle, type Speech, type TurningBody } from '..';
import { angle, bodyOf, both, feetOf } from '../test/turning';

const body = (inTrail: number | null): TurningBody => {
  const of = bodyOf({ inTrail: inTrail ?? 0, outLead: 42 });
  return inTrail === null ? { ...of, legs: { ...of.legs, turnIn: both<Angle | null>(angle(35), null) } } : of;
};
const speech: Speech = { length: 'cm', feet: 'lead and trail', hand: 'right' };
const feet = feetOf(20, 7);
const back = (inTrail: number | null) => turnBudget('back', body(inTrail), feet);

test('the trail leg stops it, and so much is missing', () => {
  // Trail 10 + 10 + 7 = 27; lead 42 + 20 - 20 = 42; 45 needed.
  expect(budgetSentence(back(10), speech)).toMatch(
    /^Going back: the trail leg stops the hips at 27°\. 45° is needed: 18° short\.$/,
  );
});

test('a leg that hurts is not asked for', () => {
  const hurt = turnBudget('back', { ...body(10), hurts: ['trail back'] }, feet);
  expect(budgetSentence(hurt, speech)).toBe(
    'Going back: not asked for. The trail leg hurts, and is never turned further than today.',
  );
});

test('enough is said as enough', () => {
  const free = turnBudget('through', body(40), feet);
  expect(budgetSentence(free, speech)).toMatch(
    /^Going through: about 65°, 45° needed\. (Likely|Almost surely) enough\.$/,
  );
});

test('a usual leg stands in for one that was not tested, and is named', () => {
  // 40 of a usual leg, 10 give and 7 of flare are 57, as far as the lead leg goes.
  expect(budgetSentence(back(null), { ...speech, feet: 'left and right' })).toMatch(
    /^Going back: about 57°, .* A usual right leg stands in: it was not tested\.$/,
  );
  expect(stopSentence(back(null).stops[0]!, speech)).toMatch(/: 40° of a usual leg \+ 10° give/);
});

test('a stop is opened down to its inputs', () => {
  expect(stopSentence(back(10).stops[0]!, speech)).toBe(
    'The trail leg going back: 10° in the test + 10° give + 7° flare = 27° ± 8°.',
  );
  expect(stopSentence(back(10).stops[1]!, speech)).toMatch(/42° in the test \+ 35° give − 20° flare = 57°/);
});
