import { QUICK_LOOK, setupAsSeen, setupAsTaken } from '@pedastance/core';
import { setup as example } from '../../core/test/example';
import { planWords } from '../plan/words';
import { lengthAsTaken } from './measured';

const drawn = { ...example(), measured: {} };
const wide = setupAsSeen(
  drawn,
  QUICK_LOOK.width.find(({ words }) => words === 'Wide')!,
  512,
);
const taped = setupAsTaken(drawn, { stanceWidth: 537.6 }, 'tape');

test('what an eye saw of a length is said no finer than it sees, on the plan and for those who do not see it', () => {
  const said = (setup: typeof drawn) => lengthAsTaken(setup, 'stanceWidth', 537.6, 'cm');
  expect([said(wide), said(taped)]).toEqual(['about 54 cm', '53.8 cm']);
  const speech = { length: 'cm', feet: 'left and right', hand: 'right' } as const;
  expect(planWords(wide, speech, null)).toContain('Heels about 54 cm apart.');
  expect(planWords(taped, speech, null)).toContain('Heels 53.8 cm apart.');
});

test('a ball ahead of the lead heel is told as outside it', () => {
  const ahead = setupAsTaken(drawn, { ballAlong: -20 }, 'tape');
  const words = planWords(ahead, { length: 'cm', feet: 'left and right', hand: 'right' }, null);
  expect(words).toContain('Ball 2.0 cm outside the left heel');
});
