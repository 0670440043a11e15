import type { Hand } from '@pedastance/core/body';
import { NEEDS, readShots, type ColumnSource, type FileUnit } from '@pedastance/core/formats';
import { SHOT_RANGES, type Shot, type ShotFigure } from '@pedastance/core/trial';
import { shotFigure, type Units } from '@pedastance/core/units';

/** Which way a typed figure goes, where it can go two ways: a number is typed without a sign. */
export type Way = 'plus' | 'minus';

/** The two ways of a figure, as a coach says them; the first is its positive one. */
export const WAYS: Partial<Record<ShotFigure, readonly [string, string]>> = {
  path: ['right', 'left'],
  face: ['right', 'left'],
  startLine: ['right', 'left'],
  curve: ['right', 'left'],
  side: ['right', 'left'],
  attack: ['up', 'down'],
  divotStart: ['ahead', 'behind'],
  divotEnd: ['ahead', 'behind'],
};

/** A row as it is typed: a number and its way for each column. */
export interface TypedRow {
  numbers: Partial<Record<ShotFigure, string>>;
  ways: Partial<Record<ShotFigure, Way>>;
}

const unitFor = (figure: ShotFigure, units: Units): FileUnit | null => {
  const { unit } = NEEDS[figure];
  if (unit === 'distance') return units.distance;
  if (unit === 'speed') return units.speed;
  if (unit === 'length') return units.length === 'cm' ? 'centimetres' : 'inches';
  return null;
};

/**
 * A typed row as a shot, read by the same rules as a row of a file.
 * @param typed numbers as a monitor shows them
 * @param columns which figures are typed
 * @param units the coach’s
 * @param hand the student’s: right is away from a right-hander
 * @returns the shot, or what is wrong with a figure
 */
export function typedShot(
  { numbers, ways }: TypedRow,
  columns: readonly ShotFigure[],
  units: Units,
  hand: Hand,
): { shot: Shot } | { figure: ShotFigure; expected: string; found: string } {
  const sources = columns.map((column, at): ColumnSource => ({
    column,
    at,
    unit: unitFor(column, units),
    sign: NEEDS[column].sign ? 'right positive' : null,
  }));
  const row = columns.map((column) => {
    const number = numbers[column]?.trim() ?? '';
    return number !== '' && ways[column] === 'minus' ? `-${number}` : number;
  });
  if (row.every((cell) => cell === '')) return { shot: { mishit: false } };
  const { shots, faults } = readShots([row], sources, hand);
  const fault = faults[0];
  if (fault) return { figure: fault.field as ShotFigure, expected: fault.expected, found: fault.found };
  return { shot: shots[0]!.shot };
}

/**
 * A figure of a shot as it was typed: its size and its way.
 * @param figure which
 * @param value as it is kept, away from the golfer positive
 * @param hand the student’s
 * @param units the coach’s
 * @returns words
 */
export function figureWithWay(figure: ShotFigure, value: number, hand: Hand, units: Units): string {
  const { unit } = SHOT_RANGES[figure];
  const ways = WAYS[figure];
  if (!ways) return shotFigure(value, unit, units);
  const positive = NEEDS[figure].sign && hand === 'left' ? -value : value;
  return `${shotFigure(Math.abs(value), unit, units)} ${positive < 0 ? ways[1] : ways[0]}`;
}
