import type { LogEntry, PressureEntry } from '@pedastance/contract';
import type { SwingTrace } from '@pedastance/core/balance';
import { startingSetup } from '@pedastance/core/method';
import { build } from '../../core/test/example';
import { pathShotsOf } from '@pedastance/contract/pathShots';
import { lastPressure, weightSeen, type WeightLooked } from './pressure';
import { joined, pairsKept, parted, shotsOfLesson } from './pressureShots';

const TODAY = new Date('2026-05-20T12:00:00Z');
const setup = startingSetup(build(), 37);

/** A swing of a second and a half: the load stays along at one place, and comes down at another. */
function swing(down: number, over: Partial<SwingTrace> = {}): SwingTrace {
  const frames = Array.from({ length: 150 }, (_, at) => at * 10);
  const along = frames.map((at) => (at >= 850 && at < 1000 ? down : 500));
  const share = frames.map((at) => (at < 830 ? 300 : 800));
  return {
    rate: 100,
    load: frames.map(() => 1000),
    share,
    leadAlong: along,
    leadAcross: frames.map(() => 500),
    trailAlong: along,
    trailAcross: frames.map(() => 500),
    times: { address: 300, top: 800, 'early down': 900, impact: 1050, finish: 1400 },
    path: null,
    shot: null,
    ...over,
  };
}

const common = (id: string, madeAt: string) => ({
  id,
  lessonId: 'lesson',
  studentId: 's',
  receivedAt: '',
  replaces: null,
  madeAt,
});
const pressure = (id: string, madeAt: string, over: Partial<PressureEntry> = {}): LogEntry => ({
  ...common(id, madeAt),
  kind: 'pressure',
  club: '7-iron',
  shot: 'full',
  route: 'centred',
  source: 'file',
  hangsBack: null,
  swings: [swing(700), swing(705), swing(695)],
  pattern: null,
  cue: '',
  ...over,
});
const test3 = (madeAt: string, fell: number): LogEntry => ({
  ...common('finish', madeAt),
  kind: 'test',
  test: 'finish',
  club: '7-iron',
  tries: Array<{ held: boolean }>(fell).fill({ held: false }),
});

describe('what was seen of the weight', () => {
  const seen = (entries: readonly LogEntry[], over: Partial<WeightLooked> = {}) =>
    weightSeen({
      entries,
      studentId: 's',
      club: '7-iron',
      shot: 'full',
      route: 'centred',
      now: TODAY,
      exceptions: [],
      madeUp: true,
      ...over,
    });
  const EARLY = { pattern: 'toes early coming down', way: 'file' };

  test('with a pitch tells nothing of full swings with the club, nor the other way', () => {
    const kept = [pressure('p', '2026-05-18T10:00:00.000Z', { shot: 'pitch' })];
    expect(seen(kept).pressure).toBeNull();
    expect(seen(kept, { shot: 'pitch' }).pressure).toEqual(EARLY);
    expect(lastPressure(kept, 's', { club: '7-iron', shot: 'full' })).toBeNull();
    expect(lastPressure(kept, 's', { club: '7-iron', shot: 'pitch' })).toMatchObject({ id: 'p' });
  });

  test('on a stand-in mat tells of made-up students alone', () => {
    const kept = [pressure('p', '2026-05-18T10:00:00.000Z', { source: 'simulated mat' })];
    expect(seen(kept).pressure).toEqual({ ...EARLY, way: 'simulated mat' });
    expect(seen(kept, { madeUp: false }).pressure).toBeNull();
  });

  test('by the swings of the open lesson before those that were kept, whatever they show', () => {
    const kept = [pressure('p', '2026-05-18T10:00:00.000Z')];
    expect(seen(kept).pressure).toEqual(EARLY);
    const clean = { source: 'file' as const, hangsBack: null, swings: [swing(500), swing(505), swing(495)] };
    expect(seen(kept, { draft: { pressure: clean } }).pressure).toBeNull();
    // Two swings tell no habit: what was kept still does.
    const two = { ...clean, swings: clean.swings.slice(1) };
    expect(seen(kept, { draft: { pressure: two } }).pressure).toEqual(EARLY);
  });

  test('against the student’s own settled middle where that was found', () => {
    const exceptions = [{ item: 'heelToe' as const, low: 62, high: 72 }];
    expect(seen([pressure('p', '2026-05-18T10:00:00.000Z')], { exceptions }).pressure).toBeNull();
  });

  test('of another club, another student, or long ago, nothing', () => {
    expect(seen([pressure('p', '2026-03-01T10:00:00.000Z')]).pressure).toBeNull();
    expect(seen([pressure('p', '2026-05-18T10:00:00.000Z', { club: 'driver' })]).pressure).toBeNull();
    expect(seen([pressure('p', '2026-05-18T10:00:00.000Z')], { studentId: 'other' }).pressure).toBeNull();
  });

  test('by an eye where no mat told anything', () => {
    const finish = test3('2026-05-18T10:00:00.000Z', 6);
    expect(seen([finish]).pressure).toEqual({ pattern: 'falls back', way: 'finish' });
    expect(seen([finish, pressure('p', '2026-05-10T10:00:00.000Z')]).pressure).toEqual(EARLY);
    expect(seen([test3('2026-03-01T10:00:00.000Z', 6)]).pressure).toBeNull();
    const tests = { broomstick: [{ felt: 'toes' as const }] };
    expect(seen([], { draft: { tests } })).toEqual({ pressure: null, feltUnder: 'toes' });
  });
});

