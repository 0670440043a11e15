import type { MonitorShot } from '@pedastance/contract';
import { flareToeKept, setSetback, dropFoot, type Setup } from '@pedastance/core';
import { v7 as uuidv7 } from 'uuid';
import { setup as exampleSetup } from '../../core/test/example';
import { simulatedMonitor } from '../devices/simulatedMonitor';
import { simulatedStudent } from '../devices/simulatedStudent';
import type { Measured, Stance } from '../devices/types';
import {
  landRecord,
  landTrial,
  newAddress,
  newLesson,
  newLook,
  newPressure,
  newShots,
  newStandIn,
  newStudent,
  newTrial,
} from './bodies';
import { openWorld, type World } from './world';

let world: World;
let landed: Awaited<ReturnType<typeof landRecord>>;
let tried: Awaited<ReturnType<typeof landTrial>>;
beforeAll(async () => {
  world = await openWorld();
  landed = await landRecord(world, world.lantern);
  tried = await landTrial(world.lantern, landed);
}, 60_000);
afterAll(() => world.close());

const entries = async () =>
  (await world.lantern.ask('GET', `/api/students/${landed.student.id}`)).body.entries as { id: string }[];

describe('the log of a trial', () => {
  test('what was declared, each shot and the look come back as they were sent', async () => {
    const log = await entries();
    const { trial, shots, look, apart, factorialShots, apartLook } = tried;
    for (const sent of [trial, shots, look, apart, factorialShots, apartLook]) {
      expect(log.find(({ id }) => id === sent.id)).toMatchObject(sent);
    }
  });

  test('a warm-up, shots of a file with what they lack, and one taken back', async () => {
    const warm = newShots(tried.trial, { addressId: landed.address.id, place: { warmUp: true } });
    const file = newShots(tried.trial, {
      trialId: null,
      place: null,
      source: 'file',
      shots: Array.from({ length: 500 }, (_, at) => ({ carry: at % 380, mishit: at % 9 === 0 })),
    });
    const back = newShots(tried.trial, { replaces: tried.shots.id, shots: [] });
    for (const body of [warm, file, back]) {
      expect((await world.lantern.ask('POST', '/api/entries', body)).status).toBe(201);
    }
    const log = await entries();
    for (const sent of [warm, file, back]) expect(log.find(({ id }) => id === sent.id)).toMatchObject(sent);
    const kept = log.find(({ id }) => id === file.id) as unknown as typeof file;
    expect(kept.shots).toEqual(file.shots);
  });

  test('what is simulated is kept of made-up students alone, and nothing of it of a real one', async () => {
    const { ask, identity } = world.real;
    const student = newStudent();
    const lesson = newLesson(student.id);
    const today = newAddress(lesson.id);
    const agreed = newAddress(lesson.id, { standing: 'agreed' });
    const land: [string, object][] = [
      ['/api/students', student],
      ['/api/lessons', lesson],
      ['/api/entries', today],
      ['/api/entries', agreed],
    ];
    for (const [path, body] of land) expect((await ask('POST', path, body)).status).toBe(201);
    const trial = newTrial(today, agreed.id);
    const fromFile = { trialId: null, place: null, source: 'file' as const, addressId: today.id };
    for (const simulated of [
      trial,
      newShots(trial, { ...fromFile, source: 'simulated monitor' }),
      newPressure(lesson.id, { source: 'simulated mat' }),
    ]) {
      const answer = await ask('POST', '/api/entries', simulated);
      expect([answer.status, answer.body.faults?.[0]?.field]).toEqual([422, 'source']);
    }
    for (const own of [
      newTrial(today, agreed.id, { source: 'by hand', primary: 'flew straight' }),
      newShots(trial, fromFile),
      newPressure(lesson.id, { source: 'file' }),
    ])
      expect((await ask('POST', '/api/entries', own)).status).toBe(201);
    // What the device knows of the academy is told with who is signed in.
    const session = async (coach: typeof world.real) =>
      (await coach.ask('GET', '/api/session')).body.identity;
    expect(await session(world.real)).toMatchObject({ instructorId: identity.instructorId, madeUp: false });
    expect(await session(world.lantern)).toMatchObject({ madeUp: true });
  });

  test('a look is taken once, and no trial has a fourth', async () => {
    const again = await world.lantern.ask('POST', '/api/entries', newLook(tried.trial));
    expect([again.status, again.body.title]).toEqual([
      409,
      'This look was taken before: a trial has each of its looks once',
    ]);
    expect((await world.lantern.ask('POST', '/api/entries', newLook(tried.trial, { look: 4 }))).status).toBe(
      422,
    );
  });

  test.each([
    ['overruled and not said why', { decision: 'drop' as const }, 'note'],
    [
      'not shown, before the last look',
      { verdict: 'not shown' as const, decision: 'drop' as const },
      'verdict',
    ],
    ['pain, and kept', { painUp: true }, 'verdict'],
    [
      'not yet, after the last look',
      { look: 3, verdict: 'not yet' as const, decision: 'go on' as const },
      'decision',
    ],
    [
      'a chance of two',
      { evidence: { ...newLook({ id: uuidv7(), lessonId: uuidv7() } as never).evidence!, chance: 2 } },
      'evidence.chance',
    ],
  ])('refused: a look %s', async (_name, over, field) => {
    const answer = await world.lantern.ask('POST', '/api/entries', newLook(tried.trial, over));
    expect([answer.status, answer.body.faults[0].field]).toEqual([422, field]);
  });

  test.each([
    ['nothing that differs', () => newTrial(landed.address, landed.address.id, { cueB: '' }), 'cueB'],
    ['feet of nobody', () => newTrial(landed.address, uuidv7()), 'addressBId'],
    ['a shot of no trial', () => newShots(tried.trial, { trialId: uuidv7() }), 'trialId'],
    ['a place without a trial', () => newShots(tried.trial, { trialId: null }), 'place'],
    [
      'changes taken apart with too few addresses',
      () =>
        newTrial(landed.address, landed.agreed.id, {
          apart: { changes: ['leadFlare', 'trailFlare'], addressIds: [] },
        }),
      'apart.addressIds',
    ],
    [
      'a way of combining that this trial has not',
      () => newShots(tried.trial, { place: { warmUp: false, block: 0, cell: 1 } }),
      'place.cell',
    ],
    [
      'a place of both kinds',
      () => newShots(tried.trial, { place: { warmUp: false, block: 0, cell: 1, arm: 'A' } }),
      'place.arm',
    ],
    ['no shot at all', () => newShots(tried.trial, { shots: [] }), 'shots'],
    ['a path of 95°', () => newShots(tried.trial, { shots: [{ path: 95, mishit: false }] }), 'shots.0.path'],
  ])('refused: %s', async (_name, body, field) => {
    const answer = await world.lantern.ask('POST', '/api/entries', body());
    expect([answer.status, answer.body.faults[0].field]).toEqual([422, field]);
  });
});

