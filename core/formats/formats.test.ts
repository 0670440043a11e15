import fc from 'fast-check';
import Papa from 'papaparse';
import type { Hand } from '../body';
import { SHOT_FIGURES, SHOT_RANGES, STRIKES, type Shot } from '../trial';
import { guessColumns, signIn, stillAsked, unitIn, type ColumnSource } from './columns';
import { OUR_HEADERS, readShots, shotRows } from './shotFile';
import '../test/properties';

const parsed = (text: string): string[][] => Papa.parse<string[]>(text, { skipEmptyLines: false }).data;
const anyShot: fc.Arbitrary<Shot> = (
  fc.record(
    {
      ...Object.fromEntries(
        SHOT_FIGURES.map((name) => [
          name,
          fc
            .double({ min: SHOT_RANGES[name].least, max: SHOT_RANGES[name].most, noNaN: true })
            .map((value) => Math.round(value * 1e6) / 1e6 + 0),
        ]),
      ),
      strike: fc.constantFrom(...STRIKES),
      mishit: fc.boolean(),
    },
    { requiredKeys: ['mishit'] as never },
  ) as fc.Arbitrary<Shot>
)
  // A divot ends no nearer the target than it starts.
  .map((shot: Shot): Shot => {
    const { divotStart, divotEnd } = shot;
    return divotStart !== undefined && divotEnd !== undefined && divotEnd < divotStart
      ? { ...shot, divotStart: divotEnd, divotEnd: divotStart }
      : shot;
  });

test('what is written is read again exactly, whatever was seen, by either hand', () => {
  fc.assert(
    fc.property(
      fc.array(anyShot, { maxLength: 30 }),
      fc.constantFrom<Hand>('left', 'right'),
      (shots, hand) => {
        const seen = shots.filter((shot) => Object.keys(shot).length > 1 || shot.mishit);
        const text = Papa.unparse([[...OUR_HEADERS], ...shotRows(seen, hand)]);
        const [headers, ...rows] = parsed(text);
        const sources = guessColumns(headers!);
        expect(stillAsked(sources)).toEqual([]);
        const { shots: back, faults } = readShots(rows, sources, hand);
        expect(faults).toEqual([]);
        expect(back.map(({ shot }) => shot)).toEqual(seen);
      },
    ),
    { numRuns: 200 },
  );
});

test('headers in any order and many names; units and sides from the header, or asked', () => {
  const sources = guessColumns([
    'Date',
    'Carry (yds)',
    'Ball Speed [mph]',
    'Club Path',
    'Launch Direction',
    'Side m',
  ]);
  expect(Object.fromEntries(sources.map(({ column, at, unit }) => [column, [at, unit]]))).toEqual({
    carry: [1, 'yards'],
    ballSpeed: [2, 'miles an hour'],
    path: [3, null],
    startLine: [4, null],
    side: [5, 'metres'],
  });
  expect(stillAsked(sources)).toEqual([
    { column: 'path', asks: 'sign' },
    { column: 'startLine', asks: 'sign' },
    { column: 'side', asks: 'sign' },
  ]);
  expect(unitIn('Club speed', 'speed')).toBeNull();
  expect(signIn('Club path (left +)')).toBe('left positive');
  expect(stillAsked([{ column: 'carry', at: 0, unit: null, sign: null }])).toEqual([
    { column: 'carry', asks: 'unit' },
  ]);
});

const source = (
  column: ColumnSource['column'],
  at: number,
  over: Partial<ColumnSource> = {},
): ColumnSource => ({
  column,
  at,
  unit: null,
  sign: null,
  ...over,
});

test('yards, miles an hour, a decimal comma and a letter for the side', () => {
  const sources = [
    source('carry', 0, { unit: 'yards' }),
    source('clubSpeed', 1, { unit: 'miles an hour' }),
    source('path', 2, { sign: 'left positive' }),
    source('side', 3, { unit: 'feet', sign: 'right positive' }),
  ];
  const rows = [['150,5', '90', '2.5', '10 L']];
  const [right] = readShots(rows, sources, 'right').shots;
  expect(right!.shot).toEqual({
    carry: 137.6172,
    clubSpeed: 40.2336,
    path: -2.5,
    side: -3.048,
    mishit: false,
  });
  const [left] = readShots(rows, sources, 'left').shots;
  expect(left!.shot).toMatchObject({ path: 2.5, side: 3.048 });
});

test('a bad row is told by its line, with what was expected and found; the others are read', () => {
  const sources = [source('carry', 0, { unit: 'metres' }), source('strike', 1)];
  const { shots, faults } = readShots(
    [
      ['120', 'clean'],
      ['far', 'clean'],
      ['', ''],
      ['130', 'shank'],
      ['900', ''],
    ],
    sources,
    'right',
  );
  expect(shots).toEqual([{ line: 2, shot: { carry: 120, strike: 'clean', mishit: false } }]);
  expect(faults).toEqual([
    { line: 3, field: 'carry', expected: '0 to 380 metres', found: 'far' },
    { line: 5, field: 'strike', expected: 'clean, fat, thin, heel, toe', found: 'shank' },
    { line: 6, field: 'carry', expected: '0 to 380 metres', found: '900' },
  ]);
});

test('2,000 malformed files never crash, and give no shot that the log would refuse', () => {
  const cell = fc.oneof(
    fc.string({ maxLength: 12 }),
    fc.double().map(String),
    fc.constantFrom('NaN', 'Infinity', '1e999', '-', '=1+1', '"', '5R', 'L', '\u0000', '１２'),
  );
  const file = fc.oneof(
    fc.string({ maxLength: 300 }),
    fc
      .array(fc.array(cell, { maxLength: 9 }), { maxLength: 12 })
      .map((rows) => rows.map((row) => row.join(',')).join('\n')),
    fc
      .array(fc.array(cell, { maxLength: 9 }), { maxLength: 12 })
      .map((rows) => `${OUR_HEADERS.join(';')}\n${rows.map((row) => row.join(';')).join('\r\n')}`),
    fc.uint8Array({ maxLength: 300 }).map((bytes) => new TextDecoder().decode(bytes)),
  );
  fc.assert(
    fc.property(file, (text) => {
      const [headers = [], ...rows] = parsed(text);
      const sources = guessColumns(headers).map((each) => ({
        ...each,
        unit: each.unit ?? ('metres' as const),
        sign: each.sign ?? ('right positive' as const),
      }));
      const { shots, faults } = readShots(rows, sources, 'right');
      expect(shots.length + faults.length).toBeGreaterThanOrEqual(0);
      for (const { shot } of shots) {
        for (const name of SHOT_FIGURES) {
          const value = shot[name];
          if (value === undefined) continue;
          expect(value).toBeGreaterThanOrEqual(SHOT_RANGES[name].least);
          expect(value).toBeLessThanOrEqual(SHOT_RANGES[name].most);
        }
      }
    }),
    { numRuns: 2000 },
  );
});
