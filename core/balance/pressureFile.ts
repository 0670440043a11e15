import type { Hand } from '../body';
import type { FootName } from '../setup';
import { InputError } from '../units';
import {
  centreOf,
  leadShareOf,
  partsOf,
  totalLoad,
  type PressureFrame,
  type PressureRecording,
  type UnderFoot,
} from './frames';
import { swingsIn, type SwingTimes } from './phases';
import { recordingOfTrace, type SwingTrace } from './trace';

/** One thing wrong with a file: its line, the header being line 1, which column, what was expected, what was found. */
export interface PressureFault {
  line: number;
  field: string;
  expected: string;
  found: string;
}

type Side = 'left' | 'right';
const SIDES = ['left', 'right'] as const;

/** Where a file has the load under one foot: its load and centre, or the cells of its grid from heel to toe. */
type FootColumns =
  | { kind: 'centre'; load: number; along: number; across: number | null }
  | { kind: 'grid'; cells: number[][] };

interface Columns {
  time: number;
  /** ms of one of the file's units of time */
  perTime: number;
  feet: Record<Side, FootColumns>;
}

/** A file holds an hour at most of such columns; more is another kind of file. */
export const MOST_PRESSURE_ROWS = 150_000;
const LEAST_ROWS = 40;

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

function centreColumns(names: readonly string[], side: RegExp): FootColumns | null {
  const find = (what: RegExp): number => names.findIndex((name) => side.test(name) && what.test(name));
  const load = find(/load|force|weight|newton|\bn\b|\bkg\b|total/);
  const along = find(/along|heel|cop y|copy\b|\by\b/);
  const across = find(/across|inner|outer|cop x|copx\b|\bx\b/);
  return load < 0 || along < 0 ? null : { kind: 'centre', load, along, across: across < 0 ? null : across };
}

/** The columns that a file's header names. */
function columnsOf(header: readonly string[], hand: Hand): Columns | PressureFault {
  const names = header.map(plain);
  const expected = 'time_ms, and for left and right a load and a place along the sole, or a grid of cells';
  const found = header.slice(0, 8).join(', ').slice(0, 120) || 'nothing';
  for (const [unit, perTime] of TIMES) {
    const time = names.findIndex((name) => unit.test(name));
    if (time < 0) continue;
    const feet = SIDES.map((side) => {
      const words = SIDE_WORDS[side][hand];
      return gridOf(names, words) ?? centreColumns(names, words);
    });
    const [left, right] = feet;
    if (left && right) return { time, perTime, feet: { left, right } };
    return { line: 1, field: left ? 'right foot' : 'left foot', expected, found };
  }
  return { line: 1, field: 'time', expected, found };
}

const numberIn = (text: string | undefined): number => {
  const trimmed = (text ?? '').trim().replace(',', '.');
  return trimmed === '' ? NaN : Number(trimmed);
};

/** A foot's load and centre in one row. @throws InputError */
function footIn(row: readonly string[], columns: FootColumns): UnderFoot {
  if (columns.kind === 'grid')
    return centreOf(columns.cells.map((cells) => cells.map((at) => numberIn(row[at]))));
  const load = numberIn(row[columns.load]);
  if (!(load >= 0)) throw new InputError('load', 'a number of 0 or more', row[columns.load] ?? 'nothing');
  const place = (at: number | null): number => {
    const value = at === null ? 50 : numberIn(row[at]);
    // A foot in the air has no centre.
    if (load === 0 && Number.isNaN(value)) return 50;
    if (!(value >= 0 && value <= 100))
      throw new InputError('place', 'a percent from 0 to 100', row[at!] ?? 'nothing');
    return value;
  };
  return { load, along: place(columns.along), across: place(columns.across) };
}

const MOST_FAULTS = 20;

/**
 * A recording of pressure from the rows of a file (RFC 4180): times and, for each foot, a load with its place along the sole
 * (0 heel to 100 toe) and across it (0 inner to 100 outer), or the loads of a grid of cells from heel to toe and from the
 * inner edge to the outer. Read whole or refused with its lines.
 * @param rows of the file, its header first
 * @param hand of the student, which says which foot leads
 * @returns the recording, or what is wrong
 */
