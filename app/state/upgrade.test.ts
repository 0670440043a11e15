import type { AddressEntry, LogEntry, NewScreen } from '@pedastance/contract';
import { LOAD_FIGURES, notMeasured, PLACED_FIGURES } from '@pedastance/core/setup';
import { startingSetup } from '@pedastance/core/method';
import { openDB } from 'idb';
import { build } from '../../core/test/example';
import type { LessonDraft } from '../domain/lessonDraft';
import { deviceDatabase } from './database';
import { upgradedDraft } from './upgrade';
import { inTodaysShape, type QueuedWrite } from './queuedWrite';

const OWNER = 'academy:coach';
const setup = startingSetup(build(), 37);

/** A change, a screen, a lesson in progress and queued writes as a device kept them before goals and lifts were. */
const CHANGE = {
  id: 'change',
  lessonId: 'lesson',
  madeAt: '2026-05-01T10:00:00Z',
  replaces: null,
  kind: 'change',
  readingId: 'reading',
  fromAddressId: 'a',
  toAddressId: 'b',
  reason: 'Narrow.',
  feel: '',
  note: '',
};
const SCREEN = {
  id: 'screen',
  studentId: 'student',
  buildId: 'build',
  madeAt: '2026-05-01T09:00:00Z',
  items: [{ item: 'turnInTrail', tries: [9], by: 'typed', pain: '' }],
  turnedOn: null,
  stoppedBack: null,
  stoppedThrough: null,
  soreKnee: { lead: false, trail: false },
};
/** Feet as they were before each figure said how it was measured. */
const { measured: _none, ...BARE } = setup;
const EARLIER_SETUP = {
  ...BARE,
  posture: { figures: { hipBump: { value: 20, by: 'eye' } }, choices: {} },
};
const ADDRESS = {
  ...CHANGE,
  id: 'address',
  kind: 'address',
  standing: 'today',
  club: '7-iron',
  clubLengthInches: 37,
  shot: 'full',
  setup: EARLIER_SETUP,
};
const TRIAL = {
  ...CHANGE,
  id: 'trial',
  kind: 'trial',
  apart: { changes: ['ballOut', 'stanceWidth'], addressIds: [] },
};
const DRAFT = {
  id: 'draft',
  studentId: 'student',
  step: 'keep',
  screen: { ...SCREEN, id: undefined },
  setup: EARLIER_SETUP,
  feetPlaced: true,
  balanceNoted: false,
  agreed: EARLIER_SETUP,
  recorded: [{ readingId: 'reading', changeId: 'change', club: '7-iron' }],
  leadHeelLift: 0,
};

async function keptBefore(): Promise<void> {
  const database = await openDB('pedastance', 2, {
    upgrade(fresh) {
      fresh.createObjectStore('device');
      for (const name of ['students', 'methods', 'drafts']) {
        fresh.createObjectStore(name, { keyPath: ['owner', 'id'] });
      }
      for (const name of ['builds', 'screens', 'entries']) {
        fresh
          .createObjectStore(name, { keyPath: ['owner', 'id'] })
          .createIndex('byStudent', ['owner', 'studentId']);
      }
      fresh
        .createObjectStore('outbox', { keyPath: 'sequence', autoIncrement: true })
        .createIndex('byOwner', 'owner');
    },
  });
  const row = (value: { id: string; [field: string]: unknown }) => ({
    owner: OWNER,
    id: value.id,
    studentId: 'student',
    value,
  });
  await database.put('entries', row(CHANGE));
  await database.put('screens', row(SCREEN));
  await database.put('entries', row(ADDRESS));
  await database.put('drafts', row(DRAFT));
  await database.put('drafts', row({ ...DRAFT, id: 'untouched', feetPlaced: false }));
  const queued = { owner: OWNER, subjectId: 'student', label: '', refusal: null };
  await database.put('outbox', { ...queued, writing: { route: 'entry', body: CHANGE } });
  await database.put('outbox', { ...queued, writing: { route: 'screen', body: SCREEN } });
  await database.put('outbox', { ...queued, writing: { route: 'entry', body: ADDRESS } });
  await database.put('outbox', { ...queued, writing: { route: 'entry', body: TRIAL } });
  database.close();
}

