import { FIGURE_WORDS, movedFigures, type Setup } from '@pedastance/core/setup';
import { v7 as uuidv7 } from 'uuid';
import { inAcademy } from '../store/database';
import { todayOf } from '../store/today';
import {
  landRecord,
  landTrial,
  newAddress,
  newBuild,
  newCard,
  newChange,
  newConsent,
  newException,
  newLook,
  newReading,
  newStudent,
} from './bodies';
import { openWorld, type Coach, type World } from './world';

let world: World;
beforeAll(async () => (world = await openWorld()), 60_000);
afterAll(() => world.close());

/** What everything of `bodies` is dated. */
const MADE = Date.parse('2026-05-01T10:00:00.000Z');
const later = (days: number): Date => new Date(MADE + days * 24 * 60 * 60 * 1000);
const on = (days: number) =>
  inAcademy(
    world.pool,
    world.lantern.identity.academyId,
    (client) => todayOf(client, later(days)),
    'read only',
  );

async function land(coach: Coach, path: string, body: object): Promise<void> {
  const answer = await coach.ask('POST', path, body);
  expect([path, answer.status, answer.body.detail ?? '']).toEqual([path, 201, answer.body.detail ?? '']);
}

const about = (id: string) => expect.objectContaining({ studentId: id });

/** An address with its reading, and a change of what it found where one was agreed. */
async function landAgain(
  { lesson, build }: Pick<Awaited<ReturnType<typeof landRecord>>, 'lesson' | 'build'>,
  days: number,
  setup: Setup,
  agreed?: Setup,
) {
  const made = { madeAt: later(days).toISOString() };
  const address = newAddress(lesson.id, { ...made, setup });
  const reading = newReading(world, address, build, made);
  for (const entry of [address, reading]) await land(world.lantern, '/api/entries', entry);
  if (!agreed) return;
  const to = newAddress(lesson.id, { ...made, standing: 'agreed', setup: agreed });
  for (const entry of [to, newChange(reading, to.id, made)]) await land(world.lantern, '/api/entries', entry);
}

test('what was agreed is due after a week, until the club is measured again; then it held, or has drifted', async () => {
  const record = await landRecord(world, world.lantern);
  const { student, address, agreed } = record;
  expect((await on(6)).due).not.toContainEqual(about(student.id));
  expect((await on(8)).due).toContainEqual(
    expect.objectContaining({ studentId: student.id, name: student.name, club: agreed.club }),
  );
  expect((await on(200)).due).not.toContainEqual(about(student.id));
  await landAgain(record, 9, agreed.setup);
  const held = await on(20);
  expect(held.due).not.toContainEqual(about(student.id));
  expect(held.drifted).not.toContainEqual(about(student.id));
  await landAgain(record, 12, address.setup);
  const drifted = (await on(20)).drifted.find(({ studentId }) => studentId === student.id)!;
  expect(drifted.figures.length).toBeGreaterThan(0);
});

test('what an older change agreed on drifts too; what was let go of is neither due nor drifted', async () => {
  const record = await landRecord(world, world.lantern);
  const { student, lesson, address, agreed } = record;
  const moved = movedFigures(address.setup, agreed.setup);
  expect(moved).toEqual(['stanceWidth']);
  // A later change of the load alone leaves the feet agreed.
  const { balance } = agreed.setup;
  const loaded = { ...agreed.setup, balance: { ...balance, leadShare: balance.leadShare + 10 } };
  await landAgain(record, 9, agreed.setup, loaded);
  await landAgain(record, 12, { ...address.setup, balance: loaded.balance });
  const told = (await on(20)).drifted.find(({ studentId }) => studentId === student.id)!;
  expect(told.figures).toContain(FIGURE_WORDS.stanceWidth.name);
  expect(told.figures).not.toContain(FIGURE_WORDS.leadShare.name);
  // A band is ended by its figure; its numbers only have to be some that the figure can have.
  for (const [item, value] of [
    ['stanceWidth', 400],
    ['leadShare', 60],
  ] as const) {
    const ended = { item, low: value, high: value, ended: true };
    const gone = newException(lesson.id, { madeAt: later(13).toISOString(), ...ended });
    await land(world.lantern, '/api/entries', gone);
  }
  const day = await on(20);
  expect(day.drifted).not.toContainEqual(about(student.id));
  expect(day.due).not.toContainEqual(about(student.id));
});

test('a card’s own day says when it is due', async () => {
  const { student, change, card } = await landRecord(world, world.lantern);
  const patient = newCard(change, {
    replaces: card.id,
    madeAt: later(1).toISOString(),
    nextLook: '2026-05-29',
  });
  await land(world.lantern, '/api/entries', patient);
  expect((await on(20)).due).not.toContainEqual(about(student.id));
  expect((await on(29)).due).toContainEqual(about(student.id));
});

test('another body than the agreement’s is told; a taller one by a hair is not', async () => {
  const { student, build } = await landRecord(world, world.lantern);
  const grown = (share: number, days: number) => {
    const height = { ...build.figures.height, value: build.figures.height.value * share };
    return newBuild(student.id, { madeAt: later(days).toISOString(), figures: { ...build.figures, height } });
  };
  await land(world.lantern, '/api/builds', grown(1.01, 2));
  expect((await on(5)).outgrown).not.toContainEqual(about(student.id));
  await land(world.lantern, '/api/builds', grown(1.05, 3));
  expect((await on(5)).outgrown).toContainEqual(about(student.id));
});

test('a trial waits until it is kept or dropped', async () => {
  const record = await landRecord(world, world.lantern);
  const { trial, apart } = await landTrial(world.lantern, record);
  expect((await on(3)).trials.filter(({ studentId }) => studentId === record.student.id)).toEqual([]);
  const open = { ...trial, id: uuidv7(), cueB: 'belt buckle' };
  await land(world.lantern, '/api/entries', open);
  await land(
    world.lantern,
    '/api/entries',
    newLook(open, { verdict: 'not yet', because: 'unclear', decision: 'go on' }),
  );
  expect((await on(3)).trials).toContainEqual(
    expect.objectContaining({ trialId: open.id, name: record.student.name }),
  );
  expect((await on(90)).trials).toEqual([]);
  expect(apart.id).not.toBe(open.id);
});

test('a minor without a guardian’s word needs one; once given, not; withdrawn, again', async () => {
  const student = newStudent({ birthYear: 2012, name: 'Small Testwick' });
  await land(world.lantern, '/api/students', student);
  expect((await on(1)).consents).toEqual([{ studentId: student.id, name: 'Small Testwick' }]);
  await land(world.lantern, '/api/consents', newConsent(student.id));
  expect((await on(1)).consents).toEqual([]);
  await land(
    world.lantern,
    '/api/consents',
    newConsent(student.id, { given: false, madeAt: later(1).toISOString() }),
  );
  expect((await on(1)).consents).toEqual([about(student.id)]);
});
