import type { MatFrames } from '@pedastance/contract';
import { downDrift, driftAndPath, routeOf, steadiest, swingsIn, traceOf } from '@pedastance/core/balance';
import type { PressurePattern } from '@pedastance/core/setup';
import { MAT_HABITS, MAT_ROUTES, type MatHabit, type MatRouteName } from '../devices/mat/habits';
import {
  MAT_RATE,
  shotsBesideMat,
  simulatedMat,
  SWING_EVERY_MS,
  swingTruth,
} from '../devices/mat/simulatedMat';
import pino from 'pino';
import { whoStands } from '../devices/mat/whoStands';
import { landRecord, newMatSession } from './bodies';
import { momentsFound, onTheMat, patternsOf, patternsTold, recordingOf, swingOf } from './mats';
import { openMatFeed, STREAMS_PER_ACADEMY, type MatFeed, type MatListener } from '../http/matFeed';
import { STREAMS_PER_SESSION, TooManyStreams } from '../http/shotFeed';
import { sessionCookie } from './sessionCookie';
import { openWorld, type World } from './world';

const ROUTES = Object.keys(MAT_ROUTES) as MatRouteName[];
const NAMES: Record<MatHabit, PressurePattern> = {
  'toe-ward going back': 'toe-ward going back',
  'toes early coming down': 'toes early coming down',
  'heel, then toes': 'heel, then toes',
  reverse: 'reverse',
  'rolls outside': 'trail foot rolls outside',
  'falls back': 'falls back',
};

describe('on the stand-in mat, which the analysis cannot see', () => {
  test.each(ROUTES)('%s: the strike within 20 ms and the top within 50, nearly always', (route) => {
    const told = momentsFound(10, route);
    expect(told.missed).toBe(0);
    expect(told.impact).toBeGreaterThanOrEqual(0.95);
    expect(told.top).toBeGreaterThanOrEqual(0.95);
  });

  test.each(ROUTES)('%s: nobody with a clean swing is accused', (route) => {
    for (let at = 0; at < 2; at += 1) expect(patternsTold(`clean ${at}`, route, [])).toEqual([]);
  });

  test.each(MAT_HABITS)('%s is named, and nothing else', (habit) => {
    for (let at = 0; at < 2; at += 1)
      expect(patternsTold(`habit ${at}`, 'centred', [habit])).toEqual([NAMES[habit]]);
  });

  test('a student’s habit is named however far off the middle they stand', () => {
    for (const id of ['one', 'two', 'three']) {
      const on = whoStands(id, `session of ${id}`, 'centred', { lead: 50, along: 50 });
      expect([id, patternsOf(on)]).toEqual([id, [NAMES[on.habits[0]!]]]);
    }
  });

  test('how somebody settles is found where they have settled', () => {
    const on = { ...onTheMat('settles'), settled: { lead: 46, along: 61 } };
    const told = steadiest(recordingOf(on, 0, 8000))!;
    expect(told.from).toBeGreaterThan(2000);
    expect(Math.abs(told.leadShare.value - 46)).toBeLessThan(2);
    expect(Math.abs(told.leadHeelToe.value - 61)).toBeLessThan(2.5);
  });

  test('a swing that is kept is small', () => {
    const recording = swingOf(onTheMat('kept'), 0);
    const [times] = swingsIn(recording);
    expect(JSON.stringify(traceOf(recording, times!)).length).toBeLessThan(40_000);
  });

  test('a monitor beside it tells of each strike once, however the stretches are cut', () => {
    const on = whoStands('student', 'session', 'centred', { lead: 50, along: 50 });
    const shotsBetween = shotsBesideMat(on);
    const whole = shotsBetween(-1, 60_000);
    const pieces = Array.from({ length: 1500 }, (_, at) => shotsBetween(40 * at - 1, 40 * at + 39)).flat();
    expect(whole).toHaveLength(6);
    expect(pieces).toEqual(whole);
    whole.forEach(({ at }, number) => expect(at).toBe(Math.round(swingTruth(on, number).truth.impact)));
  });

  test('the path goes with the drift that the analysis finds', () => {
    const on = {
      ...onTheMat('drifts', 'centred', ['toes early coming down']),
      path: { usual: 1, perDrift: -0.3 },
    };
    const shots = shotsBesideMat(on)(0, 20 * SWING_EVERY_MS);
    const pairs = shots.map(({ path }, number) => {
      const recording = swingOf(on, number);
      return { path, drift: downDrift(routeOf(recording, swingsIn(recording)[0]!)) };
    });
    const told = driftAndPath(pairs)!;
    expect(told).toMatchObject({ swings: shots.length, sure: true });
    expect([told.low < -0.3, told.high > -0.3]).toEqual([true, true]);
  });

  test('a frame is the same whoever asks for it, and whenever', () => {
    const on = whoStands('student', 'session', 'centred', { lead: 50, along: 50 });
    expect(simulatedMat(on).frame(912)).toEqual(simulatedMat({ ...on }).frame(912));
    expect(simulatedMat(on).frame(912)).not.toEqual(simulatedMat({ ...on, seed: 'another' }).frame(912));
  });
});

