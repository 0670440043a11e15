import {
  guessPressure,
  lackingColumns,
  odditiesOf,
  readPressure,
  recordingOfTrace,
  repaired,
  swingsIn,
  traceOf,
  writePressure,
  type PressureMapping,
  type PressureRecording,
  type SwingTrace,
} from '.';
import { numberIn } from '../units';

/** One plain swing, drawn by hand: back to the trail foot, down onto the lead one, the trail toe last. */
const SWING: PressureRecording = {
  rate: 100,
  frames: Array.from({ length: 520 }, (_, at) => {
    const time = at * 10;
    const along = (from: number, to: number, start: number, end: number) =>
      from + (to - from) * Math.min(1, Math.max(0, (time - start) / (end - start)));
    // Address until 1500, top at 2300, strike at 2550, finish at 3300.
    const share =
      time < 2220
        ? along(50, 20, 1500, 2220)
        : time < 2550
          ? along(20, 80, 2220, 2550)
          : along(80, 92, 2550, 3300);
    const light = 0.12 * Math.exp(-(((time - 2300) / 60) ** 2));
    const press =
      time > 2300 && time < 2700
        ? 0.4 * Math.sin((Math.PI * (time - 2300)) / 250) * (time > 2550 ? 0.5 : 1)
        : 0;
    const load = 8000 * (1 - light + press);
    return {
      at: time,
      lead: { load: (load * share) / 100, along: along(50, 30, 2300, 2550), across: 50 },
      trail: { load: (load * (100 - share)) / 100, along: along(50, 85, 2400, 3300), across: 50 },
    };
  }),
};

const HEADER = ['time_ms', 'left_load', 'left_along', 'right_load', 'right_along'];
const rowsOf = ({ frames }: PressureRecording, header = HEADER): string[][] => [
  header,
  ...frames.map(({ at, lead, trail }) => [at, lead.load, lead.along, trail.load, trail.along].map(String)),
];
const faultsOf = (rows: string[][]) => {
  const read = readPressure(rows, 'right');
  return 'faults' in read ? read.faults : [];
};
const recordingIn = (rows: string[][], hand: 'left' | 'right' = 'right'): PressureRecording => {
  const read = readPressure(rows, hand);
  if ('faults' in read) throw new Error(JSON.stringify(read.faults));
  return read.recording;
};

describe('a recording from a file', () => {
  test('loads and places of each foot, lead and trail by the hand', () => {
    const read = recordingIn(rowsOf(SWING));
    expect(read.rate).toBeCloseTo(100);
    expect(read.frames[100]!.lead.load).toBeCloseTo(SWING.frames[100]!.lead.load);
    expect(recordingIn(rowsOf(SWING), 'left').frames[230]!.trail.load).toBeCloseTo(
      SWING.frames[230]!.lead.load,
    );
    expect(swingsIn(read)).toHaveLength(1);
  });

  test('seconds, a grid of cells from heel to toe, and what a comma is elsewhere', () => {
    const cells = ['left', 'right'].flatMap((side) =>
      [0, 1, 2].flatMap((row) => [0, 1].map((column) => `${side}_${row}_${column}`)),
    );
    const rows = [
      ['Time (s)', ...cells],
      ...Array.from({ length: 50 }, (_, at) => [
        String(at / 50).replace('.', ','),
        '0',
        '0',
        '0',
        '0',
        '4',
        '4',
        '6',
        '0',
        '0',
        '0',
        '0',
        '0',
      ]),
    ];
    const { rate, frames } = recordingIn(rows);
    expect(rate).toBeCloseTo(50);
    const [lead, trail] = [frames[10]!.lead, frames[10]!.trail];
    expect([lead.load, trail.load]).toEqual([8, 6]);
    expect(lead.along).toBeCloseTo((100 * 2.5) / 3);
    expect(lead.across).toBe(50);
    expect(trail.along).toBeCloseTo((100 * 0.5) / 3);
    expect(trail.across).toBe(25);
  });

  test('swings that were kept come back from their file', () => {
    const trace = traceOf(SWING, swingsIn(SWING)[0]!);
    const rows = writePressure([trace, trace]);
    const read = recordingIn(rows, 'left');
    expect(read.frames).toHaveLength(2 * trace.share.length);
    expect(swingsIn(read)).toHaveLength(2);
    expect(odditiesOf(read).repairs).toEqual([]);
    const at = Math.round(trace.times.impact / 10);
    expect(read.frames[at]!.lead.along).toBeCloseTo(recordingOfTrace(trace).frames[at]!.lead.along, 1);
  });

  test('what is wrong is told with its line, what was expected and what was found', () => {
    const rows = rowsOf(SWING);
    const spoilt = (line: number, column: number, text: string) =>
      rows.map((row, at) =>
        at === line - 1 ? row.map((each, place) => (place === column ? text : each)) : row,
      );
    expect(faultsOf(spoilt(7, 1, '-3'))).toEqual([
      { line: 7, field: 'load', expected: 'a number of 0 or more', found: '-3' },
    ]);
    expect(faultsOf(spoilt(9, 2, '140'))[0]).toMatchObject({ line: 9, field: 'place' });
    expect(faultsOf(spoilt(12, 0, '5'))[0]).toMatchObject({
      line: 12,
      expected: 'a time after the line above',
    });
    expect(faultsOf(rows.slice(0, 20))[0]).toMatchObject({ field: 'rows', found: '19' });
    expect(
      faultsOf([
        ['Shot', 'Carry', 'Spin'],
        ['1', '150', '3000'],
      ])[0],
    ).toMatchObject({ line: 1, field: 'time', found: 'Shot, Carry, Spin' });
    expect(faultsOf([['time_ms', 'left_load', 'left_along'], ...rows.slice(1)])[0]).toMatchObject({
      line: 1,
      field: 'right foot',
    });
    expect(faultsOf([])[0]).toMatchObject({ found: 'nothing' });
    // A file of bad lines is not told line by line to its end.
    expect(
      faultsOf(rows.map((row, at) => (at === 0 ? row : ['x', ...row.slice(1)]))).length,
    ).toBeLessThanOrEqual(20);
  });
});

