/** What a pressure mat tells: the loads of the cells under both soles. */
export interface MatFrame {
  number: number;
  /** ms from the first frame */
  at: number;
  /** Rows of cells from heel to toe, each from the inner edge to the outer. */
  lead: readonly (readonly number[])[];
  trail: readonly (readonly number[])[];
}

/** Something that feels how somebody stands. */
export interface PressureMat {
  /** frames a second */
  rate: number;
  grid: { rows: number; columns: number };
  frame(number: number): MatFrame;
}
