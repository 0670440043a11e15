import type { LadderEntry, LogEntry } from '@pedastance/contract';
import { climbOf, laddersIn } from './ladders';

const entry = (id: string, over: Partial<LadderEntry> & { studentId?: string } = {}): LogEntry =>
  ({
    id,
    kind: 'ladder',
    lessonId: 'a lesson before',
    madeAt: '2026-05-01T10:00:00.000Z',
    replaces: null,
    studentId: 'one',
    receivedAt: '2026-05-01T10:00:00.000Z',
    ladder: 'trail flare',
    turns: [
      { rung: 0, result: null },
      { rung: 10, result: 'failed' },
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
  const of = { name: 'trail flare', lessonId: 'now', turns: [{ rung: 20, result: 'passed' }] } as const;
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
  expect(climbOf(kept, { ...of, name: 'lead flare' }, new Date()).earlier).toBeNull();
});
