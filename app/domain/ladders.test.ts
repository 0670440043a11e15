import { ownLadder } from '../../core/test/example';
import type { LadderEntry, LogEntry, Student } from '@pedastance/contract';
import type { CautionFact } from '@pedastance/core/body';
import { climbOf, laddersFor, laddersIn, takenOf } from './ladders';

const entry = (id: string, over: Partial<LadderEntry> & { studentId?: string } = {}): LogEntry =>
  ({
    id,
    kind: 'ladder',
    lessonId: 'a lesson before',
    madeAt: '2026-05-01T10:00:00.000Z',
    replaces: null,
    studentId: 'one',
    receivedAt: over.madeAt ?? '2026-05-01T10:00:00.000Z',
    ladder: 'trail flare',
    own: null,
    turns: [
      { rung: 0, result: null, measured: null },
      { rung: 10, result: 'failed', measured: null },
    ],
    ...over,
  }) as LogEntry;

test('what was gone further up replaces what was kept before; another student’s is not told', () => {
  const log = [
    entry('first'),
    entry('further', { replaces: 'first', madeAt: '2026-05-01T10:20:00.000Z' }),
    entry('later', { lessonId: 'another', madeAt: '2026-06-01T10:00:00.000Z' }),
    entry('strange', { studentId: 'two' } as never),
  ];
  expect(laddersIn(log, 'one').map(({ id }) => id)).toEqual(['later', 'further']);
});

test('a ladder broken off is gone on with for two weeks, as a sitting of its own; after that it is only shown', () => {
  const kept = laddersIn([entry('first')], 'one');
  const of = {
    key: 'trail flare',
    lessonId: 'now',
    turns: [{ rung: 20, result: 'passed', measured: null }],
  } as const;
  const soon = climbOf(kept, of, new Date('2026-05-09T10:00:00.000Z'));
  expect(soon).toMatchObject({ goesOn: true, sitting: 1 });
  expect(soon.tries.map(({ rung, sitting, turn }) => [rung, sitting, turn])).toEqual([
    [0, 0, 0],
    [10, 0, 1],
    [20, 1, 0],
  ]);
  const late = climbOf(kept, of, new Date('2027-04-01T10:00:00.000Z'));
  expect(late).toMatchObject({ goesOn: false, sitting: 0, earlier: { id: 'first' } });
  expect(late.tries).toHaveLength(1);
  // The open lesson's own is not an earlier one, nor is another foot's.
  expect(climbOf(kept, { ...of, lessonId: 'a lesson before' }, new Date()).earlier).toBeNull();
  expect(climbOf(kept, { ...of, key: 'lead flare' }, new Date()).earlier).toBeNull();
});

test('a third sitting goes on with both that were kept; a day that is yet to come is doubted', () => {
  const log = [
    entry('first'),
    entry('second', { lessonId: 'another', madeAt: '2026-05-03T10:00:00.000Z' }),
    // The server had it on the day on which it was made: the device was ahead.
    entry('ahead', {
      lessonId: 'third',
      madeAt: '2028-01-01T10:00:00.000Z',
      receivedAt: '2026-05-03T12:00:00.000Z',
    } as never),
  ];
  const kept = laddersIn(log, 'one');
  const of = { key: 'trail flare', lessonId: 'now', turns: [] };
  expect(climbOf(kept, of, new Date('2026-05-04T10:00:00.000Z'))).toMatchObject({
    sitting: 3,
    clockMoved: false,
  });
  const before = climbOf(kept, of, new Date('2026-04-01T10:00:00.000Z'));
  expect(before).toMatchObject({ sitting: 0, goesOn: false, clockMoved: true });
});

const STUDENT = { id: 'one', hand: 'left', bornOn: null, birthYear: 1960, facts: [] } as unknown as Student;
const OWN = ownLadder({ minors: false });
const keysOf = (student: Student) => laddersFor(student, [OWN], '2026-05-04').map(({ key }) => key);

test('a sore trail hip goes up the lead foot in half swings; a minor not up what is for adults', () => {
  expect(keysOf(STUDENT)).toEqual(['trail flare', 'lead flare', 'width', 'own own-ball-back']);
  const sore = { joint: 'hip', side: 'left', state: 'pain', status: 'stands' } as CautionFact;
  expect(keysOf({ ...STUDENT, facts: [sore] })).toContain('easy lead flare');
  expect(keysOf({ ...STUDENT, hand: 'right', facts: [sore] })).toContain('lead flare');
  expect(keysOf({ ...STUDENT, birthYear: 2014 })).toEqual(['trail flare', 'lead flare', 'width']);
  const fell = { joint: 'other', side: 'both', state: 'recent fall', status: 'stands' } as CautionFact;
  expect(keysOf({ ...STUDENT, facts: [fell] })).not.toContain('width');
});

test('what is taken of a ladder: a band for all clubs, as wide as one can post, the ball with this club', () => {
  const [trail, , width, own] = laddersFor(STUDENT, [OWN], '2026-05-04');
  const found = {
    middle: 24,
    low: 19,
    high: 27.4,
    standOn: 25,
    beyond: null,
    doubt: null,
    contradictions: [],
  };
  expect(takenOf(trail!, found, '7-iron')).toEqual({ item: 'trailFlare', low: 25, high: 30, club: null });
  expect(takenOf(width!, { ...found, standOn: 480 }, null)).toEqual({
    item: 'widest',
    low: 240,
    high: 480,
    club: null,
  });
  expect(takenOf(own!, { ...found, standOn: 60, low: 52 }, '7-iron')).toEqual({
    item: 'ballAlong',
    low: 40,
    high: 60,
    club: '7-iron',
  });
  expect(takenOf(own!, found, null)).toBeNull();
  for (const each of [trail!, width!])
    expect(takenOf(each, { ...found, standOn: null }, '7-iron')).toBeNull();
});
