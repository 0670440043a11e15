import { SHOT_FIGURES, type ShotFigure } from '../trial';

/** What a column of a file of shots can be. */
export const COLUMNS = [...SHOT_FIGURES, 'strike', 'mishit'] as const;
export type Column = (typeof COLUMNS)[number];

/** In what a column is counted, where files differ. */
export const COLUMN_UNITS = {
  length: ['metres', 'yards', 'feet'],
  speed: ['metres a second', 'miles an hour', 'kilometres an hour'],
} as const;
export type FileUnit = (typeof COLUMN_UNITS)['length' | 'speed'][number];

/** Yard, foot and mile are exact since 1959. */
export const PER_UNIT: Record<FileUnit, number> = {
  metres: 1,
  yards: 0.9144,
  feet: 0.3048,
  'metres a second': 1,
  'miles an hour': 0.44704,
  'kilometres an hour': 1 / 3.6,
};

/** Which way a file's sideways figures count as positive. */
export const SIGNS = ['right positive', 'left positive'] as const;
export type Sign = (typeof SIGNS)[number];

/** What has to be known of a figure before it can be taken: its unit, its sign, both or neither. */
export const NEEDS: Record<ShotFigure, { unit: keyof typeof COLUMN_UNITS | null; sign: boolean }> = {
  path: { unit: null, sign: true },
  startLine: { unit: null, sign: true },
  clubSpeed: { unit: 'speed', sign: false },
  ballSpeed: { unit: 'speed', sign: false },
  carry: { unit: 'length', sign: false },
  side: { unit: 'length', sign: true },
};

/** Where a column of ours is found in a file, with what was said of it. */
export interface ColumnSource {
  column: Column;
  /** The header's place in the file, from 0. */
  at: number;
  unit: FileUnit | null;
  sign: Sign | null;
}

/** Words that name a column in a header, the more telling first (common practice, no source). */
const NAMES: Record<Column, readonly RegExp[]> = {
  path: [/club ?path/, /swing ?path/, /^path/],
  startLine: [/start ?line/, /launch ?direction/, /start ?direction/, /azimuth/],
  clubSpeed: [/club ?(head)? ?speed/, /head ?speed/],
  ballSpeed: [/ball ?speed/],
  carry: [/carry ?(dist|flat)?/, /^carry/],
  side: [/carry ?side/, /^side/, /off ?line/, /lateral/],
  strike: [/^strike/, /contact/],
  mishit: [/mis-?hit/],
};

const UNIT_NAMES: readonly [RegExp, FileUnit][] = [
  [/\b(yd|yds|yards?)\b/, 'yards'],
  [/\b(ft|feet|foot)\b/, 'feet'],
  [/\b(mph|miles?)\b/, 'miles an hour'],
  [/\b(km\/?h|kph|kmh)\b/, 'kilometres an hour'],
  [/m\/s|\bmps\b|metres a second|meters per second/, 'metres a second'],
  [/\b(m|met(er|re)s?)\b/, 'metres'],
];

const plain = (header: string): string =>
  header
    .toLowerCase()
    .replace(/[_.:]+/g, ' ')
    .trim();

/**
 * The unit a header states; null where it states none.
 * @param header the column’s header
 * @param kind of figure
 * @returns the unit
 */
export function unitIn(header: string, kind: keyof typeof COLUMN_UNITS): FileUnit | null {
  const units: readonly FileUnit[] = COLUMN_UNITS[kind];
  return UNIT_NAMES.find(([name, unit]) => units.includes(unit) && name.test(plain(header)))?.[1] ?? null;
}

/**
 * The side a header states as positive; null where it states none.
 * @param header the column’s header
 * @returns the side
 * @example signIn('Path (right +)') // 'right positive'
 */
export function signIn(header: string): Sign | null {
  const words = plain(header);
  if (/right ?(is)? ?(\+|positive)|\+ ?right|r\+/.test(words)) return 'right positive';
  if (/left ?(is)? ?(\+|positive)|\+ ?left|l\+/.test(words)) return 'left positive';
  return null;
}

/**
 * What each header is likely to be, each column at most once; what is stated in the header is taken from it.
 * @param headers of a file, in order
 * @returns one source for each column that was recognised
 */
export function guessColumns(headers: readonly string[]): ColumnSource[] {
  const taken = new Set<number>();
  return COLUMNS.flatMap((column): ColumnSource[] => {
    const at = NAMES[column]
      .map((name) => headers.findIndex((header, index) => !taken.has(index) && name.test(plain(header))))
      .find((found) => found >= 0);
    if (at === undefined) return [];
    taken.add(at);
    return [sourceOf(column, at, headers[at]!)];
  });
}

/**
 * A column at a header, with the unit and the side that the header itself states.
 * @param column what the column holds
 * @param at its place, from 0
 * @param header its header
 * @returns the source; unit and sign null where they are still to be asked
 */
export function sourceOf(column: Column, at: number, header: string): ColumnSource {
  if (column === 'strike' || column === 'mishit') return { column, at, unit: null, sign: null };
  const { unit, sign } = NEEDS[column];
  return { column, at, unit: unit && unitIn(header, unit), sign: sign ? signIn(header) : null };
}

/**
 * What is still to be asked of a mapping; empty when it can be read with.
 * @param sources the mapping
 * @returns each column with what is asked of it
 * @example stillAsked([]) // []
 */
export const stillAsked = (sources: readonly ColumnSource[]): { column: Column; asks: 'unit' | 'sign' }[] =>
  sources.flatMap(({ column, unit, sign }) => {
    if (column === 'strike' || column === 'mishit') return [];
    const needs = NEEDS[column];
    return [
      ...(needs.unit && !unit ? [{ column, asks: 'unit' as const }] : []),
      ...(needs.sign && !sign ? [{ column, asks: 'sign' as const }] : []),
    ];
  });
