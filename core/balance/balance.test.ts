import { DRILL_LIBRARY } from '../card';
import { PRESSURE_PATTERNS } from '../setup';
import {
  alongOf,
  centreOf,
  leadShareOf,
  meanRoute,
  patternsIn,
  PRESSURE_REMEDIES,
  recordingOfTrace,
  ROUTE_MARKS,
  steadiest,
  swayOf,
  swingsIn,
  traceOf,
  withTime,
  type PressureFrame,
  type RoutePlace,
  type SwingRoute,
  type SwingTimes,
} from '.';

describe('centre of pressure', () => {
  // By hand, as weights on a beam: 30 at 25 and 10 at 75 balance at (30·25 + 10·75) / 40 = 37.5.
  test('two weights on two cells balance where a beam would', () => {
    expect(centreOf([[30], [10]])).toEqual({ load: 40, along: 37.5, across: 50 });
    expect(centreOf([[30, 10]])).toEqual({ load: 40, along: 50, across: 37.5 });
  });

  test('a load in one cell lies in its middle; no load lies nowhere', () => {
    const cells = Array.from({ length: 16 }, (_, row) =>
      Array.from({ length: 8 }, (__, column) => (row === 3 && column === 6 ? 5 : 0)),
    );
    expect(centreOf(cells)).toEqual({ load: 5, along: (100 * 3.5) / 16, across: (100 * 6.5) / 8 });
    expect(centreOf([[0, 0]])).toEqual({ load: 0, along: 50, across: 50 });
  });

  test('a load below nothing is refused with what was found', () => {
    expect(() => centreOf([[3, -1]])).toThrow(/cell.*0 or more.*-1/);
    expect(() => centreOf([[NaN]])).toThrow(/cell/);
  });

  // Barefoot quiet standing: heel 60, midfoot 8, forefoot 28, toes 4 percent (Cavanagh, Rodgers and Iiboshi 1987, from
  // memory). With regions at 15, 42, 70 and 92 the centre lies at 35.6: standing still is not the middle of the foot.
  test('quiet standing lies behind mid-foot', () => {
    const regions = [15, 42, 70, 92];
    const loads = [60, 8, 28, 4];
    const cells = Array.from({ length: 100 }, (_, row) => [loads[regions.indexOf(row)] ?? 0]);
    expect(centreOf(cells).along).toBeCloseTo(36.1, 0);
  });

  test('both feet: the share, and along both by their shares', () => {
    const frame = {
      lead: { load: 60, along: 40, across: 50 },
      trail: { load: 20, along: 80, across: 50 },
    };
    expect(leadShareOf(frame)).toBe(75);
    expect(alongOf(frame)).toBe(50);
  });
});

const frame = (at: number, share: number, along = 50, load = 800): PressureFrame => ({
  at,
  lead: { load: (load * share) / 100, along, across: 50 },
  trail: { load: (load * (100 - share)) / 100, along, across: 50 },
});
const at100 = (count: number, of: (at: number) => PressureFrame) => ({
  rate: 100,
  frames: Array.from({ length: count }, (_, index) => of(index * 10)),
});

describe('how somebody stands', () => {
  test('the steadiest two seconds are found among swaying ones', () => {
    const told = steadiest(
      at100(800, (at) =>
        at < 3000 || at > 5200 ? frame(at, 55 + 8 * Math.sin(at / 200)) : frame(at, 48, 62),
      ),
    )!;
    expect(told.from).toBeGreaterThanOrEqual(3000);
    expect(told.to).toBeLessThanOrEqual(5200);
    expect(told.leadShare.value).toBeCloseTo(48);
    expect(told.leadHeelToe.value).toBeCloseTo(62);
    expect(told.leadShare.uncertainty).toBe(2);
  });

  // By hand: the standard deviation of a sine is its height over the root of two.
  test('how far somebody sways is told of the last two seconds, on both feet alone', () => {
    const swaying = at100(800, (at) =>
      frame(at, at < 4000 ? 70 : 50 + 6 * Math.sin((2 * Math.PI * at) / 500)),
    );
    expect(swayOf(swaying)).toBeCloseTo(6 / Math.SQRT2, 1);
    expect(swayOf(at100(800, (at) => frame(at, 50)))).toBe(0);
    expect(swayOf(at100(150, (at) => frame(at, 50)))).toBeNull();
    expect(swayOf(at100(800, (at) => frame(at, at > 7500 ? 98 : 50)))).toBeNull();
  });

  test('one foot off the ground is no standing, nor is less than two seconds', () => {
    expect(steadiest(at100(800, (at) => frame(at, 98)))).toBeNull();
    expect(steadiest(at100(150, (at) => frame(at, 50)))).toBeNull();
    expect(steadiest(at100(800, (at) => frame(at, 50, 50, 800 + 400 * Math.sin(at / 150))))).toBeNull();
  });
});

