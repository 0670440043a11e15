import type { LogEntry } from '@pedastance/contract';
import { startingSetup } from '@pedastance/core/method';
import { build } from '../../core/test/example';
import { ownShots } from '@pedastance/contract/ownShots';
import { pathShotsOf } from '@pedastance/contract/pathShots';
import { decided, nextIn, planOf, sittingNow, trialsOf, wayName } from './trials';

const setup = startingSetup(build(), 37);
const common = (id: string, minute: number) => ({
  id,
  lessonId: 'l',
  studentId: 's',
  receivedAt: '',
  replaces: null,
  madeAt: `2026-05-01T10:${String(minute).padStart(2, '0')}:00.000Z`,
});
const address = (id: string): LogEntry => ({
  ...common(id, 0),
  kind: 'address',
  standing: 'today',
  club: '7-iron',
  clubLengthInches: 37,
  shot: 'full',
  setup,
});
const trial: LogEntry = {
  ...common('t', 1),
  kind: 'trial',
  addressAId: 'a',
  addressBId: 'b',
  cueA: '',
  cueB: '',
  primary: 'carry',
  margin: 5,
  scatter: 7,
  mishits: 'left out',
  warmUps: 2,
  length: 'full',
  blockSize: 2,
  seed: 1,
  source: 'by hand',
  apart: null,
};
const shot = (
  id: string,
  minute: number,
  over: Partial<Extract<LogEntry, { kind: 'shots' }>> = {},
): LogEntry => ({
  ...common(id, minute),
  kind: 'shots',
  addressId: 'a',
  trialId: 't',
  source: 'by hand',
  sitting: 0,
  place: { warmUp: false, block: 0, arm: 'A' },
  shots: [{ carry: minute, mishit: false }],
  ...over,
});
const look = (at: number, decision: 'keep' | 'go on' | 'drop'): LogEntry => ({
  ...common(`look ${at}`, 30 + at),
  kind: 'look',
  length: 'full',
  trialId: 't',
  shotIds: null,
  modelVersion: null,
  look: at,
  painUp: false,
  verdict: 'not yet',
  because: 'unclear',
  evidence: null,
  effects: null,
  decision,
  note: '',
});

test('a trial is put together in the order it was hit, whatever order it comes in', () => {
  const [found] = trialsOf(
    [shot('3', 4), trial, address('b'), shot('1', 2), address('a'), look(1, 'go on')],
    's',
  );
  expect(found!.shots.map(({ id }) => id)).toEqual(['1', '3']);
  expect(found!.addresses.B.id).toBe('b');
  expect(planOf(found!)).toMatchObject({ primary: 'carry', margin: 5, warmUps: 2 });
  expect(decided(found!)).toBeNull();
  expect(
    decided(trialsOf([trial, address('a'), address('b'), look(1, 'go on'), look(2, 'drop')], 's')[0]!),
  ).toBe('drop');
});

test('a shot that was taken back is gone from the trial and stays in the log', () => {
  const entries = [
    trial,
    address('a'),
    address('b'),
    shot('1', 2),
    shot('2', 3),
    shot('undo', 4, { replaces: '2', shots: [] }),
  ];
  expect(trialsOf(entries, 's')[0]!.shots.map(({ id }) => id)).toEqual(['1']);
});

test('a trial whose feet have not come yet waits; another student’s is not this one’s', () => {
  expect(trialsOf([trial, address('a')], 's')).toEqual([]);
  expect(trialsOf([trial, address('a'), address('b')], 'other')).toEqual([]);
});

test('after a long pause another sitting begins', () => {
  const [found] = trialsOf([trial, address('a'), address('b'), shot('1', 2)], 's');
  expect(sittingNow(found!, new Date('2026-05-01T11:00:00Z'))).toBe(0);
  expect(sittingNow(found!, new Date('2026-05-02T10:00:00Z'))).toBe(1);
});

test('changes taken apart: each way has its address, and a shot its way', () => {
  const apart: LogEntry = {
    ...trial,
    id: 'x',
    apart: { changes: ['leadFlare', 'trailFlare'], addressIds: ['a', 'one', 'two', 'b'] },
  } as LogEntry;
  const ways = ['a', 'one', 'two', 'b'].map(address);
  const hit = shot('1', 2, { trialId: 'x', place: { warmUp: false, block: 0, cell: 2 } });
  const [found] = trialsOf([apart, ...ways, hit], 's');
  expect(found!.factorialShots.map(({ place }) => place)).toEqual([{ warmUp: false, block: 0, cell: 2 }]);
  expect(found!.shots).toEqual([]);
  expect([0, 1, 2, 3].map((way) => wayName(found!, way))).toEqual(['A', 'A1', 'A2', 'B']);
  expect(nextIn(found!, new Date('2026-05-01T10:05:00Z'))).toMatchObject({
    kind: 'shot',
    block: 0,
    inBlock: 2,
  });
  // A way whose address has not come yet: the trial waits.
  expect(trialsOf([apart, address('a'), address('b'), address('one')], 's')).toEqual([]);
});

test('simulated shots are left out wherever the student has others, and are the only ones where not', () => {
  const simulated = shot('sim', 2, { source: 'simulated monitor', shots: [{ path: -9, mishit: false }] });
  const own = shot('own', 3, {
    trialId: null,
    place: null,
    source: 'file',
    shots: [{ path: 2, mishit: false }],
  });
  const alone = [address('a'), simulated];
  expect(ownShots(alone, 's')).toMatchObject({ simulated: true, shots: [{ id: 'sim' }] });
  expect(pathShotsOf(alone, 's', true)).toMatchObject({ simulated: true, shots: [{ path: -9 }] });
  const mixed = [...alone, own];
  expect(ownShots(mixed, 's')).toMatchObject({ simulated: false, shots: [{ id: 'own' }] });
  expect(pathShotsOf(mixed, 's', true).shots).toEqual([
    expect.objectContaining({ path: 2, clubLengthInches: 37 }),
  ]);
  expect(ownShots([address('a')], 's')).toEqual({ simulated: false, shots: [] });
  expect(pathShotsOf(mixed, 'another student', true).shots).toEqual([]);
});
