import { openSuggestions, withFact } from './facts';
import { factName, factWords, shownFacts } from './factWords';

const KNEE = { joint: 'knee', side: 'left', state: 'pain' } as const;

test('a fact is told with its side of the body, and the leg it is for this hand', () => {
  expect(factName(KNEE, 'right')).toBe('Left knee (lead): hurts');
  expect(factName(KNEE, 'left')).toBe('Left knee (trail): hurts');
  expect(factName({ joint: 'hip', side: 'both', state: 'stiff' }, 'right')).toBe('Both hips: stiff');
  expect(factName({ joint: 'lower back', side: 'both', state: 'operated' }, 'right')).toBe(
    'Lower back: operated on',
  );
  expect(factName({ joint: 'other', side: 'both', state: 'recent fall' }, 'right')).toBe('Fell lately');
  expect(factName({ joint: 'other', side: 'right', state: 'pain' }, 'right')).toBe(
    'Elsewhere on the right: hurts',
  );
});

test('a suggestion is open until it is confirmed or waved away; what is over stays with its date', () => {
  const student = { cautions: 'Left knee hurts downhill.', hand: 'right' as const, facts: [] };
  expect(openSuggestions(student)).toEqual([KNEE]);
  const waved = withFact([], KNEE, { status: 'waved away' }, '2026-11-26');
  expect(openSuggestions({ ...student, facts: waved })).toEqual([]);
  expect(shownFacts(waved)).toEqual([]);
  const kept = withFact([], KNEE, { since: 'spring' }, '2026-11-01');
  const over = withFact(kept, KNEE, { status: 'over' }, '2026-11-26');
  expect(over).toEqual([{ ...KNEE, since: 'spring', clearedBy: '', status: 'over', notedOn: '2026-11-26' }]);
  expect(factWords(over[0]!, 'right', (day) => day)).toBe(
    'Left knee (lead): hurts, since spring, over 2026-11-26',
  );
});