describe('the moments of a swing', () => {
  test('nobody who only stands has swung, for however long', () => {
    expect(swingsIn(at100(3000, (at) => frame(at, 50 + 3 * Math.sin(at / 300))))).toEqual([]);
    expect(swingsIn(at100(10, (at) => frame(at, 50)))).toEqual([]);
    expect(swingsIn({ rate: 100, frames: [] })).toEqual([]);
  });

  const TIMES: SwingTimes = { address: 1000, top: 1800, 'early down': 1900, impact: 2050, finish: 2900 };
  test('a moment put elsewhere stays between its neighbours', () => {
    expect(withTime(TIMES, 'top', 1700).top).toBe(1700);
    expect(withTime(TIMES, 'top', 2500).top).toBe(1899);
    expect(withTime(TIMES, 'address', 1900).address).toBe(1799);
  });

  test('a swing of a fast mat is kept at a hundred frames a second, its moments to the ms', () => {
    const fast = {
      rate: 500,
      frames: Array.from({ length: 2500 }, (_, at) => frame(2 * at, 50 + 20 * Math.sin(at / 250))),
    };
    const times = { address: 1000, top: 1801, 'early down': 1903, impact: 2057, finish: 2900 };
    const trace = traceOf(fast, times);
    expect(trace.rate).toBe(100);
    expect(trace.share).toHaveLength(261);
    expect(trace.times).toEqual({ address: 500, top: 1301, 'early down': 1403, impact: 1557, finish: 2400 });
    const at = recordingOfTrace(trace).frames[130]!;
    expect(at.at).toBe(1300);
    expect(leadShareOf(at)).toBeCloseTo(leadShareOf(fast.frames[900]!), 0);
  });

  test('a swing that is kept comes back as it was, to a tenth of a percent', () => {
    const recording = at100(500, (at) => frame(at, 50 + 20 * Math.sin(at / 500), 40 + at / 200));
    const trace = traceOf(recording, TIMES);
    expect(trace.times.address).toBe(500);
    expect(trace.times.impact).toBe(1550);
    const back = recordingOfTrace(trace);
    const [then, now] = [recording.frames[150]!, back.frames[100]!];
    expect(leadShareOf(now)).toBeCloseTo(leadShareOf(then), 0);
    expect(now.lead.along).toBeCloseTo(then.lead.along, 1);
    expect(JSON.stringify(trace).length).toBeLessThan(40_000);
  });
});

