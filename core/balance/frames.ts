import { median, quantile } from 'simple-statistics';
import type { FootName } from '../setup';
import { InputError } from '../units';

/** What is under one foot at one moment: its load, and its centre of pressure along and across the sole. */
export interface UnderFoot {
  /** In any unit, the same for both feet. */
  load: number;
  /** 0 at the heel, 100 at the toe. */
  along: number;
  /** 0 at the inner edge, 100 at the outer. */
  across: number;
}

/** Both feet at one moment. */
export interface PressureFrame extends Record<FootName, UnderFoot> {
  /** ms from the start of the recording */
  at: number;
}

/** Frames at a steady rate. */
export interface PressureRecording {
  /** frames a second */
  rate: number;
  frames: readonly PressureFrame[];
}

/** After so long without a frame a recording begins anew, ms: nobody knows what was between. */
const ANEW_MS = 1000;

/**
 * The parts of a recording that belong together in time.
 * @param recording of any length
 * @returns recordings with no long silence in them
 */
export function partsOf({ rate, frames }: PressureRecording): PressureRecording[] {
  const parts: PressureFrame[][] = [];
  for (const [at, frame] of frames.entries()) {
    const before = frames[at - 1];
    if (!before || frame.at - before.at > ANEW_MS) parts.push([]);
    parts[parts.length - 1]!.push(frame);
  }
  return parts.map((part) => ({ rate, frames: part }));
}

/** A foot that bears less than this share of both is off the ground: its centre says nothing, percent. */
export const OFF_GROUND = 4;

/**
 * The load on a grid of cells under one sole, and its centre of pressure: the mean of the cells' middles, each by its load.
 * @param cells rows from heel to toe, columns from the inner edge to the outer; loads in any unit
 * @returns load, and where its centre lies; the middle where there is no load
 * @throws InputError where a cell's load is negative or no number
 * @example centreOf([[0, 0], [0, 8]]) // { load: 8, along: 75, across: 75 }
 */
export function centreOf(cells: readonly (readonly number[])[]): UnderFoot {
  let [load, along, across] = [0, 0, 0];
  // By index: this is done for every frame of every mat that is looked at.
  for (let row = 0; row < cells.length; row += 1) {
    const columns = cells[row]!;
    let [rowLoad, rowAcross] = [0, 0];
    for (let column = 0; column < columns.length; column += 1) {
      const cell = columns[column]!;
      if (!(cell >= 0 && cell < Infinity)) throw new InputError('cell', 'a load of 0 or more', String(cell));
      rowLoad += cell;
      rowAcross += cell * (column + 0.5);
    }
    load += rowLoad;
    along += rowLoad * (row + 0.5);
    across += rowAcross / columns.length;
  }
  if (load === 0) return { load, along: 50, across: 50 };
  return { load, along: (100 * along) / (load * cells.length), across: (100 * across) / load };
}

export const totalLoad = ({ lead, trail }: Pick<PressureFrame, FootName>): number => lead.load + trail.load;

/**
 * The lead foot's share of the load.
 * @param frame both feet
 * @returns percent; 50 where there is no load
 * @example leadShareOf({ lead: { load: 60, along: 50, across: 50 }, trail: { load: 40, along: 50, across: 50 } }) // 60
 */
export function leadShareOf(frame: Pick<PressureFrame, FootName>): number {
  const total = totalLoad(frame);
  return total === 0 ? 50 : (100 * frame.lead.load) / total;
}

/**
 * Where along both soles together the load lies, each foot by its share.
 * @param frame both feet
 * @returns 0 at the heels, 100 at the toes
 */
export function alongOf({ lead, trail }: Pick<PressureFrame, FootName>): number {
  const total = totalLoad({ lead, trail });
  return total === 0 ? 50 : (lead.along * lead.load + trail.along * trail.load) / total;
}

/**
 * The weight of whoever stands on the mat, also where nobody does for most of the time.
 * @param loads of both feet, frame by frame
 * @returns in their unit; 0 where nobody ever stands on it
 */
export function weightOn(loads: readonly number[]): number {
  const most = quantile([...loads], 0.99);
  return most > 0 ? median(loads.filter((load) => load > 0.4 * most)) : 0;
}
