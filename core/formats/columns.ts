import { SHOT_FIGURES, type ShotFigure } from '../trial';
import { METRES_PER_FOOT, METRES_PER_YARD, MM_PER_CM, MM_PER_INCH, MPS_PER_KMH, MPS_PER_MPH } from '../units';

/** What a column of a file of shots can be. */
export const COLUMNS = [...SHOT_FIGURES, 'strike', 'mishit'] as const;
export type Column = (typeof COLUMNS)[number];

/** In what a column is counted, where files differ. */
export const COLUMN_UNITS = {
  distance: ['metres', 'yards', 'feet'],
  length: ['millimetres', 'centimetres', 'inches'],
  speed: ['metres a second', 'miles an hour', 'kilometres an hour'],
} as const;
export type FileUnit = (typeof COLUMN_UNITS)[keyof typeof COLUMN_UNITS][number];

/** In metres, metres a second or millimetres; yard, foot, inch and mile are exact since 1959. */
export const PER_UNIT: Record<FileUnit, number> = {
  metres: 1,
  yards: METRES_PER_YARD,
  feet: METRES_PER_FOOT,
  millimetres: 1,
  centimetres: MM_PER_CM,
  inches: MM_PER_INCH,
  'metres a second': 1,
  'miles an hour': MPS_PER_MPH,
  'kilometres an hour': MPS_PER_KMH,
};

/** Which way a file's sideways figures count as positive. */
export const SIGNS = ['right positive', 'left positive'] as const;
export type Sign = (typeof SIGNS)[number];

/** What has to be known of a figure before it can be taken: its unit, its sign, both or neither. */
export const NEEDS: Record<ShotFigure, { unit: keyof typeof COLUMN_UNITS | null; sign: boolean }> = {
  path: { unit: null, sign: true },
  face: { unit: null, sign: true },
  startLine: { unit: null, sign: true },
  curve: { unit: 'distance', sign: true },
  clubSpeed: { unit: 'speed', sign: false },
  ballSpeed: { unit: 'speed', sign: false },
  carry: { unit: 'distance', sign: false },
  side: { unit: 'distance', sign: true },
  attack: { unit: null, sign: false },
  divotStart: { unit: 'length', sign: false },
  divotEnd: { unit: 'length', sign: false },
  teeHeight: { unit: 'length', sign: false },
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
  face: [/face ?(angle|to ?target)/, /^face/],
  startLine: [/start ?line/, /launch ?direction/, /start ?direction/, /azimuth/],
  curve: [/^curve/, /curvature/],
  clubSpeed: [/club ?(head)? ?speed/, /head ?speed/],
  ballSpeed: [/ball ?speed/],
  carry: [/carry ?(dist|flat)?/, /^carry/],
  side: [/carry ?side/, /^side/, /off ?line/, /lateral/],
  attack: [/attack/, /^aoa/],
  divotStart: [/divot ?start/],
  divotEnd: [/divot ?end/],
  teeHeight: [/tee ?height/],
  strike: [/^strike/, /contact/],
  mishit: [/mis-?hit/],
};

const UNIT_NAMES: readonly [RegExp, FileUnit][] = [
  [/\b(yd|yds|yards?)\b/, 'yards'],
  [/\b(ft|feet|foot)\b/, 'feet'],
  [/\b(mm|millimet(er|re)s?)\b/, 'millimetres'],
  [/\b(cm|centimet(er|re)s?)\b/, 'centimetres'],
  [/\b(in|inch|inches)\b/, 'inches'],
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