export function readPressure(
  rows: readonly (readonly string[])[],
  hand: Hand,
): { recording: PressureRecording } | { faults: PressureFault[] } {
  const [header, ...body] = rows;
  const columns = columnsOf(header ?? [], hand);
  if ('line' in columns) return { faults: [columns] };
  if (body.length < LEAST_ROWS || body.length > MOST_PRESSURE_ROWS)
    return {
      faults: [
        {
          line: body.length + 1,
          field: 'rows',
          expected: `from ${LEAST_ROWS} to ${MOST_PRESSURE_ROWS}`,
          found: `${body.length}`,
        },
      ],
    };
  const faults: PressureFault[] = [];
  const frames: PressureFrame[] = [];
  const leadIsLeft = hand === 'right';
  let before = -Infinity;
  for (const [at, row] of body.entries()) {
    if (faults.length >= MOST_FAULTS) break;
    const line = at + 2;
    const time = numberIn(row[columns.time]) * columns.perTime;
    if (!(time > before)) {
      const field = header![columns.time]!;
      faults.push({
        line,
        field,
        expected: 'a time after the line above',
        found: row[columns.time] ?? 'nothing',
      });
      continue;
    }
    before = time;
    try {
      const [left, right] = [footIn(row, columns.feet.left), footIn(row, columns.feet.right)];
      frames.push({ at: time, lead: leadIsLeft ? left : right, trail: leadIsLeft ? right : left });
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      const { field, expected, found } = error;
      faults.push({ line, field, expected, found });
    }
  }
  if (faults.length > 0) return { faults };
  const steps = frames
    .slice(1)
    .map((frame, at) => frame.at - frames[at]!.at)
    .sort((a, b) => a - b);
  const rate = 1000 / steps[Math.floor(steps.length / 2)]!;
  if (!(rate >= 20 && rate <= 1000))
    return {
      faults: [
        {
          line: 2,
          field: header![columns.time]!,
          expected: '20 to 1000 frames a second',
          found: `${Math.round(rate)}`,
        },
      ],
    };
  return { recording: { rate, frames } };
}

export const PRESSURE_REPAIRS = [
  'fill the gaps',
  'swap the feet',
  'turn the mat round',
  'halve the time',
  'double the time',
] as const;
/** What can be mended of a recording. */
export type PressureRepair = (typeof PRESSURE_REPAIRS)[number];

/** A time between two frames longer than so many usual ones is a gap. */
const GAP = 1.6;
const isGap = (before: PressureFrame, frame: PressureFrame, rate: number): boolean =>
  (frame.at - before.at) * rate > GAP * 1000;

const between = (a: UnderFoot, b: UnderFoot, share: number): UnderFoot => ({
  load: a.load + (b.load - a.load) * share,
  along: a.along + (b.along - a.along) * share,
  across: a.across + (b.across - a.across) * share,
});

/** The same recording at a steady rate, gaps filled on a straight line; not where it was silent for long. */
const filled = (recording: PressureRecording): PressureRecording => ({
  rate: recording.rate,
  frames: partsOf(recording).flatMap(filledPart),
});

function filledPart({ rate, frames }: PressureRecording): PressureFrame[] {
  const [first, last] = [frames[0]!.at, frames[frames.length - 1]!.at];
  let at = 0;
  const count = Math.floor(((last - first) * rate) / 1000) + 1;
  return Array.from({ length: count }, (_, number): PressureFrame => {
    const time = first + (1000 * number) / rate;
    while (at < frames.length - 2 && frames[at + 1]!.at <= time) at += 1;
    const [before, after] = [frames[at]!, frames[Math.min(frames.length - 1, at + 1)]!];
    const share = after.at === before.at ? 0 : Math.min(1, (time - before.at) / (after.at - before.at));
    return {
      at: time,
      lead: between(before.lead, after.lead, share),
      trail: between(before.trail, after.trail, share),
    };
  });
}