describe('columns that a coach names', () => {
  /** The same recording under names that say nothing, in seconds and millimetres on a shoe of 300. */
  const SHOE = { length: 300, breadth: 110 };
  const renamed = (scale: number): string[][] => [
    ['Sample', 'Clock', 'A', 'B', 'C', 'D'],
    ...SWING.frames.map(({ at, lead, trail }, number) =>
      [number, at / 1000, lead.load, (lead.along * scale) / 100, trail.load, (trail.along * scale) / 100].map(
        String,
      ),
    ),
  ];
  const mapping = (places: PressureMapping['places']): PressureMapping => ({
    at: { time: 1, 'left load': 2, 'left along': 3, 'right load': 4, 'right along': 5 },
    time: 'seconds',
    places,
  });
  const read = (rows: string[][], places: PressureMapping['places']) =>
    readPressure(rows, 'right', { mapping: mapping(places), shoe: SHOE });

  test('are read as the coach says, in percent, shares or millimetres', () => {
    for (const [places, scale] of [
      ['millimetres', SHOE.length],
      ['share', 1],
      ['percent', 100],
    ] as const) {
      const told = read(renamed(scale), places);
      if ('faults' in told) throw new Error(JSON.stringify(told.faults));
      expect(told.recording.rate).toBeCloseTo(100);
      expect(told.recording.frames[240]!.lead.along).toBeCloseTo(SWING.frames[240]!.lead.along, 6);
      expect(told.recording.frames[240]!.lead.across).toBe(50);
    }
  });

  test('say what they are where a place is not on the shoe', () => {
    expect(read(renamed(SHOE.length), 'share')).toMatchObject({
      faults: expect.arrayContaining([expect.objectContaining({ line: 2, expected: 'a share from 0 to 1' })]),
    });
    expect(read(renamed(400), 'millimetres')).toMatchObject({
      faults: expect.arrayContaining([expect.objectContaining({ expected: 'mm on the shoe' })]),
    });
  });

  test('that are still to be named are known, and what a header tells is taken from it', () => {
    const [header] = renamed(1);
    expect(lackingColumns(guessPressure(header!, 'right'))).toEqual([
      'time',
      'left load',
      'left along',
      'right load',
      'right along',
    ]);
    const guess = guessPressure(['t (s)', 'Lead force N', 'Lead heel %', 'Trail total', 'Trail X'], 'left');
    expect(guess.time).toBe('seconds');
    // A left-hander leads with the right foot.
    expect(guess.at).toEqual({
      time: 0,
      'right load': 1,
      'right along': 2,
      'left load': 3,
      'left across': 4,
    });
    expect(lackingColumns(guess)).toEqual(['left along']);
    expect(readPressure(renamed(1), 'right', { mapping: guess, shoe: SHOE })).toEqual({
      faults: [{ line: 1, field: 'left along', expected: 'a column', found: 'nothing' }],
    });
  });
});

