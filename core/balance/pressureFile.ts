import type { Hand } from '../body';
import { InputError, numberIn } from '../units';
import { centreOf, type PressureFrame, type PressureRecording, type UnderFoot } from './frames';
import {
  columnsBy,
  columnsNamed,
  type FootColumns,
  type PlacesIn,
  type PressureColumns,
  type PressureFault,
  type PressureMapping,
} from './pressureColumns';
import { rateOf } from './steady';
import { recordingOfTrace, type SwingTrace } from './trace';

/** A file holds an hour at most of such columns; more is another kind of file. */
export const MOST_PRESSURE_ROWS = 150_000;
const LEAST_ROWS = 40;

/** A shoe that places in millimetres are told on, mm. */
export interface ShoeSize {
  length: number;
  breadth: number;
}

/** What a place on a shoe is counted in: how far it goes, and how it is named where it does not. */
interface Counted {
  most: { along: number; across: number };
  expected: string;
}

const countedIn = (places: PlacesIn, { length, breadth }: ShoeSize): Counted =>
  places === 'millimetres'
    ? { most: { along: length, across: breadth }, expected: 'mm on the shoe' }
    : places === 'share'
      ? { most: { along: 1, across: 1 }, expected: 'a share from 0 to 1' }
      : { most: { along: 100, across: 100 }, expected: 'a percent from 0 to 100' };

/** A foot's load and centre in one row. @throws InputError */
function footIn(row: readonly string[], columns: FootColumns, { most, expected }: Counted): UnderFoot {
  if (columns.kind === 'grid')
    return centreOf(columns.cells.map((cells) => cells.map((at) => numberIn(row[at]))));
  const load = numberIn(row[columns.load]);
  if (!(load >= 0)) throw new InputError('load', 'a number of 0 or more', row[columns.load] ?? 'nothing');
  const place = (at: number | null, end: number): number => {
    if (at === null) return 50;
    const value = (100 * numberIn(row[at])) / end;
    // A foot in the air has no centre.
    if (load === 0 && Number.isNaN(value)) return 50;
    if (!(value >= 0 && value <= 100)) throw new InputError('place', expected, row[at] ?? 'nothing');
    return value;
  };
  return { load, along: place(columns.along, most.along), across: place(columns.across, most.across) };
}

const MOST_FAULTS = 20;
/** Frames a second. */
const RATES = { least: 20, most: 1000 };

/** What reading rows takes along. */
interface Reading {
  columns: PressureColumns;
  counted: Counted;
  /** What the file calls its times. */
  timeName: string;
  leadIsLeft: boolean;
}

/** By their names, places are in percent: no shoe is asked for. */
const NO_SHOE: ShoeSize = { length: 100, breadth: 100 };

/** Why a row of a file is not taken. */
function rowFault(line: number, { field, expected, found }: InputError): PressureFault {
  return { line, field, expected, found };
}

/** Frames in the order of their times, or the first rows that are none. */
function framesIn(
  rows: readonly (readonly string[])[],
  { columns, counted, timeName, leadIsLeft }: Reading,
): { frames: PressureFrame[] } | { faults: PressureFault[] } {
  const faults: PressureFault[] = [];
  const frames: PressureFrame[] = [];
  let before = -Infinity;
  for (const [at, row] of rows.entries()) {
    if (faults.length >= MOST_FAULTS) break;
    try {
      const time = numberIn(row[columns.time]) * columns.perTime;
      if (!(time > before))
        throw new InputError(timeName, 'a time after the line above', row[columns.time] ?? 'nothing');
      before = time;
      const left = footIn(row, columns.feet.left, counted);
      const right = footIn(row, columns.feet.right, counted);
      frames.push({ at: time, lead: leadIsLeft ? left : right, trail: leadIsLeft ? right : left });
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      faults.push(rowFault(at + 2, error));
    }
  }
  return faults.length > 0 ? { faults } : { frames };
}

/**
 * A recording of pressure from the rows of a file (RFC 4180): times and, for each foot, a load with its place along the sole
 * (0 heel to 100 toe) and across it (0 inner to 100 outer), or the loads of a grid of cells from heel to toe and from the
 * inner edge to the outer. Read whole or refused with its lines.
 * @param rows of the file, its header first
 * @param hand of the student, which says which foot leads
 * @param by which columns, where a coach said so, and the shoe that millimetres are counted on; by their names otherwise
 * @returns the recording, or what is wrong
 */
export function readPressure(
  rows: readonly (readonly string[])[],
  hand: Hand,
  by?: { mapping: PressureMapping; shoe: ShoeSize },
): { recording: PressureRecording } | { faults: PressureFault[] } {
  const [header = [], ...body] = rows;
  const columns = by ? columnsBy(by.mapping) : columnsNamed(header, hand);
  if ('line' in columns) return { faults: [columns] };
  if (body.length < LEAST_ROWS || body.length > MOST_PRESSURE_ROWS) {
    const expected = `from ${LEAST_ROWS} to ${MOST_PRESSURE_ROWS}`;
    return { faults: [{ line: body.length + 1, field: 'rows', expected, found: `${body.length}` }] };
  }
  const counted = countedIn(columns.places, by?.shoe ?? NO_SHOE);
  const timeName = header[columns.time] ?? 'time';
  const read = framesIn(body, { columns, counted, timeName, leadIsLeft: hand === 'right' });
  if ('faults' in read) return read;
  const rate = rateOf(read.frames);
  if (!(rate >= RATES.least && rate <= RATES.most)) {
    const expected = `${RATES.least} to ${RATES.most} frames a second`;
    return { faults: [{ line: 2, field: timeName, expected, found: `${Math.round(rate)}` }] };
  }
  return { recording: { rate, frames: read.frames } };
}

/** Between two swings of a file, ms. */
const SILENT_MS = 3000;
const COLUMNS = ['load', 'along', 'across'] as const;

/**
 * Swings as the rows of a file that `readPressure` reads, one after another with a silence between them.
 * @param swings as they are kept
 * @returns rows, the header first
 */
export function writePressure(swings: readonly SwingTrace[]): string[][] {
  const header = [
    'time_ms',
    ...(['lead', 'trail'] as const).flatMap((foot) => COLUMNS.map((name) => `${foot}_${name}`)),
  ];
  let start = 0;
  const rows = swings.flatMap((trace) => {
    const { frames } = recordingOfTrace(trace);
    const from = start;
    start += frames[frames.length - 1]!.at + SILENT_MS;
    return frames.map(({ at, lead, trail }) => [
      String(Math.round(10 * (from + at)) / 10),
      ...[lead, trail].flatMap((foot) => COLUMNS.map((name) => String(Math.round(10 * foot[name]) / 10))),
    ]);
  });
  return [header, ...rows];
}
