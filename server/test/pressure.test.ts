import { v7 as uuidv7 } from 'uuid';
import { landRecord, newPressure, newShots, newTrial } from './bodies';
import { asAdmin, openWorld, type World } from './world';

const { shot: _none, ...TRACE } = newPressure('').swings[0]!;

describe('swings on a mat that were shots of the log', () => {
  let world: World;
  beforeAll(async () => {
    world = await openWorld();
  }, 60_000);
  afterAll(() => world.close());

  test('name shots of their own student, and of no other', async () => {
    const one = await landRecord(world, world.lantern);
    const { lesson, address } = one;
    const other = await landRecord(world, world.lantern);
    const send = (body: object) => world.lantern.ask('POST', '/api/entries', body);
    const hitBy = (of: typeof one) =>
      newShots(newTrial(of.address, of.agreed.id), {
        ...{ addressId: of.address.id, trialId: null, place: null, source: 'file' },
        shots: [{ path: -2.5, mishit: false }],
      });
    const [shots, others] = [hitBy(one), hitBy(other)];
    for (const each of [shots, others]) expect((await send(each)).status).toBe(201);
    const naming = (entryId: string, at: number) =>
      newPressure(lesson.id, { swings: [{ ...TRACE, shot: { entryId, at } }] });
    const [right, foreign, beyond] = [naming(shots.id, 0), naming(others.id, 0), naming(shots.id, 1)];
    expect((await send(right)).body).toMatchObject({ swings: [{ shot: { entryId: shots.id, at: 0 } }] });
    for (const wrong of [foreign, beyond, naming(address.id, 0)]) {
      const answer = await send(wrong);
      expect([answer.status, answer.body.faults[0].field]).toEqual([422, 'swings']);
    }
    const log = await world.lantern.ask('GET', `/api/students/${lesson.studentId}/log`);
    expect(JSON.stringify(log.body)).not.toContain(foreign.id);
  });

  test('land two dozen at once, four seconds of each, and no more', async () => {
    const { lesson } = await landRecord(world, world.lantern);
    const series = Array.from({ length: 400 }, (_, at) => 600 + (at % 400));
    const long = {
      ...TRACE,
      ...{ load: series, share: series, leadAlong: series, leadAcross: series },
      ...{ trailAlong: series, trailAcross: series, shot: null },
    };
    const of = (swings: number) => newPressure(lesson.id, { swings: Array(swings).fill(long) });
    expect((await world.lantern.ask('POST', '/api/entries', of(24))).status).toBe(201);
    const answer = await world.lantern.ask('POST', '/api/entries', of(25));
    expect([answer.status, answer.body.faults[0].field]).toEqual([422, 'swings']);
  });

  test('have the path of that shot', async () => {
    const { lesson } = await landRecord(world, world.lantern);
    const without = newPressure(lesson.id, {
      swings: [{ ...TRACE, path: null, shot: { entryId: uuidv7(), at: 0 } }],
    });
    const answer = await world.lantern.ask('POST', '/api/entries', without);
    expect([answer.status, answer.body.faults[0].field]).toEqual([422, 'swings.0.path']);
    const sound = (shot: object | null, path: number | null) =>
      asAdmin<{ sound: boolean }>(world.adminUrl, 'select pressure_swings_are_sound($1) as sound', [
        JSON.stringify([{ ...TRACE, path, shot }]),
      ]).then(([row]) => row!.sound);
    const named = { entryId: uuidv7(), at: 3 };
    expect(await Promise.all([sound(null, null), sound(named, 2)])).toEqual([true, true]);
    expect(
      await Promise.all([sound(named, null), sound({ ...named, at: 500 }, 2), sound({ at: 1 }, 2)]),
    ).toEqual([false, false, false]);
  });
});