const shown = (queued: QueuedWrite) => inTodaysShape(queued).writing.body;

test('what a device kept before goals and lifts comes up whole, and goes on as what it was', async () => {
  await keptBefore();
  const database = await deviceDatabase();
  const entry = (await database.get('entries', [OWNER, 'change']))!.value as LogEntry;
  expect(entry).toEqual({ ...CHANGE, leadHeelLift: 0, shoulderGoal: 90 });
  const screen = (await database.get('screens', [OWNER, 'screen']))!.value;
  expect(screen.items).toEqual([{ ...SCREEN.items[0], uncertainty: null, takenAt: null }]);
  const draft = (await database.get('drafts', [OWNER, 'draft']))!.value;
  expect(draft).toMatchObject({ shoulderGoal: 90, begun: true, setup: BARE, recorded: DRAFT.recorded });
  expect(screen.earlierTurns).toEqual([]);
  expect(draft.screen!.items[0]!.uncertainty).toBeNull();
  const [change, legs] = await database.getAll('outbox');
  expect(shown(change!)).toMatchObject({ leadHeelLift: 0, shoulderGoal: 90, reason: 'Narrow.' });
  expect((shown(legs!) as NewScreen).items[0]!.uncertainty).toBeNull();
  // What waits is sent as it was made, so that the server knows it again if it has landed already.
  expect([change!.contract, change!.writing.body]).toEqual([1, CHANGE]);
});

test('feet kept before say how they were measured: as they were meant', async () => {
  const database = await deviceDatabase();
  const seen = { hipBump: { value: 20, way: 'by eye', uncertainty: 12 } };
  const taped = { way: 'tape', uncertainty: 10 };
  const address = (await database.get('entries', [OWNER, 'address']))!.value as AddressEntry;
  expect(address.setup).toMatchObject({ ...BARE, posture: { figures: seen } });
  expect(address.setup.measured).toMatchObject({
    stanceWidth: taped,
    leadShare: { way: 'drag', uncertainty: 2 },
  });
  const [, , waiting, trial] = await database.getAll('outbox');
  expect(shown(waiting!)).toEqual({ ...ADDRESS, setup: address.setup });
  expect(shown(trial!)).toMatchObject({ apart: { changes: ['leadToeOut', 'stanceWidth'] } });
});

test('a lesson in progress is measured in what its coach had placed or noted, and in nothing else', async () => {
  const database = await deviceDatabase();
  const [placed, untouched] = await Promise.all(
    ['draft', 'untouched'].map(async (id) => (await database.get('drafts', [OWNER, id]))!.value),
  );
  expect(notMeasured(placed!.setup!)).toEqual(LOAD_FIGURES);
  expect(notMeasured(untouched!.setup!)).toEqual(PLACED_FIGURES);
  expect(placed).not.toHaveProperty('feetPlaced');
  expect(placed!.agreed!.measured.stanceWidth).toEqual({ way: 'tape', uncertainty: 10 });
});

test('tries of a lesson in progress are those with its club, but of a test that no club is held for', () => {
  const tests = { finish: [{ held: true }], broomstick: [{ felt: 'toes' }] };
  const after = upgradedDraft({ ...DRAFT, club: 'driver', tests } as unknown as LessonDraft);
  expect(after.tests).toEqual({ 'finish, driver': tests.finish, broomstick: tests.broomstick });
  expect(upgradedDraft(after).tests).toEqual(after.tests);
});

test('swings of a lesson in progress are those with its club, and name no shot', () => {
  const before = { source: 'file' as const, hangsBack: null, swings: [{ path: 2 }] };
  const draft = { ...DRAFT, club: '7-iron', pressure: before } as unknown as LessonDraft;
  const after = upgradedDraft(draft);
  expect(after.pressures).toEqual({ '7-iron full': { ...before, swings: [{ path: 2, shot: null }] } });
  expect(after).not.toHaveProperty('pressure');
  const byClub = { ...DRAFT, pressures: { driver: before } } as unknown as LessonDraft;
  expect(upgradedDraft(byClub).pressures).toEqual({ 'driver full': before });
  expect(upgradedDraft(after).pressures).toEqual(after.pressures);
});