describe('swings on a mat and shots of the log', () => {
  const address: LogEntry = {
    ...common('a', '2026-05-20T10:00:00.000Z'),
    kind: 'address',
    standing: 'today',
    club: '7-iron',
    clubLengthInches: 37,
    shot: 'full',
    setup,
  };
  const shots: LogEntry = {
    ...common('hit', '2026-05-20T10:10:00.000Z'),
    kind: 'shots',
    addressId: 'a',
    trialId: null,
    source: 'file',
    sitting: 0,
    place: null,
    shots: [{ path: -3, mishit: false }, { mishit: true }, { path: -1, mishit: false }],
  };
  const log = [address, shots];
  const ofLesson = { studentId: 's', lessonId: 'lesson', club: '7-iron' as const, shot: 'full' as const };
  const swings = [swing(600), swing(550), swing(500)];

  test('are the same in order, and can be parted again', () => {
    const found = shotsOfLesson(log, ofLesson);
    expect(found.map(({ path }) => path)).toEqual([-3, undefined, -1]);
    const both = joined(swings, found);
    expect(both.map(({ path, shot }) => [path, shot])).toEqual([
      [-3, { entryId: 'hit', at: 0 }],
      [null, null],
      [-1, { entryId: 'hit', at: 2 }],
    ]);
    expect(parted(both)).toEqual(swings);
    expect(shotsOfLesson(log, { ...ofLesson, club: 'driver' })).toEqual([]);
    expect(shotsOfLesson(log, { ...ofLesson, shot: 'pitch' })).toEqual([]);
    expect(shotsOfLesson(log, { ...ofLesson, lessonId: 'other' })).toEqual([]);
  });

  // By hand: early down, along both soles, less at the top, percent.
  test('a shot has the drift that its swing had, and is counted once', () => {
    const kept = pressure('p', '2026-05-20T10:20:00.000Z', {
      swings: joined(swings, shotsOfLesson(log, ofLesson)),
    });
    const told = pathShotsOf([...log, kept], 's', true);
    expect(told.shots.map(({ path, drift }) => [path, Math.round(drift!)])).toEqual([
      [-3, 10],
      [-1, 0],
    ]);
    // The swings that told the drifts are named with the shots: it can be worked out again from them.
    expect(told).toMatchObject({ shotIds: ['p', 'hit'], simulated: false });
  });

  test('a swing with a path that is no shot of the log is one more, from the address of its lesson', () => {
    const alone = pressure('p', '2026-05-20T10:20:00.000Z', {
      swings: [swing(600, { path: 2 }), swing(500)],
    });
    const told = pathShotsOf([...log, alone], 's', true);
    expect(
      told.shots.map(({ path, drift }) => [path, drift === undefined ? null : Math.round(drift)]),
    ).toEqual([
      [-3, null],
      [-1, null],
      [2, 10],
    ]);
    expect(told.shotIds).toEqual(['hit', 'p']);
    expect(pathShotsOf([shots, alone], 's', true).shots).toEqual([]);
    expect(pairsKept([alone], { studentId: 's', club: '7-iron', shot: 'full', source: 'file' })).toEqual([
      { path: 2, drift: expect.closeTo(10, 6) },
    ]);
  });

  test('what is simulated counts for made-up students alone', () => {
    const simulated = pressure('p', '2026-05-20T10:20:00.000Z', {
      source: 'simulated mat',
      swings: [swing(600, { path: 9 })],
    });
    const guessed = { ...shots, source: 'simulated monitor' } as LogEntry;
    expect(pathShotsOf([address, guessed, simulated], 's', true)).toMatchObject({ simulated: true });
    expect(pathShotsOf([address, guessed, simulated], 's', false)).toEqual({
      shots: [],
      shotIds: [],
      simulated: false,
    });
  });

  test('a simulated mat counts only where nothing else was hit', () => {
    const simulated = pressure('p', '2026-05-20T10:20:00.000Z', {
      source: 'simulated mat',
      swings: [swing(600, { path: 9 })],
    });
    expect(pathShotsOf([...log, simulated], 's', true).shots).toHaveLength(2);
    expect(pathShotsOf([address, simulated], 's', true)).toMatchObject({
      simulated: true,
      shots: [{ path: 9 }],
    });
    const real = pressure('q', '2026-05-20T10:30:00.000Z', { swings: [swing(600, { path: 1 })] });
    const guessed = { ...shots, source: 'simulated monitor' } as LogEntry;
    expect(pathShotsOf([address, guessed, simulated, real], 's', true)).toMatchObject({
      simulated: false,
      shots: [{ path: 1 }],
    });
  });
});
