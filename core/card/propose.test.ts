import { setupAsTaken } from '..';
import { method, taught } from '../test/taught';
import { DRILL_LIBRARY } from './drillLibrary';
import { daysToNextLook } from './nextLook';
import { drillsFor, proposeCard, type Agreement } from './propose';

const stand = (figures: Parameters<typeof setupAsTaken>[1]) =>
  setupAsTaken({ ...taught(), measured: {} }, figures, 'tape');
const student = { name: 'Ann Example', hand: 'left' as const, birthYear: 1990, bornOn: null, facts: [] };
const agreement = (over: Partial<Agreement> = {}): Agreement => ({
  student,
  club: '7-iron',
  shot: 'full',
  method: method('lead-foot-first'),
  from: stand({ trailFlare: 5, setback: 0 }),
  agreed: stand({ trailFlare: 25, setback: 75 }),
  cameFor: ['curves away'],
  sport: '',
  stops: [],
  pattern: null,
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

test('a cue comes from the sport they know, where it has one for what is taught', () => {
  expect(proposeCard(agreement({ sport: 'Rowing, long ago' })).cue).toBe(
    'Push from the heel, as off the foot stretcher.',
  );
  expect(proposeCard(agreement({ sport: 'tennis' })).cue).toBe(
    'Open the back foot as for a forehand on the run.',
  );
  expect(proposeCard(agreement({ sport: 'chess' })).cue).toBe('');
});

test('where nothing is turned out or set back, one dose is enough', () => {
  const draft = proposeCard(agreement({ agreed: stand({ trailFlare: 5, setback: 0, ballAlong: 90 }) }));
  expect([draft.dose, draft.further, draft.rounds.feel]).toEqual(['play', [], 0]);
});

test('feet that are only squared are felt at the laces, and not drilled far back', () => {
  const draft = proposeCard(
    agreement({ from: stand({ trailFlare: 5, setback: -50 }), agreed: stand({ trailFlare: 5, setback: 0 }) }),
  );
  expect(draft.further).toEqual([{ figure: 'setback', value: expect.closeTo(0.25 * 290, 0) }]);
  expect(draft.drills.map(({ id }) => id)).not.toContain('far-back-then-laces');
});

describe('stepping in follows the method', () => {
  const routine = (over: Partial<Agreement>) => proposeCard(agreement(over)).routine;
  const bumped = ['lead foot', 'trail foot', 'bump', 'rock and settle', 'go'];
  const plain = ['lead foot', 'trail foot', 'rock and settle', 'go'];

  test('a school that bumps does so with every club, a driver too', () => {
    expect(routine({})).toEqual(bumped);
    expect(routine({ club: 'driver' })).toEqual(bumped);
  });

  test('one that tilts with a driver tilts with that alone, and one that does neither does nothing', () => {
    expect(routine({ club: 'driver', method: method('by-the-arc') })).toContain('tilt');
    expect(routine({ method: method('by-the-arc') })).toEqual(plain);
    expect(routine({ club: 'driver', method: method('shoulders-and-neutral') })).toEqual(plain);
    expect(routine({ method: null })).toEqual(plain);
  });

  test('a sore back does not bump', () => {
    const sore = { joint: 'lower back', side: 'both', state: 'pain', since: '', clearedBy: '' } as const;
    const facts = [{ ...sore, notedOn: '2026-11-01', status: 'stands' as const }];
    expect(routine({ student: { ...student, facts } })).toEqual(plain);
  });

  test('a pitch has steps of its own, whatever the method', () => {
    expect(routine({ club: 'sand-wedge', shot: 'pitch' })).toEqual([
      'feet close',
      'trail foot in',
      'weight forward',
      'go',
    ]);
  });
});

test('a minor practises less, and drills are fewer only where a caution bars them', () => {
  const minor = { ...student, birthYear: 2014 };
  expect(proposeCard(agreement({ student: minor })).practice).toEqual({
    daysAWeek: 2,
    balls: 20,
    warmUp: true,
  });
  expect(drillsFor(agreement({ student: minor }), DRILL_LIBRARY, 9).length).toBe(
    drillsFor(agreement(), DRILL_LIBRARY, 9).length,
  );
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

describe('a pressure that is worked at', () => {
  const early = { pattern: 'toes early coming down' as const, sport: 'tennis' };

  test('takes its own cue and its own drill home, before what else fits', () => {
    const draft = proposeCard(agreement(early));
    expect(draft.cue).toBe('Lead heel down first.');
    expect(draft.drills[0]!.id).toBe('lead-toes-up');
    expect(draft.drills).toHaveLength(2);
    expect(new Set(draft.drills.map(({ id }) => id)).size).toBe(2);
  });

  test('takes no drill home that a fall bars', () => {
    const facts = [
      {
        joint: 'other' as const,
        side: 'both' as const,
        state: 'recent fall' as const,
        since: '',
        clearedBy: '',
        notedOn: '2026-11-01',
        status: 'stands' as const,
      },
    ];
    const fell = { ...student, facts };
    const draft = proposeCard(agreement({ ...early, student: fell }));
    expect(draft.drills.map(({ id }) => id)).not.toContain('lead-toes-up');
  });
});
