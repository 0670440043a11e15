import type { LogEntry } from '@pedastance/contract';
import { setup } from '../../core/test/example';
import { shotCoursesOf } from './shotCourses';

const common = (id: string, madeAt: string) => ({
  id,
  lessonId: 'l',
  studentId: 's',
  receivedAt: '',
  replaces: null,
  madeAt,
});
const address = (id: string, club: '7-iron' | 'driver', shot: 'full' | 'pitch' = 'full'): LogEntry => ({
  ...common(id, '2026-05-01T09:00:00Z'),
  kind: 'address',
  standing: 'today',
  club,
  clubLengthInches: 37,
  shot,
  setup: setup(),
});
type ShotsEntry = Extract<LogEntry, { kind: 'shots' }>;
const shots = (id: string, madeAt: string, over: Partial<ShotsEntry>): LogEntry => ({
  ...common(id, madeAt),
  kind: 'shots',
  addressId: 'iron',
  trialId: null,
  source: 'typed',
  sitting: 0,
  place: null,
  shots: [],
  ...over,
});

const log: LogEntry[] = [
  address('iron', '7-iron'),
  address('wood', 'driver'),
  address('pitch', '7-iron', 'pitch'),
  shots('1', '2026-05-01T10:00:00Z', { shots: [{ path: -4, clubSpeed: 36, mishit: false }] }),
  shots('2', '2026-05-01T10:05:00Z', {
    shots: [
      { path: -2, mishit: false },
      { path: -20, mishit: true },
    ],
  }),
  shots('3', '2026-05-08T10:00:00Z', { shots: [{ path: -1, mishit: false }] }),
  // A pitch is no slow full shot.
  shots('5', '2026-05-08T10:30:00Z', { addressId: 'pitch', shots: [{ path: 9, mishit: false }] }),
  shots('4', '2026-05-08T11:00:00Z', { addressId: 'wood', shots: [{ path: 3, mishit: false }] }),
];

test('the mean of each day’s shots, day by day, where there are two days', () => {
  expect(shotCoursesOf(log, 's')).toEqual([
    {
      club: '7-iron',
      shot: 'full',
      figure: 'path',
      simulated: false,
      points: [
        { madeAt: '2026-05-01T10:00:00Z', value: -3, shots: 2 },
        { madeAt: '2026-05-08T10:00:00Z', value: -1, shots: 1 },
      ],
    },
  ]);
  expect(shotCoursesOf(log, 'someone else')).toEqual([]);
});

test('simulated shots count only where there are no others, and are said to be', () => {
  const simulated = log.map((entry) =>
    entry.kind === 'shots' ? { ...entry, source: 'simulated monitor' as const } : entry,
  );
  expect(shotCoursesOf(simulated, 's')[0]!.simulated).toBe(true);
});
