import type { Hand } from '../body';

/** One thing wrong with a file: its line, the header being line 1, which column, what was expected, what was found. */
export interface PressureFault {
  line: number;
  field: string;
  expected: string;
  found: string;
}

type Side = 'left' | 'right';
const SIDES = ['left', 'right'] as const;

/** What places on a shoe are counted in: from the heel, and from the inner edge. */
export const PLACES_IN = ['percent', 'share', 'millimetres'] as const;
export type PlacesIn = (typeof PLACES_IN)[number];

/** Where a file has the load under one foot: its load and centre, or the cells of its grid from heel to toe. */
export type FootColumns =
  | { kind: 'centre'; load: number; along: number; across: number | null }
  | { kind: 'grid'; cells: number[][] };

export interface PressureColumns {
  time: number;
  /** ms of one of the file's units of time */
  perTime: number;
  feet: Record<Side, FootColumns>;
  /** What places along and across a shoe are counted in. */
  places: PlacesIn;
}

const plain = (name: string): string =>
  name
    .trim()
    .toLowerCase()
    .replace(/[^a-z0-9%]+/g, ' ')
    .trim();

const SIDE_WORDS: Record<Side, Record<Hand, RegExp>> = {
  left: { right: /\b(left|l|lead)\b/, left: /\b(left|l|trail)\b/ },
  right: { right: /\b(right|r|trail)\b/, left: /\b(right|r|lead)\b/ },
};
const CELL = /^(?:left|l|lead|right|r|trail) (\d+) (\d+)$/;

const TIMES: readonly [RegExp, number][] = [
  [/^time ms$|^t ms$|^ms$|milli/, 1],
  [/^time s$|^time$|^t$|^t s$|second/, 1000],
];

/** Words that name a foot's columns (common practice, no source). */
const CENTRE_WORDS: readonly [keyof CentrePlaces, RegExp][] = [
  ['load', /load|force|weight|newton|\bn\b|\bkg\b|total/],
  ['along', /along|heel|cop y|copy\b|\by\b/],
  ['across', /across|inner|outer|cop x|copx\b|\bx\b/],
];

/** A foot's grid: columns named side, row from the heel, column from the inner edge. */
function gridOf(names: readonly string[], side: RegExp): FootColumns | null {
  const cells: number[][] = [];
  for (const [at, name] of names.entries()) {
    const found = CELL.exec(name);
    if (!found || !side.test(name)) continue;
    const [row, column] = [Number(found[1]), Number(found[2])];
    if (row > 64 || column > 64) continue;
    (cells[row] ??= [])[column] = at;
  }
  const rows = cells.filter(Boolean);
  const first = rows[0];
  if (!first || rows.some((row) => row.length !== first.length || row.includes(undefined as never)))
    return null;
  return { kind: 'grid', cells: rows };
}

interface CentrePlaces {
  load: number;
  along: number;
  across: number;
}

/** The columns of a foot's load and centre that names tell. */
function centrePlaces(names: readonly string[], side: RegExp): Partial<CentrePlaces> {
  const find = (what: RegExp): number => names.findIndex((name) => side.test(name) && what.test(name));
  const found: Partial<CentrePlaces> = {};
  for (const [column, what] of CENTRE_WORDS) {
    const at = find(what);
    if (at >= 0) found[column] = at;
  }
  return found;
}

function centreColumns(names: readonly string[], side: RegExp): FootColumns | null {
  const { load, along, across = null } = centrePlaces(names, side);
  return load === undefined || along === undefined ? null : { kind: 'centre', load, along, across };
}

/** The column of time, with the milliseconds of one of its units. */
function timeIn(names: readonly string[]): { time: number; perTime: number } | null {
  for (const [unit, perTime] of TIMES) {
    const time = names.findIndex((name) => unit.test(name));
    if (time >= 0) return { time, perTime };
  }
  return null;
}

/** The columns that a file's header names, or what it lacks. */
export function columnsNamed(header: readonly string[], hand: Hand): PressureColumns | PressureFault {
  const names = header.map(plain);
  const expected = 'time_ms, and for left and right a load and a place along the sole, or a grid of cells';
  const found = header.slice(0, 8).join(', ').slice(0, 120) || 'nothing';
  const timed = timeIn(names);
  if (!timed) return { line: 1, field: 'time', expected, found };
  const [left, right] = SIDES.map((side) => {
    const words = SIDE_WORDS[side][hand];
    return gridOf(names, words) ?? centreColumns(names, words);
  });
  if (left && right) return { ...timed, feet: { left, right }, places: 'percent' };
  return { line: 1, field: left ? 'right foot' : 'left foot', expected, found };
}

/** What a coach says of the columns of a file that names them in words of its own. */
export const PRESSURE_COLUMNS = [
  'time',
  'left load',
  'left along',
  'left across',
  'right load',
  'right along',
  'right across',
] as const;
export type PressureColumn = (typeof PRESSURE_COLUMNS)[number];

/** Where no column says so, a foot is taken to bear on its middle across. */
const NOT_NEEDED: readonly PressureColumn[] = ['left across', 'right across'];

export const TIMES_IN = ['milliseconds', 'seconds'] as const;

/** Which column of a file is which, by its place from 0, and what it is counted in. */
export interface PressureMapping {
  at: Partial<Record<PressureColumn, number>>;
  time: (typeof TIMES_IN)[number];
  places: PlacesIn;
}

/**
 * What the names of a header tell of its columns.
 * @param header of the file
 * @param hand of the student, where feet are named lead and trail
 * @returns a mapping with what was found; the rest is a coach's to say
 */
export function guessPressure(header: readonly string[], hand: Hand): PressureMapping {
  const names = header.map(plain);
  const timed = timeIn(names);
  const feet = SIDES.map((side) => centrePlaces(names, SIDE_WORDS[side][hand]));
  const [left, right] = feet as [Partial<CentrePlaces>, Partial<CentrePlaces>];
  const found: [PressureColumn, number | undefined][] = [
    ['time', timed?.time],
    ['left load', left.load],
    ['left along', left.along],
    ['left across', left.across],
    ['right load', right.load],
    ['right along', right.along],
    ['right across', right.across],
  ];
  return {
    at: Object.fromEntries(found.filter(([, at]) => at !== undefined)),
    time: timed?.perTime === 1000 ? 'seconds' : 'milliseconds',
    places: 'percent',
  };
}

/** The columns that a mapping still lacks. */
export const lackingColumns = ({ at }: PressureMapping): PressureColumn[] =>
  PRESSURE_COLUMNS.filter((column) => at[column] === undefined && !NOT_NEEDED.includes(column));

/** The columns that a coach said, or the first that was not said. */
export function columnsBy(mapping: PressureMapping): PressureColumns | PressureFault {
  const [lacking] = lackingColumns(mapping);
  if (lacking) return { line: 1, field: lacking, expected: 'a column', found: 'nothing' };
  const { at, time, places } = mapping;
  const foot = (side: Side): FootColumns => ({
    kind: 'centre',
    load: at[`${side} load`]!,
    along: at[`${side} along`]!,
    across: at[`${side} across`] ?? null,
  });
  return {
    time: at.time!,
    perTime: time === 'seconds' ? 1000 : 1,
    feet: { left: foot('left'), right: foot('right') },
    places,
  };
}