/** Listens to a session until so many shots have come or the time is up, then lets the line go. */
async function listen(sessionId: string, count: number, lastEventId?: string): Promise<MonitorShot[]> {
  const control = new AbortController();
  const response = await fetch(`${world.origin}/api/stand-in/${sessionId}/shots`, {
    headers: { ...world.lantern.headers, ...(lastEventId && { 'last-event-id': lastEventId }) },
    signal: control.signal,
  });
  expect(response.headers.get('content-type')).toContain('text/event-stream');
  const reader = response.body!.pipeThrough(new TextDecoderStream()).getReader();
  const heard: MonitorShot[] = [];
  let text = '';
  const until = Date.now() + 4000;
  while (heard.length < count && Date.now() < until) {
    const { value, done } = await reader.read();
    if (done) break;
    text += value;
    const events = text.split('\n\n');
    text = events.pop()!;
    for (const event of events) {
      const data = event.split('\n').find((line) => line.startsWith('data: '));
      if (data) heard.push(JSON.parse(data.slice(6)));
    }
  }
  control.abort();
  // Whatever else the last piece brought is lost with the line.
  return heard.slice(0, count);
}

describe('the stand-in', () => {
  test('shots come one by one, and a lost line goes on where it was: none lost, none twice', async () => {
    const hit = newStandIn(landed.student.id, { shots: 4 });
    await world.lantern.ask('POST', '/api/stand-in', hit);
    const first = await listen(hit.sessionId, 2);
    expect(first.map(({ number }) => number)).toEqual([1, 2]);
    await world.lantern.ask(
      'POST',
      '/api/stand-in',
      newStandIn(landed.student.id, { ...hit, id: uuidv7(), shots: 1 }),
    );
    const rest = await listen(hit.sessionId, 3, '2');
    expect(rest.map(({ number }) => number)).toEqual([3, 4, 5]);
    expect(new Set([...first, ...rest].map(({ id }) => id)).size).toBe(5);
    // What the monitor tells is what the log takes.
    const { id, shot } = rest[0]!;
    const answer = await world.lantern.ask(
      'POST',
      '/api/entries',
      newShots(tried.trial, { id, shots: [shot] }),
    );
    expect(answer.status).toBe(201);
  });

  test('a line stays open: what is hit long after it was opened comes over it', async () => {
    const hit = newStandIn(landed.student.id);
    const heard = listen(hit.sessionId, 2);
    await new Promise((resolve) => setTimeout(resolve, 1200));
    await world.lantern.ask('POST', '/api/stand-in', hit);
    expect((await heard).map(({ number }) => number)).toEqual([1, 2]);
  });

  test('asked twice, the student hits once', async () => {
    const hit = newStandIn(landed.student.id);
    await world.lantern.ask('POST', '/api/stand-in', hit);
    await world.lantern.ask('POST', '/api/stand-in', hit);
    expect((await listen(hit.sessionId, 2)).map(({ number }) => number)).toEqual([1, 2]);
  });

  test('another academy hears nothing of it, and no session is a bad one', async () => {
    const hit = newStandIn(landed.student.id);
    await world.lantern.ask('POST', '/api/stand-in', hit);
    expect((await world.harbour.ask('POST', '/api/stand-in', newStandIn(landed.student.id))).status).toBe(
      404,
    );
    expect((await world.lantern.ask('GET', '/api/stand-in/none/shots')).status).toBe(404);
    const bad = await world.lantern.ask('GET', `/api/stand-in/${hit.sessionId}/shots?after=x`);
    expect(bad.status).toBe(422);
  });

  test('one really standing otherwise is measured otherwise, through the whole stand-in', async () => {
    const closed = (setup: Setup): Setup => ({ ...setup, address: setSetback(setup.address, 80, dropFoot) });
    const flared = (setup: Setup): Setup => ({ ...setup, address: flareToeKept(setup.address, 'trail', 30) });
    const session = uuidv7();
    for (const setup of [exampleSetup(), closed(exampleSetup()), flared(exampleSetup())]) {
      const body = newStandIn(landed.student.id, { sessionId: session, setup, shots: 4 });
      expect((await world.lantern.ask('POST', '/api/stand-in', body)).status).toBe(201);
    }
    expect(await listen(session, 12)).toHaveLength(12);
  });
});

