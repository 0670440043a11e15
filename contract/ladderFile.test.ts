import { ownLadder } from '../core/test/example';
import fc from 'fast-check';
import { faultsInLadder, readLadderFile, writeLadderFile } from './ladderFile';
import { LadderEntry, TestEntry } from './ladders';
import { upgradedBody } from './earlier';

const OWN = ownLadder();
const OTHER = ownLadder({
  id: 'own-2',
  name: 'Toe out',
  figure: 'trailFlare',
  first: -10,
  last: 30,
  step: 5,
});
const file = writeLadderFile([OWN, OTHER]);
const faults = (text: string) => {
  const read = readLadderFile(text);
  return 'faults' in read ? read.faults : [];
};

test('ladders come back as they went', () => {
  expect(readLadderFile(file)).toEqual({ ladders: [OWN, OTHER] });
});

test('what is wrong is named with its line, and nothing is taken', () => {
  expect(faults(file.replace('"ballAlong"', '"hipTurn"'))[0]).toMatchObject({
    field: 'ladders.0.figure',
    line: 8,
  });
  expect(faults(file.replace('"step": 20', '"step": 7'))[0]).toMatchObject({
    field: 'ladders.0.step',
    expected: 'a step that leads from the first rung to the last, over 3 to 25 rungs',
  });
  expect(faults(file.replace('"last": 30', '"last": 80'))[0]!.field).toBe('ladders.1.last');
  expect(faults(writeLadderFile([OWN, OWN]))[0]!.field).toBe('ladders');
  expect(faults('')[0]).toMatchObject({ line: 1, expected: 'JSON' });
});

test('a file cut off anywhere, or with a sign changed, is read or refused, and never throws', () => {
  fc.assert(
    fc.property(fc.nat(file.length - 1), fc.string({ maxLength: 3 }), (at, sign) => {
      const read = readLadderFile(file.slice(0, at) + sign + file.slice(at + 1));
      if ('faults' in read) expect(read.faults[0]!.line).toBeGreaterThan(0);
    }),
    { numRuns: 300 },
  );
});

test('a ladder without its words, with too few rungs or none, cannot be kept', () => {
  expect(faultsInLadder({ ...OWN, name: ' ' }).map(({ field }) => field)).toEqual(['name']);
  expect(faultsInLadder({ ...OWN, last: 20 }).map(({ field }) => field)).toEqual(['step']);
  expect(faultsInLadder({ ...OWN, step: 0 }).map(({ field }) => field)).toEqual(['step']);
  expect(faultsInLadder({ ...OWN, step: -20 }).map(({ field }) => field)).toEqual(['step']);
});

const entry = {
  id: '01920000-0000-7000-8000-000000000001',
  lessonId: '01920000-0000-7000-8000-000000000002',
  madeAt: '2026-05-01T10:00:00.000Z',
  replaces: null,
};
const fieldsOf = (result: { error?: { issues: { path: PropertyKey[] }[] } | undefined }) =>
  result.error?.issues.map(({ path }) => path.join('.')) ?? [];

test('a ladder of one’s own brings itself, and its rungs are its own', () => {
  const turn = { rung: 40, result: 'passed', measured: null };
  const ladder = { ...entry, kind: 'ladder', ladder: 'own', own: OWN, turns: [turn] };
  expect(fieldsOf(LadderEntry.safeParse(ladder))).toEqual([]);
  expect(fieldsOf(LadderEntry.safeParse({ ...ladder, own: null }))).toEqual(['own']);
  expect(fieldsOf(LadderEntry.safeParse({ ...ladder, turns: [{ ...turn, rung: 140 }] }))).toEqual(['turns']);
  expect(fieldsOf(LadderEntry.safeParse({ ...ladder, ladder: 'width', own: null }))).toEqual(['turns']);
});

test('a ladder from before turns were measured is read as one on which none was', () => {
  const before = { ...entry, kind: 'ladder', ladder: 'trail flare', turns: [{ rung: 0, result: 'failed' }] };
  expect(upgradedBody('entry', 7, before)).toMatchObject({
    own: null,
    turns: [{ rung: 0, result: 'failed', measured: null }],
  });
});

test('a mark says something, and no divot ends before it starts', () => {
  const shot = { mark: null, start: null, end: null, strike: null };
  const low = { ...entry, kind: 'test', test: 'low point', club: '7-iron', ballAlong: 50, teeHeight: null };
  const of = (tried: object) => fieldsOf(TestEntry.safeParse({ ...low, tries: [{ ...shot, ...tried }] }));
  expect(of({ mark: 'ahead' })).toEqual([]);
  expect(of({ start: -10, end: 60 })).toEqual([]);
  expect(of({})).toEqual(['tries.0.mark']);
  expect(of({ start: 60, end: 10 })).toEqual(['tries.0.end']);
  expect(of({ end: 10, mark: 'at' })).toEqual(['tries.0.end']);
});
