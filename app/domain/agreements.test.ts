import type { Setup } from '@pedastance/core';
import { setupAsTaken } from '@pedastance/core';
import { setup as example } from '../../core/test/example';
import { agreementsOf, coursesOf, heldOf, movesFeet } from './agreements';
import type { LogRecord } from './records';

const stand = (trailFlare: number): Setup => setupAsTaken(example(), { trailFlare }, 'tape');

/** A record of a day with one club: as the feet stood, and what was agreed where anything was. */
const record = (
  day: number,
  found: number,
  agreed: number | null,
  club: '7-iron' | 'driver' = '7-iron',
): LogRecord => {
  const madeAt = `2026-05-${String(day).padStart(2, '0')}T10:00:00Z`;
  const address = (trailFlare: number) => ({ madeAt, club, shot: 'full', setup: stand(trailFlare) });
  return {
    reading: { madeAt },
    address: address(found),
    agreed: agreed === null ? null : address(agreed),
    change: null,
    corrections: 0,
  } as unknown as LogRecord;
};

const RECORDS = [record(20, 14, 14), record(15, 26, null), record(10, 15, 30), record(5, 2, 25, 'driver')];

test('the last agreement of each club that moved the feet, against the next time that club was measured', () => {
  const told = agreementsOf(RECORDS.slice(1)).map(({ club, seenAt, held }) => [
    club,
    seenAt?.slice(8, 10) ?? null,
    held.map(({ figure, verdict }) => `${figure} ${verdict}`),
  ]);
  expect(told).toEqual([
    ['7-iron', '15', ['trailFlare held']],
    ['driver', null, ['trailFlare not measured']],
  ]);
});

test('a lifted heel alone is no agreement that a tape could check', () => {
  expect(movesFeet(RECORDS[0]!)).toBe(false);
  // The newest record after the agreement is the one it is held against.
  const [iron] = agreementsOf(RECORDS);
  expect(iron).toMatchObject({ club: '7-iron', agreedAt: '2026-05-10T10:00:00Z' });
  expect(iron!.held).toMatchObject([
    { figure: 'trailFlare', verdict: 'drifted', agreed: expect.closeTo(30) },
  ]);
});

test('what was never moved was not agreed on, and cannot drift', () => {
  const [, , agreed] = RECORDS;
  const wider = setupAsTaken(stand(30), { stanceWidth: 600 }, 'tape');
  expect(heldOf(agreed!, stand(30)).map(({ figure }) => figure)).toEqual(['trailFlare']);
  expect(heldOf(agreed!, wider).map(({ figure }) => figure)).toEqual(['trailFlare']);
});

test('a figure’s course goes from the oldest lesson on, and once is no course', () => {
  const [course] = coursesOf(RECORDS, { club: '7-iron', shot: 'full' });
  expect(course!.found.map(({ value }) => Math.round(value))).toEqual([15, 26, 14]);
  expect(coursesOf(RECORDS, { club: 'driver', shot: 'full' })).toEqual([]);
});
