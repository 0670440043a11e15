import type { LogEntry } from './lessons';
import { readSetup } from '@pedastance/core';
import { build, method, setup } from '../core/test/example';
import { landed, recordsOf } from './records';

const base = (id: string, minute: number) => ({
  id,
  lessonId: 'lesson',
  studentId: 'student',
  madeAt: `2026-05-01T10:${String(minute).padStart(2, '0')}:00Z`,
  receivedAt: '2026-05-01T11:00:00Z',
  replaces: null,
});
const address = (id: string, minute: number, standing: 'today' | 'agreed' = 'today'): LogEntry => ({
  ...base(id, minute),
  kind: 'address',
  standing,
  club: '7-iron',
  clubLengthInches: 37,
  shot: 'full',
  setup: setup(),
});
const reading = (id: string, addressId: string, minute: number): LogEntry => ({
  ...base(id, minute),
  kind: 'reading',
  addressId,
  buildId: 'build',
  note: '',
  screenId: null,
  methodId: 'method',
  methodVersion: 1,
  facts: null,
  judgement: null,
  ...readSetup({
    setup: setup(),
    build: build(),
    legs: null,
    club: '7-iron',
    clubLengthInches: 37,
    shot: 'full',
    method,
  }),
});
const change = (id: string, readingId: string, minute: number, over: object = {}): LogEntry =>
  ({
    ...base(id, minute),
    kind: 'change',
    readingId,
    fromAddressId: 'a1',
    toAddressId: 'a2',
    leadHeelLift: 0,
    shoulderGoal: 90,
    reason: id,
    feel: '',
    note: '',
    ...over,
  }) as LogEntry;

const log = [
  address('a1', 1),
  reading('r1', 'a1', 2),
  address('a2', 3, 'agreed'),
  change('c1', 'r1', 4),
  address('a3', 10),
  reading('r3', 'a3', 11),
];

test('a record is a reading with its address and what was agreed, newest first', () => {
  const records = recordsOf(log, 'student');
  expect(
    records.map((record) => [record.reading.id, record.address.id, record.change?.id, record.agreed?.id]),
  ).toEqual([
    ['r3', 'a3', undefined, undefined],
    ['r1', 'a1', 'c1', 'a2'],
  ]);
  expect(recordsOf(log, 'somebody else')).toEqual([]);
});

test('of a change and its corrections the last one stands', () => {
  const corrected = [
    ...log,
    change('c2', 'r1', 20, { replaces: 'c1' }),
    change('c3', 'r1', 30, { replaces: 'c2' }),
  ];
  const record = recordsOf(corrected, 'student').find((each) => each.reading.id === 'r1')!;
  expect(record.change?.id).toBe('c3');
  expect(record.corrections).toBe(2);
});

test('a record has landed when all of its parts have', () => {
  expect(landed(recordsOf(log, 'student')[1]!)).toBe(true);
  const waiting = log.map((entry) => (entry.id === 'c1' ? { ...entry, receivedAt: '' } : entry));
  expect(landed(recordsOf(waiting, 'student')[1]!)).toBe(false);
});

test('a reading whose address has not come yet waits', () => {
  expect(recordsOf([reading('r1', 'a1', 2)], 'student')).toEqual([]);
});
