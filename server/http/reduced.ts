import { centreOf, type PressureFrame } from '@pedastance/core/balance';
import { MAT_GRID } from '../devices/mat/simulatedMat';
import type { MatFrame } from '../devices/mat/types';

const rowsOf = (cells: readonly number[]): number[][] =>
  Array.from({ length: MAT_GRID.rows }, (_, row) =>
    cells.slice(row * MAT_GRID.columns, (row + 1) * MAT_GRID.columns),
  );

/** A frame of the mat as what is under each foot: its load, and the centre of it. */
export const reduced = ({ at, lead, trail }: MatFrame): PressureFrame => ({
  at,
  lead: centreOf(rowsOf(lead)),
  trail: centreOf(rowsOf(trail)),
});
