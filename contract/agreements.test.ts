import type { Setup } from '@pedastance/core';
import { setupAsTaken } from '@pedastance/core';
import { setup as example } from '../core/test/example';
import { itemReadFor } from '@pedastance/core/method';
import type { Agreed } from './agreed';
import { agreementsOf, coursesOf, heldOf, heldToday, standingFigures } from './agreements';
import { ofShot, type LogRecord } from './records';

const stand = (trailFlare: number, stanceWidth = 500): Setup =>
  setupAsTaken(example(), { trailFlare, stanceWidth }, 'tape');

/** A record of a day with one club: as the feet stood, and what was agreed where anything was. */
const record = (
  day: number,
  found: Setup,
  agreed: Setup | null,
  club: '7-iron' | 'driver' = '7-iron',
): LogRecord => {
  const madeAt = on(day);
  const address = (setup: Setup) => ({ madeAt, club, shot: 'full', setup });
  return {
    reading: { madeAt, id: `reading ${day}`, studentId: 'student' },
    address: address(found),
    agreed: agreed && address(agreed),
    change: agreed && { madeAt },
    corrections: 0,
  } as unknown as LogRecord;
};

const on = (day: number): string => `2026-05-${String(day).padStart(2, '0')}T10:00:00Z`;
const word = (figure: 'trailFlare' | 'stanceWidth', day: number): Agreed => ({
  item: itemReadFor(figure),
  by: 'more',
  to: 0,
  today: false,
  agreedAt: on(day),
});

const RECORDS = [
  record(20, stand(14, 470), null),
  record(15, stand(26), stand(26, 470)),
  record(10, stand(15), stand(30)),
  record(5, stand(2), stand(25), 'driver'),
];
const STANDING = {
  '7-iron': [word('stanceWidth', 15), word('trailFlare', 10)],
  driver: [word('trailFlare', 5)],
};
const logged = (records: readonly LogRecord[], standing: Record<string, readonly Agreed[]> = STANDING) => ({
  records,
  standingWith: (club: string) => standing[club] ?? [],
});
const told = (records: readonly LogRecord[], standing?: Record<string, readonly Agreed[]>) =>
  agreementsOf(logged(records, standing)).map(({ club, agreedAt, held }) => [
    club,
    Number(agreedAt.slice(8, 10)),
    held.map(({ figure, verdict }) => `${figure} ${verdict}`),
  ]);

test('what stands agreed with each club, each figure against the next time it was measured', () => {
  expect(told(RECORDS.slice(1))).toEqual([
    ['7-iron', 15, ['stanceWidth not measured', 'trailFlare held']],
    ['driver', 5, ['trailFlare not measured']],
  ]);
  expect(told(RECORDS)[0]).toEqual(['7-iron', 15, ['stanceWidth held', 'trailFlare drifted']]);
});

test('what was let go of is held against nobody, and the newest of what is left is dated', () => {
  expect(told(RECORDS, { '7-iron': [word('trailFlare', 10)] })).toEqual([
    ['7-iron', 10, ['trailFlare drifted']],
  ]);
  expect(told(RECORDS, {})).toEqual([]);
});

test('a record that did not measure a figure says nothing of it', () => {
  const byEye = { ...stand(60), measured: {} };
  expect(told([record(22, byEye, null), ...RECORDS])[0]![2]).toEqual(told(RECORDS)[0]![2]);
});

test('today’s feet are held against every figure that stands', () => {
  const standing = standingFigures(ofShot(RECORDS, { club: '7-iron', shot: 'full' }), STANDING['7-iron']);
  expect(heldToday(standing, stand(31, 560)).map(({ verdict }) => verdict)).toEqual(['drifted', 'held']);
});

test('what was never moved was not agreed on, and cannot drift', () => {
  const [, , agreed] = RECORDS;
  expect(heldOf(agreed!, stand(30)).map(({ figure }) => figure)).toEqual(['trailFlare']);
  expect(heldOf(agreed!, stand(30, 600)).map(({ figure }) => figure)).toEqual(['trailFlare']);
});

test('a figure’s course goes from the oldest lesson on, and once is no course', () => {
  const courses = coursesOf(logged(RECORDS), { club: '7-iron', shot: 'full' });
  expect(courses.map(({ figure }) => figure)).toEqual(['stanceWidth', 'trailFlare']);
  expect(courses[1]!.found.map(({ value }) => Math.round(value))).toEqual([15, 26, 14]);
  expect(coursesOf(logged(RECORDS), { club: 'driver', shot: 'full' })).toEqual([]);
});
