import type { LogEntry, Student } from '@pedastance/contract';
import { proposeCard } from '@pedastance/core/card';
import { withFigure } from '@pedastance/core/setup';
import { setup as exampleSetup } from '../../core/test/example';
import { agreementOf, cardOf, composedDraft, draftOf, entryOf, isAgreed, looksSince } from './cardDraft';
import { recordsOf } from '@pedastance/contract/records';

const TODAY = '2026-05-20';
const student = {
  id: 's',
  name: 'Ann Example',
  hand: 'right',
  birthYear: 1980,
  bornOn: null,
  facts: [],
} as unknown as Student;

const at = (day: number) => `2026-05-${String(day).padStart(2, '0')}T10:00:00.000Z`;
const before = withFigure(exampleSetup(), 'trailFlare', 5);
const after = withFigure(before, 'trailFlare', 25);
const common = { studentId: 's', receivedAt: at(1), lessonId: 'l', replaces: null };
const address = (id: string, day: number, setup: typeof before, standing = 'today') => ({
  ...common,
  id,
  madeAt: at(day),
  kind: 'address',
  standing,
  club: '7-iron',
  shot: 'full',
  clubLengthInches: 37,
  setup,
});
const reading = (id: string, day: number, addressId: string) => ({
  ...common,
  id,
  madeAt: at(day),
  kind: 'reading',
  addressId,
});
const change = {
  ...common,
  id: 'c',
  madeAt: at(1),
  kind: 'change',
  readingId: 'r1',
  fromAddressId: 'a1',
  toAddressId: 'a2',
  leadHeelLift: 0,
  shoulderGoal: 90,
  reason: 'The trail hip had no room.',
  feel: '',
  note: '',
};
const log = (more: object[] = []): LogEntry[] =>
  [
    address('a1', 1, before),
    address('a2', 1, after, 'agreed'),
    reading('r1', 1, 'a1'),
    change,
    ...more,
  ] as never;

function agreedIn(entries: LogEntry[]) {
  const records = recordsOf(entries, 's');
  const record = records.find((each) => each.reading.id === 'r1')!;
  if (!isAgreed(record)) throw new Error('nothing was agreed');
  return { records, record, entries };
}

test('looks since: held, drifted, and what was not measured counts for nothing', () => {
  const held = [address('a3', 8, after), reading('r3', 8, 'a3')];
  const drifted = [address('a4', 12, before), reading('r4', 12, 'a4')];
  const unmeasured = [address('a5', 15, { ...after, measured: {} }), reading('r5', 15, 'a5')];
  const { records, record } = agreedIn(log([...held, ...drifted, ...unmeasured]));
  expect(looksSince(records, record)).toEqual(['held', 'drifted']);
});

test('a draft is composed as it would stand, and stands so once it is kept', () => {
  const { records, record, entries } = agreedIn(log());
  const draft = proposeCard(agreementOf({ record, records, student, entries, methods: [], today: TODAY }));
  const shown = { wholeBag: false, length: 'cm' as const, today: TODAY };
  const card = composedDraft(draft, { record, student, entries }, shown)!;
  expect(card.clubs[0]!.because).toBe('The right hip had no room.');
  expect(cardOf(entries, record)).toBeNull();
  const made = { id: 'k', madeAt: at(2), replaces: null };
  const kept = [...entries, { ...entryOf(draft, record, made), studentId: 's', receivedAt: at(2) }];
  expect(draftOf(cardOf(kept, record)!)).toEqual(draft);
  expect(composedDraft(draft, { record, student, entries: kept }, shown)).toEqual(card);
});

test('corrected words of the change stand on the card', () => {
  const corrected = { ...change, id: 'c2', replaces: 'c', madeAt: at(3), reason: 'The trail hip is stiff.' };
  const { records, record, entries } = agreedIn(log([corrected]));
  const draft = proposeCard(agreementOf({ record, records, student, entries, methods: [], today: TODAY }));
  const card = composedDraft(
    draft,
    { record, student, entries },
    { wholeBag: true, length: 'inches', today: TODAY },
  )!;
  expect(card.clubs.map(({ because }) => because)).toEqual(['The right hip is stiff.']);
});
