import { heldSentence, type Speech } from '..';

const speech: Speech = { length: 'cm', feet: 'left and right', hand: 'left' };

test.each([
  [
    { figure: 'trailFlare', verdict: 'drifted', agreed: 29.6, today: 12.2 },
    'Left flare drifted: 12°, not 30°.',
  ],
  [
    { figure: 'setback', verdict: 'cannot tell', agreed: 64, today: 2 },
    'Left foot back about 0 cm, agreed 6 cm: measure it to be sure.',
  ],
  [{ figure: 'stanceWidth', verdict: 'held', agreed: 371, today: 374 }, 'Width held: 37 cm.'],
  [
    { figure: 'leadShare', verdict: 'not measured', agreed: 50, today: null },
    'Weight on the right foot: not measured since.',
  ],
] as const)('%j', (held, words) => {
  expect(heldSentence(held, speech)).toBe(words);
});
