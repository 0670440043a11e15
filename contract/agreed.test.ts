import type { LogEntry } from './lessons';
import { setupAsTaken, type Setup } from '@pedastance/core';
import { setup as example } from '../core/test/example';
import { agreedWith, ownWith } from './agreed';

const STUDENT = 'student';
const stand = (trailFlare: number, stanceWidth = 500): Setup =>
  setupAsTaken({ ...example(), measured: {} }, { trailFlare, stanceWidth }, 'tape');
const on = (day: number): string => `2026-05-${String(day).padStart(2, '0')}T10:00:00.000Z`;

interface Lesson {
  day: number;
  from: Setup;
  agreed: Setup;
  lift?: number;
  club?: '7-iron' | 'driver';
}

/** The entries of a lesson that agreed on something. */
function lesson({ day, from, agreed, lift = 0, club = '7-iron' }: Lesson): LogEntry[] {
  const common = {
    studentId: STUDENT,
    lessonId: `lesson ${day} ${club}`,
    madeAt: on(day),
    replaces: null,
    receivedAt: on(day),
  };
  const address = (id: string, setup: Setup) => ({
    ...common,
    id,
    kind: 'address',
    club,
    shot: 'full',
    setup,
  });
  const [today, to, reading] = ['today', 'agreed', 'reading'].map((each) => `${each} ${day} ${club}`);
  return [
    address(today!, from),
    address(to!, agreed),
    { ...common, id: reading!, kind: 'reading', addressId: today! },
    {
      ...common,
      id: `change ${day} ${club}`,
      kind: 'change',
      readingId: reading!,
      fromAddressId: today!,
      toAddressId: to!,
      leadHeelLift: lift,
    },
  ] as unknown as LogEntry[];
}

const asked = (entries: readonly LogEntry[], over: object = {}) => ({
  entries,
  studentId: STUDENT,
  club: '7-iron' as const,
  shot: 'full' as const,
  lessonId: null,
  ...over,
});
const told = (entries: readonly LogEntry[], over: object = {}) =>
  agreedWith(asked(entries, over)).agreed.map(({ item, by, to, today }) => [item, by, Math.round(to), today]);

const FIRST = lesson({ day: 3, from: stand(5), agreed: stand(25), lift: 25 });
const SECOND = lesson({ day: 9, from: stand(24), agreed: stand(30), lift: 25 });

test('the newest word on each figure with the club holds, and nothing that was not moved', () => {
  expect(told(FIRST)).toEqual([
    ['trailFlare', 'more', 25, false],
    ['leadHeelLift', 'more', 25, false],
  ]);
  expect(told([...FIRST, ...SECOND])).toEqual([
    ['leadHeelLift', 'more', 25, false],
    ['trailFlare', 'more', 30, false],
  ]);
  expect(told(FIRST, { club: 'driver' })).toEqual([]);
  expect(told(FIRST, { lessonId: 'lesson 3 7-iron' })[0]).toEqual(['trailFlare', 'more', 25, true]);
});

const exception = (day: number, over: object) =>
  ({
    ...{ id: `exception ${day}`, studentId: STUDENT, lessonId: 'x', madeAt: on(day), replaces: null },
    ...{ kind: 'exception', item: 'trailFlare', low: 25, high: 25, club: '7-iron', ended: true },
    ...over,
  }) as unknown as LogEntry;

test('what is let go stands no more, until it is agreed anew', () => {
  expect(told([...FIRST, exception(5, {})])).toEqual([['leadHeelLift', 'more', 25, false]]);
  expect(told([...FIRST, exception(5, { club: 'driver' })])).toHaveLength(2);
  // The end of a tested band lets go of nothing that was agreed.
  expect(told([...FIRST, exception(5, { replaces: 'a tested band' })])).toHaveLength(2);
  expect(told([...FIRST, exception(5, {}), ...SECOND])).toContainEqual(['trailFlare', 'more', 30, false]);
});

const trial = (day: number, decision: 'keep' | 'drop') =>
  [
    {
      id: 'trial',
      studentId: STUDENT,
      kind: 'trial',
      madeAt: on(day),
      replaces: null,
      addressAId: 'today 3 7-iron',
      addressBId: 'agreed 3 7-iron',
    },
    {
      id: 'look',
      studentId: STUDENT,
      kind: 'look',
      madeAt: on(day),
      replaces: null,
      trialId: 'trial',
      decision,
    },
  ] as unknown as LogEntry[];

test('what a trial had dropped stands no more and is not asked for again; what it kept stands', () => {
  expect(agreedWith(asked([...FIRST, ...trial(6, 'keep')]))).toMatchObject({ dropped: [] });
  const { agreed, dropped } = agreedWith(asked([...FIRST, ...trial(6, 'drop')]));
  expect(agreed.map(({ item }) => item)).toEqual(['leadHeelLift']);
  expect(dropped).toEqual([{ item: 'trailFlare', by: 'more' }]);
  // Agreed on all the same afterwards, it is the coach's word that counts.
  expect(agreedWith(asked([...FIRST, ...trial(6, 'drop'), ...SECOND])).dropped).toEqual([]);
});

test('a tested band gives way to what was agreed after it, and stands before what was agreed earlier', () => {
  const given = { low: 20, high: 26, ended: false };
  expect(ownWith(asked([exception(2, given), ...FIRST])).exceptions).toEqual([]);
  expect(ownWith(asked([...FIRST, exception(5, given)])).exceptions).toHaveLength(1);
});
