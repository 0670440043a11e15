import type { LogEntry } from './lessons';
import { exceptionsWith, standingExceptions } from './exceptions';

const exception = (id: string, minute: number, over: object = {}): LogEntry =>
  ({
    id,
    lessonId: 'lesson',
    studentId: 'student',
    madeAt: `2026-05-01T10:0${minute}:00.000Z`,
    receivedAt: '',
    replaces: null,
    kind: 'exception',
    item: 'trailFlare',
    low: 20,
    high: 26,
    club: null,
    ended: false,
    ...over,
  }) as LogEntry;

test('an exception stands until another replaces or ends it; other students’ do not count', () => {
  const entries = [
    exception('first', 0),
    exception('second', 1, { replaces: 'first', low: 22 }),
    exception('lead', 2, { item: 'leadFlare' }),
    exception('end', 3, { item: 'leadFlare', replaces: 'lead', ended: true }),
    exception('other', 4, { studentId: 'somebody else' }),
  ];
  expect(standingExceptions(entries, 'student').map(({ id }) => id)).toEqual(['second']);
});

test('with a club its own exception goes before the one for all clubs', () => {
  const standing = standingExceptions(
    [
      exception('iron', 0, { club: '7-iron' }),
      exception('all', 1),
      exception('driver', 2, { club: 'driver' }),
    ],
    'student',
  );
  expect(exceptionsWith(standing, '7-iron').map(({ id }) => id)).toEqual(['iron']);
  expect(exceptionsWith(standing, 'driver').map(({ id }) => id)).toEqual(['driver']);
  expect(exceptionsWith(standing, '9-iron').map(({ id }) => id)).toEqual(['all']);
});