/** No request after this: what is counted here holds up the server, which is in the same process. */
describe('the simulated student', () => {
  const stance: Stance = {
    closed: 0,
    leadFlare: 15,
    trailFlare: 15,
    width: 420,
    toeward: 0,
    ballInside: 50,
    clubLengthInches: 37,
  };
  const hit = (student: string, on: Partial<Stance>, session = 'one', count = 400): Measured[] => {
    const swinger = simulatedStudent(student, session);
    return Array.from({ length: count }, (_, at) =>
      // Warm, and not tired: what the stance does is seen alone.
      simulatedMonitor(session, at).measure(swinger.swing({ ...stance, ...on }, 10 + (at % 10)), 37),
    );
  };
  const mean = (shots: readonly Measured[], name: 'path' | 'clubSpeed' | 'carry') =>
    shots.reduce((sum, shot) => sum + shot[name], 0) / shots.length;
  const slope = (student: string) =>
    (mean(hit(student, { closed: 6 }), 'path') - mean(hit(student, { closed: 0 }), 'path')) / 6;

  test('is the same one each time, and another student is another', () => {
    expect(hit('a', {}, 'one', 5)).toEqual(hit('a', {}, 'one', 5));
    expect(hit('a', {}, 'one', 5)).not.toEqual(hit('b', {}, 'one', 5));
  });

  test('answers to the setup: closing bends the path, for some as expected and for some not', () => {
    const slopes = Array.from({ length: 40 }, (_, at) => slope(`student ${at}`));
    const expected = slopes.filter((each) => each > 0.2 && each < 0.8).length;
    // About half are those the usual advice expects.
    expect(expected).toBeGreaterThan(12);
    expect(expected).toBeLessThan(32);
    expect(Math.max(...slopes)).toBeGreaterThan(0.8);
    expect(Math.min(...slopes)).toBeLessThan(0.2);
  });

  test('trail flare frees the turn, and the turn brings speed', () => {
    const gains = Array.from({ length: 20 }, (_, at) => {
      const [square, flared] = [{ trailFlare: 0 }, { trailFlare: 25 }].map((on) =>
        mean(hit(`s${at}`, on), 'clubSpeed'),
      );
      return flared! - square!;
    });
    expect(gains.every((gain) => gain > 0)).toBe(true);
  });

  test('is cold at first, tires late, and now and then mishits', () => {
    const swinger = (session: string) => simulatedStudent('cold', session);
    const speedAt = (number: number) =>
      Array.from({ length: 300 }, (_, at) => swinger(`s${at}`).swing(stance, number).clubSpeed).reduce(
        (sum, each) => sum + each,
        0,
      ) / 300;
    expect(speedAt(1)).toBeLessThan(speedAt(12));
    const mishits = hit('cold', {}).filter(({ mishit }) => mishit).length / 400;
    expect(mishits).toBeGreaterThan(0.01);
    expect(mishits).toBeLessThan(0.3);
  });
});