describe('patterns', () => {
  const place = (over: Partial<RoutePlace> = {}): RoutePlace => ({
    leadShare: 50,
    leadAlong: 50,
    trailAlong: 50,
    leadAcross: 50,
    trailAcross: 50,
    along: 50,
    ...over,
  });
  const swing = (over: Partial<Record<(typeof ROUTE_MARKS)[number], Partial<RoutePlace>>> = {}): SwingRoute =>
    Object.fromEntries(
      ROUTE_MARKS.map((mark) => {
        const usual =
          mark === 'top'
            ? { leadShare: 20 }
            : mark === 'impact' || mark === 'finish'
              ? { leadShare: 85, leadAcross: 75, leadAlong: 25 }
              : {};
        return [mark, place({ ...usual, ...over[mark] })];
      }),
    ) as unknown as SwingRoute;
  const three = (over: Parameters<typeof swing>[0]) => [swing(over), swing(over), swing(over)];
  const named = (...given: Parameters<typeof patternsIn>) =>
    patternsIn(...given).map(({ pattern }) => pattern);

  test('the lead outer heel at the strike is right, and nothing is said of a clean swing', () => {
    expect(named(three({}), 'centred')).toEqual([]);
  });

  test('each is named by where it shows; two swings name none', () => {
    expect(named(three({ top: { leadShare: 20, trailAlong: 75 } }), 'centred')).toEqual([
      'toe-ward going back',
    ]);
    expect(named(three({ 'early down': { along: 70 } }), 'centred')).toEqual(['toes early coming down']);
    expect(named(three({ 'half back': { along: 32 }, 'early down': { along: 70 } }), 'centred')).toEqual([
      'heel, then toes',
    ]);
    expect(named(three({ top: { leadShare: 62 } }), 'centred')).toEqual(['reverse']);
    expect(named(three({ top: { leadShare: 20, trailAcross: 80 } }), 'centred')).toEqual([
      'trail foot rolls outside',
    ]);
    expect(named(three({ finish: { leadShare: 50 } }), 'centred')).toEqual(['falls back']);
    expect(named(three({ finish: { leadShare: 50 } }).slice(1), 'centred')).toEqual([]);
  });

  test('what is a fault on one route is the point of another', () => {
    const forward = three({ top: { leadShare: 66 } });
    expect(named(forward, 'forward-posted')).toEqual([]);
    expect(named(forward, 'centred')).toEqual(['reverse']);
    expect(
      named(three({ top: { leadShare: 20, trailAlong: 26 }, 'early down': { along: 70 } }), 'long drive'),
    ).toEqual([]);
    // A trunk that was seen to stay over the lead foot makes it none.
    expect(named(forward, 'centred', { hangsBack: false })).toEqual([]);
  });

  test('a habit within the scatter of the swings is not named', () => {
    const scattered = [20, 84, 50].map((trailAlong) => swing({ top: { leadShare: 20, trailAlong } }));
    expect(named(scattered, 'centred')).toEqual([]);
  });

  // By hand: means of the three swings, and what the centred route has there.
  test('each says where it left the route first, where the load was then, and where the route has it', () => {
    const leaves = (...given: Parameters<typeof patternsIn>) => patternsIn(...given)[0]!.leaves;
    const late = three({ top: { leadShare: 20, trailAlong: 74 } });
    expect(leaves(late, 'centred')).toEqual({ at: 'top', found: 74, usual: 50 });
    const soon = three({ 'half back': { trailAlong: 62 }, top: { leadShare: 20, trailAlong: 74 } });
    expect(leaves(soon, 'centred')).toEqual({ at: 'half back', found: 62, usual: 50 });
    // Halfway back the loaded-heel route is halfway to the heel: 50 less half of 24.
    expect(leaves(soon, 'loaded heel')).toEqual({ at: 'half back', found: 62, usual: 38 });
    expect(leaves(three({ finish: { leadShare: 48 } }), 'centred')).toEqual({
      at: 'finish',
      found: 48,
      usual: 85,
    });
    expect(meanRoute([swing({ top: { along: 40 } }), swing({ top: { along: 60 } })]).top.along).toBe(50);
  });

  test('a student’s own settled middle takes the place of the middle of the shoes', () => {
    const forward = three({
      address: { along: 60 },
      'half back': { along: 60 },
      'early down': { along: 66 },
    });
    expect(named(forward, 'centred')).toEqual(['toes early coming down']);
    expect(named(forward, 'centred', { middle: 60 })).toEqual([]);
    expect(patternsIn(forward, 'centred')[0]!.leaves).toEqual({ at: 'early down', found: 66, usual: 51 });
  });

  test('each has one cue, and a drill that the library has', () => {
    const drills = DRILL_LIBRARY.map(({ id }) => id);
    for (const pattern of PRESSURE_PATTERNS) expect(drills).toContain(PRESSURE_REMEDIES[pattern].drill);
  });
});
