import { painToAsk, type Student } from '@pedastance/contract';
import { v7 as uuidv7 } from 'uuid';
import { landCard, landRecord, newAddress, newPainAnswer } from './bodies';
import { asAdmin, openWorld, type World } from './world';

let world: World;
beforeAll(async () => (world = await openWorld()), 60_000);
afterAll(() => world.close());

const ON = '2026-05-03';
const EMPTY = { rounds: 0, hurts: false };

/** A student with a card at home, and what its page sends. */
async function atHome() {
  const record = await landRecord(world, world.lantern);
  const { token } = await landCard(world, world.lantern, record);
  const send = async (what: object, on = ON): Promise<string> => {
    const tick = { id: uuidv7(), on, ...EMPTY, ...what };
    const answer = await world.ask('POST', '/api/card/ticks', { token, ticks: [tick] });
    expect([answer.status, answer.body]).toEqual([204, expect.anything()]);
    return tick.id;
  };
  const asked = (tickId: string, found: 'noted' | 'nothing' = 'nothing') =>
    world.lantern.ask('POST', '/api/pain-answers', newPainAnswer(record.student.id, tickId, { found }));
  return { ...record, token, send, asked, id: record.student.id };
}

const studentNow = async (id: string): Promise<Student> =>
  (await world.lantern.ask('GET', `/api/students/${id}`)).body.student;
const toAsk = async (id: string) => painToAsk((await studentNow(id)).pain);
const today = async (): Promise<string[]> =>
  (await world.lantern.ask('GET', '/api/today')).body.hurts.map(
    ({ studentId }: { studentId: string }) => studentId,
  );

test('it stands on the student and in the day through a lesson, until somebody has asked', async () => {
  const { id, lesson, address, send, asked } = await atHome();
  const tickId = await send({ hurts: true });
  const looked = { madeAt: new Date().toISOString(), lessonId: lesson.id, setup: address.setup };
  await world.lantern.ask('POST', '/api/entries', newAddress(lesson.id, looked));
  expect(await toAsk(id)).toEqual({ tickId, on: ON, takenBack: false, answer: null });
  expect(await today()).toContain(id);
  expect((await asked(tickId, 'noted')).status).toBe(201);
  expect(await toAsk(id)).toBeNull();
  expect(await today()).not.toContain(id);
  expect((await studentNow(id)).pain).toMatchObject([{ tickId, answer: { found: 'noted' } }]);
});

test('an answer goes for the days before it, and for none after it, were it of the same day', async () => {
  const { id, send, asked } = await atHome();
  await send({ hurts: true }, '2026-05-02');
  const known = await send({ hurts: true });
  await asked(known);
  expect(await toAsk(id)).toBeNull();
  const again = await send({ hurts: true });
  expect(await toAsk(id)).toMatchObject({ tickId: again });
  expect(await today()).toContain(id);
  // Sent late, by a device that did not know of the newest one.
  await asked(known, 'noted');
  expect(await toAsk(id)).toMatchObject({ tickId: again });
});

test('an answer goes for the days before it, were its own tick taken back since', async () => {
  const { id, send, asked } = await atHome();
  await send({ hurts: true }, '2026-05-02');
  const wrong = await send({ hurts: true });
  await asked(wrong);
  await send({ takesBack: true });
  expect(await toAsk(id)).toBeNull();
  expect(await today()).not.toContain(id);
  // Only what comes after it is asked after.
  const again = await send({ hurts: true }, '2026-05-04');
  expect(await toAsk(id)).toMatchObject({ tickId: again });
  expect(await today()).toContain(id);
});

test('a wrong tap is taken back: the card goes on, the day and the page are quiet, and both taps stay', async () => {
  const { id, token, send } = await atHome();
  const hurtOn = async () =>
    (await world.ask('POST', '/api/card', { token })).body.ticked.find(({ on }: { on: string }) => on === ON)
      .hurts;
  await send({ hurts: true });
  expect(await hurtOn()).toBe(true);
  await send({ takesBack: true });
  expect(await hurtOn()).toBe(false);
  expect(await toAsk(id)).toBeNull();
  expect(await today()).not.toContain(id);
  expect((await studentNow(id)).pain).toMatchObject([{ takenBack: true, answer: null }]);
  await send({ hurts: true });
  expect(await hurtOn()).toBe(true);
  expect(await today()).toContain(id);
  // Another day's word stays where it is.
  await send({ takesBack: true }, '2026-05-04');
  expect(await hurtOn()).toBe(true);
});

test('the academy’s devices hear of it, and of its answer, with the next changes', async () => {
  const { id, send, asked } = await atHome();
  const { through } = (await world.colleague.ask('GET', '/api/changes')).body;
  const heard = async (): Promise<Student[]> =>
    (await world.colleague.ask('GET', `/api/changes?after=${through}`)).body.students;
  await send({ rounds: 1 });
  expect(await heard()).toEqual([]);
  const tickId = await send({ hurts: true });
  expect(await heard()).toMatchObject([{ id, pain: [{ tickId, answer: null }] }]);
  await asked(tickId);
  expect(await heard()).toMatchObject([{ id, pain: [{ tickId, answer: { found: 'nothing' } }] }]);
});

test('an answer to no pain of this student is refused by its field, and one of another academy’s too', async () => {
  const { id, send, asked } = await atHome();
  const round = await send({ rounds: 1 });
  const refused = { status: 422, body: { faults: [{ field: 'tickId' }] } };
  expect(await asked(round)).toMatchObject(refused);
  expect(await asked(uuidv7())).toMatchObject(refused);
  const pain = await send({ hurts: true });
  const answer = newPainAnswer(id, pain);
  expect((await world.harbour.ask('POST', '/api/pain-answers', answer)).status).toBe(422);
  expect(await toAsk(id)).toMatchObject({ tickId: pain });
});

test('a tick takes back and does nothing else', async () => {
  const { token } = await atHome();
  const tick = { id: uuidv7(), on: ON, rounds: 1, hurts: false, takesBack: true };
  const answer = await world.ask('POST', '/api/card/ticks', { token, ticks: [tick] });
  expect(answer).toMatchObject({ status: 422, body: { faults: [{ field: 'ticks.0.takesBack' }] } });
  const kept = `update card_tick set takes_back = true where rounds > 0`;
  await expect(asAdmin(world.adminUrl, kept)).rejects.toThrow('card_tick_takes_back');
});
