import type { Hand } from '../body';
import { numberIn } from '../units';
import { SHOT_FIGURES, SHOT_RANGES, STRIKES, type Shot, type ShotFigure, type Strike } from '../trial';
import { NEEDS, PER_UNIT, type ColumnSource } from './columns';

/** A row that cannot be taken: its line in the file, and what is wrong with it. */
export interface RowFault {
  line: number;
  field: string;
  expected: string;
  found: string;
}

export interface ReadShots {
  /** Rows that can be taken, each with its line in the file, the header being line 1. */
  shots: { line: number; shot: Shot }[];
  faults: RowFault[];
}

/** A sideways figure may carry its side as a letter, 5.2R or L 3; that letter then overrules any sign. */
const SIDED = /^(?:([lr])\s*([\d.,]+)|([\d.,]+)\s*([lr]))$/i;

function sidedIn(text: string): { value: number; side: 'l' | 'r' | null } {
  const found = SIDED.exec(text.trim());
  if (!found) return { value: numberIn(text), side: null };
  const side = (found[1] ?? found[4])!.toLowerCase() as 'l' | 'r';
  return { value: numberIn(found[2] ?? found[3]!), side };
}

/** Six decimals are more than any monitor means, and keep a file that is read and written again the same. */
const settled = (value: number): number => Math.round(value * 1e6) / 1e6;

function figureOf(text: string, figure: ShotFigure, { unit, sign }: ColumnSource, hand: Hand): number {
  const needs = NEEDS[figure];
  const per = unit ? PER_UNIT[unit] : 1;
  if (!needs.sign) return settled(numberIn(text) * per);
  const { value, side } = sidedIn(text);
  const right = side ? (side === 'r' ? value : -value) : sign === 'left positive' ? -value : value;
  // Away from the golfer is a right-hander's right.
  return settled((hand === 'right' ? right : -right) * per) + 0;
}

const YES = /^(1|y|yes|true|x)$/i;
const NO = /^(0|n|no|false)?$/i;

type Found = { value: Partial<Shot> } | { expected: string };

function found(source: ColumnSource, text: string, hand: Hand): Found {
  const { column } = source;
  if (column === 'mishit') {
    if (YES.test(text.trim())) return { value: { mishit: true } };
    return NO.test(text.trim()) ? { value: { mishit: false } } : { expected: 'yes or no' };
  }
  if (text.trim() === '') return { value: {} };
  if (column === 'strike') {
    const strike = STRIKES.find((each) => each === text.trim().toLowerCase());
    return strike ? { value: { strike: strike satisfies Strike } } : { expected: STRIKES.join(', ') };
  }
  const value = figureOf(text, column, source, hand);
  const { least, most, unit } = SHOT_RANGES[column];
  return value >= least && value <= most
    ? { value: { [column]: value } }
    : { expected: `${least} to ${most} ${unit}` };
}

const SHOWN = 40;
const shown = (text: string): string => (text.length > SHOWN ? `${text.slice(0, SHOWN)}…` : text);

/**
 * Reads the rows of a file, the header left out, by a mapping that nothing is still asked of. A row with
 * one bad figure is a fault, whole; empty rows are passed over; a figure that is empty was not seen.
 * @param rows of text, the header left out
 * @param sources which column holds what, in which unit and sign
 * @param hand the student’s
 * @returns the shots, and a fault for each row that could not be read
 */
export function readShots(
  rows: readonly (readonly string[])[],
  sources: readonly ColumnSource[],
  hand: Hand,
): ReadShots {
  const read: ReadShots = { shots: [], faults: [] };
  rows.forEach((row, at) => {
    const line = at + 2;
    if (row.every((cell) => cell.trim() === '')) return;
    const shot: Shot = { mishit: false };
    const before = read.faults.length;
    for (const source of sources) {
      const text = row[source.at] ?? '';
      const cell = found(source, text, hand);
      if ('value' in cell) Object.assign(shot, cell.value);
      else {
        read.faults.push({ line, field: source.column, expected: cell.expected, found: shown(text) });
      }
    }
    if (shot.divotStart !== undefined && shot.divotEnd !== undefined && shot.divotEnd < shot.divotStart) {
      const found = `${shot.divotEnd} after ${shot.divotStart}`;
      read.faults.push({ line, field: 'divotEnd', expected: 'no nearer the target than its start', found });
    }
    if (read.faults.length > before) return;
    if (Object.keys(shot).length === 1 && !shot.mishit) {
      read.faults.push({ line, field: 'row', expected: 'at least one figure', found: 'none' });
    } else read.shots.push({ line, shot });
  });
  return read;
}

/** A column of our own files: its header says all that has to be known, so that nothing is asked on the way back. */
const OUR_COLUMNS: Record<ShotFigure, string> = {
  path: 'path, degrees (right positive)',
  face: 'face, degrees (right positive)',
  startLine: 'start line, degrees (right positive)',
  curve: 'curve, metres (right positive)',
  clubSpeed: 'club speed, metres a second',
  ballSpeed: 'ball speed, metres a second',
  carry: 'carry, metres',
  side: 'side, metres (right positive)',
  attack: 'attack, degrees (up positive)',
  divotStart: 'divot start, millimetres (ahead of the ball positive)',
  divotEnd: 'divot end, millimetres (ahead of the ball positive)',
  teeHeight: 'tee height, millimetres',
};

export const OUR_HEADERS: readonly string[] = [
  ...SHOT_FIGURES.map((figure) => OUR_COLUMNS[figure]),
  'strike',
  'mishit',
];

/**
 * Shots as rows under our own headers, as exact as they are kept.
 * @param shots the shots
 * @param hand the student’s
 * @returns a row for each shot, metres, degrees, metres a second and millimetres, right positive
 */
export function shotRows(shots: readonly Shot[], hand: Hand): string[][] {
  const cell = (figure: ShotFigure, value: number | undefined) => {
    if (value === undefined) return '';
    return String((NEEDS[figure].sign && hand === 'left' ? -value : value) + 0);
  };
  return shots.map((shot) => [
    ...SHOT_FIGURES.map((figure) => cell(figure, shot[figure])),
    shot.strike ?? '',
    shot.mishit ? 'yes' : 'no',
  ]);
}