test.each([
  [' −2,5° ', -2.5],
  ['+3.25%', 3.25],
  ['1e3', 1000],
  ['12 mm', NaN],
  ['', NaN],
  [undefined, NaN],
])('a number in a cell: %s', (text, value) => expect(numberIn(text)).toBe(value));

describe('what is odd about a recording', () => {
  test('nothing is about a plain one', () => {
    expect(odditiesOf(SWING)).toEqual({ repairs: [], saturated: false, swings: 1, leftOut: 0, rounding: 0 });
  });

  const mended = (spoilt: PressureRecording) => {
    const { repairs } = odditiesOf(spoilt);
    const whole = repairs.reduce(repaired, spoilt);
    return { repairs, swings: swingsIn(whole).length, again: odditiesOf(whole).repairs };
  };

  test('frames that are missing one by one are bridged; a swing with a gap by its strike is left out, and told', () => {
    const holed = { ...SWING, frames: SWING.frames.filter((_, at) => at % 40 !== 7) };
    expect(mended(holed)).toEqual({ repairs: [], swings: 1, again: [] });
    const hidden = { ...SWING, frames: SWING.frames.filter(({ at }) => at < 2450 || at > 2560) };
    expect(odditiesOf(hidden)).toMatchObject({ repairs: [], swings: 0, leftOut: 1 });
    expect(swingsIn(hidden)).toEqual([]);
  });

  test('times in whole milliseconds, or in tens of them, tell what that may do to a moment', () => {
    const at = (rate: number, step: number) => ({
      rate,
      frames: SWING.frames.map((frame, number) => ({
        ...frame,
        at: step * Math.round((1000 * number) / rate / step),
      })),
    });
    expect(odditiesOf(at(120, 1)).rounding).toBe(0.5);
    expect(odditiesOf(at(60, 10)).rounding).toBe(5);
    expect(odditiesOf(at(100, 1)).rounding).toBe(0);
    expect(odditiesOf(at(60, 0.001)).rounding).toBe(0);
  });

  test('swapped feet are swapped back, and a mat that lay round is turned', () => {
    const swapped = repaired(SWING, 'swap the feet');
    expect(mended(swapped)).toEqual({ repairs: ['swap the feet'], swings: 1, again: [] });
    const round = repaired(SWING, 'turn the mat round');
    expect(mended(round)).toEqual({ repairs: ['turn the mat round'], swings: 1, again: [] });
  });

  test('a rate that is half or twice what it says is found by the swing in it', () => {
    expect(mended(repaired(SWING, 'double the time')).repairs).toEqual(['halve the time']);
    const slow = repaired(SWING, 'halve the time');
    expect(odditiesOf(slow).repairs).toContain('double the time');
  });

  test('an hour of standing is read to its end, and has no swing; nor has one with a foot off the mat', () => {
    const frames = (count: number, left: number) =>
      Array.from({ length: count }, (_, at) => [at * 25, left, 50, 400, 50].map(String));
    const hour = recordingIn([HEADER, ...frames(144_000, 400)]);
    expect(hour.frames).toHaveLength(144_000);
    expect(odditiesOf(hour)).toMatchObject({ swings: 0, repairs: [] });
    expect(odditiesOf(recordingIn([HEADER, ...frames(500, 0)]))).toMatchObject({ swings: 0, repairs: [] });
    expect(faultsOf([HEADER, ...frames(150_001, 400)])[0]).toMatchObject({ field: 'rows', found: '150001' });
  });

  test('cells at their end are told; standing for long has no swing', () => {
    const most = 5000;
    const cut = {
      ...SWING,
      frames: SWING.frames.map((frame) => ({
        ...frame,
        lead: { ...frame.lead, load: Math.min(most, frame.lead.load) },
      })),
    };
    expect(odditiesOf(cut).saturated).toBe(true);
    const still = { ...SWING, frames: SWING.frames.slice(0, 140) };
    expect(odditiesOf(still)).toMatchObject({ swings: 0, repairs: [] });
  });
});

const TRACE: SwingTrace = traceOf(SWING, swingsIn(SWING)[0]!);
test('a trace keeps its moments in order', () => {
  const { address, top, impact, finish } = TRACE.times;
  expect([...[address, top, impact, finish]].sort((a, b) => a - b)).toEqual([address, top, impact, finish]);
});