const turned = ({ load, along, across }: UnderFoot): UnderFoot => ({
  load,
  along: 100 - along,
  across: 100 - across,
});
const inTime = ({ rate, frames }: PressureRecording, by: number): PressureRecording => ({
  rate: rate / by,
  frames: frames.map((frame) => ({ ...frame, at: frame.at * by })),
});

const REPAIRS: Record<PressureRepair, (recording: PressureRecording) => PressureRecording> = {
  'fill the gaps': filled,
  'swap the feet': ({ rate, frames }) => ({
    rate,
    frames: frames.map(({ at, lead, trail }) => ({ at, lead: trail, trail: lead })),
  }),
  'turn the mat round': ({ rate, frames }) => ({
    rate,
    frames: frames.map(({ at, lead, trail }) => ({ at, lead: turned(lead), trail: turned(trail) })),
  }),
  'halve the time': (recording) => inTime(recording, 1 / 2),
  'double the time': (recording) => inTime(recording, 2),
};

/** A recording mended. */
export const repaired = (recording: PressureRecording, repair: PressureRepair): PressureRecording =>
  REPAIRS[repair](recording);

/** A finish with so little of the load on the lead foot, after a top with so much of it, has its feet swapped, percent. */
const SWAPPED = { finish: 30, top: 60 };
/** The trail foot ends on its toe: nearer the heel than this, the mat lay the other way round, percent. */
const HEEL_AT_FINISH = 25;
/** As many frames with one and the same highest load are no chance, unless nothing changed meanwhile. */
const SATURATED = 12;
const CHANGED = 0.01;

/** Whether a foot's load stays at its highest while the other's changes: the mat can feel no more. */
function isSaturated(frames: readonly PressureFrame[], foot: FootName): boolean {
  const most = frames.reduce((highest, frame) => Math.max(highest, frame[foot].load), 0);
  const totals = frames.filter((frame) => most > 0 && frame[foot].load === most).map(totalLoad);
  return totals.length >= SATURATED && Math.max(...totals) - Math.min(...totals) > CHANGED * most;
}

/** From the top to the strike a swing takes about a quarter of a second, ms (common practice, no source). */
const DOWN = { least: 160, most: 400 };
const isPlausible = ({ top, impact }: SwingTimes): boolean =>
  impact - top >= DOWN.least && impact - top <= DOWN.most;

/** What is odd about a recording: what can be mended, and whether cells were at their end. */
export interface PressureOddities {
  repairs: PressureRepair[];
  saturated: boolean;
  swings: number;
}

/**
 * What is odd about a recording, and what would mend it: gaps, feet that are swapped, a mat that lay the other way round, or
 * a rate that is half or twice what it says, by which alone it has a swing (starting values).
 * @param recording as it was read
 * @returns the repairs to offer
 */
export function odditiesOf(recording: PressureRecording): PressureOddities {
  const { rate, frames } = recording;
  const gaps = partsOf(recording).some(({ frames: part }) =>
    part.some((frame, at) => at > 0 && isGap(part[at - 1]!, frame, rate)),
  );
  const steady = gaps ? filled(recording) : recording;
  const swings = swingsIn(steady);
  const repairs: PressureRepair[] = gaps ? ['fill the gaps'] : [];
  if (!swings.some(isPlausible)) {
    const other = (['halve the time', 'double the time'] as const).find((repair) =>
      swingsIn(repaired(steady, repair)).some(isPlausible),
    );
    if (other) repairs.push(other);
  }
  const frameAt = (time: number): PressureFrame =>
    steady.frames.find(({ at }) => at >= time) ?? steady.frames[steady.frames.length - 1]!;
  const [first] = swings;
  if (first) {
    const [top, finish] = [frameAt(first.top), frameAt(first.finish)];
    const swapped = leadShareOf(finish) < SWAPPED.finish && leadShareOf(top) > SWAPPED.top;
    if (swapped) repairs.push('swap the feet');
    const behind = swapped ? finish.lead : finish.trail;
    if (behind.along < HEEL_AT_FINISH) repairs.push('turn the mat round');
  }
  const saturated = (['lead', 'trail'] as const).some((foot) => isSaturated(frames, foot));
  return { repairs, saturated, swings: swings.length };
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