describe('the live mat', () => {
  let world: World;
  beforeAll(async () => {
    world = await openWorld();
  }, 60_000);
  afterAll(() => world.close());

  /** Reads frames of a session until there are so many, or a time is over. */
  async function framesOf(sessionId: string, least: number, lastEventId?: string): Promise<MatFrames[]> {
    const ends = new AbortController();
    const response = await fetch(`${world.origin}/api/mat-sessions/${sessionId}/frames`, {
      headers: {
        ...world.lantern.headers,
        ...(lastEventId !== undefined && { 'last-event-id': lastEventId }),
      },
      signal: ends.signal,
    });
    expect(response.headers.get('content-type')).toContain('text/event-stream');
    const read: MatFrames[] = [];
    let text = '';
    const decoder = new TextDecoder();
    for await (const chunk of response.body!) {
      text += decoder.decode(chunk as Uint8Array, { stream: true });
      const events = text.split('\n\n');
      text = events.pop()!;
      for (const event of events) {
        const data = event.split('\n').find((line) => line.startsWith('data: '));
        if (data) read.push(JSON.parse(data.slice(6)) as MatFrames);
      }
      if (read.reduce((sum, { frames }) => sum + frames.length, 0) >= least) break;
    }
    ends.abort();
    return read;
  }

  const listen = (feed: MatFeed, over: Partial<MatListener> = {}) => {
    const events: MatFrames[] = [];
    const listener: MatListener = {
      academyId: 'academy',
      token: Buffer.from('token'),
      session: {
        ...{ id: 'session', studentId: 'student', route: 'centred', leadShare: 50, along: 50 },
        startedAt: new Date(Date.now() - 60_000),
      },
      next: 0,
      send: (event) => events.push(JSON.parse(event.split('data: ')[1]!) as MatFrames),
      end: () => undefined,
      ...over,
    };
    return { events, leave: feed.listen(listener) };
  };
  const quiet = pino({ level: 'silent' });
  const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

  test('whoever listens to a mat gets the same frames, without a gap, from the newest 15 s on', async () => {
    const feed = openMatFeed(world.pool, quiet);
    const one = listen(feed);
    const heard = () => one.events.reduce((sum, { frames }) => sum + frames.length, 0);
    while (heard() < 1400) await pause(40);
    const other = listen(feed);
    // Who asks for what is still to come takes nothing from the others.
    listen(feed, { next: 2 ** 31 - 1 });
    await pause(300);
    feed.close();
    const all = ({ events }: typeof one) =>
      events.flatMap(({ from, frames }) => frames.map((frame, at) => [from + at, frame] as const));
    const [first, second] = [all(one), all(other)];
    expect(first.map(([number]) => number)).toEqual(first.map((_, at) => first[0]![0] + at));
    expect(first[0]![0]).toBeGreaterThan(4400);
    expect(second).toEqual(first.slice(-second.length));
    expect(second.length).toBeGreaterThan(1400);
  });

  test('a sign-in and an academy may listen in so many places, and others still can', async () => {
    const feed = openMatFeed(world.pool, quiet);
    const from = (session: number, academyId = 'academy') =>
      listen(feed, { academyId, token: Buffer.from([session]) });
    const first = from(0);
    for (let more = 1; more < STREAMS_PER_SESSION; more += 1) from(0);
    expect(() => from(0)).toThrow(TooManyStreams);
    first.leave();
    from(0);
    for (let more = STREAMS_PER_SESSION; more < STREAMS_PER_ACADEMY; more += 1) from(more);
    expect(() => from(99)).toThrow(TooManyStreams);
    expect(() => from(100, 'another')).not.toThrow();
    feed.close();
  });

  test('a stream ends within two seconds of its session', async () => {
    const { student } = await landRecord(world, world.lantern);
    const session = newMatSession(student.id);
    await world.lantern.ask('POST', '/api/mat-sessions', session);
    const answer = await world.signIn(world.colleague.email);
    const headers = {
      ...world.colleague.headers,
      cookie: sessionCookie(answer.headers).split(';')[0]!,
    };
    const stream = await fetch(`${world.origin}/api/mat-sessions/${session.id}/frames`, { headers });
    const text = stream.text();
    await pause(100);
    await world.ask('DELETE', '/api/session', undefined, headers);
    const ended = Date.now();
    expect(await text).toContain('event: frames');
    expect(Date.now() - ended).toBeLessThan(2000);
  });

  test('is cut, and goes on after the last frame without a gap; nobody of another academy hears it', async () => {
    const { student } = await landRecord(world, world.lantern);
    const session = newMatSession(student.id);
    expect((await world.lantern.ask('POST', '/api/mat-sessions', session)).status).toBe(201);
    const first = await framesOf(session.id, 30);
    const last = first.at(-1)!;
    const cut = last.from + last.frames.length - 1;
    // Away for a while: the frames of that time are still to come.
    await new Promise((resolve) => setTimeout(resolve, 400));
    const then = await framesOf(session.id, 30, String(cut));
    expect(then[0]!.from).toBe(cut + 1);
    const numbers = [...first, ...then].flatMap(({ from, frames }) => frames.map((_, at) => from + at));
    expect(numbers).toEqual(Array.from({ length: numbers.length }, (_, at) => at));
    expect(first[0]!.rate).toBe(MAT_RATE);
    expect((await world.harbour.ask('GET', `/api/mat-sessions/${session.id}/frames`)).status).toBe(404);
    const bad = await world.lantern.ask('GET', `/api/mat-sessions/${session.id}/frames?after=luck`);
    expect([bad.status, bad.body.faults[0]]).toEqual([
      422,
      { field: 'after', expected: 'the number of a frame', found: 'luck' },
    ]);
  });
});
