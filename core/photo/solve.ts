import { Degenerate } from './degenerate';

/** The least pivot, as a share of the largest number, that still fixes something. */
const LEAST_PIVOT = 1e-13;

/**
 * Solves linear equations by Gaussian elimination with partial pivoting (Golub & Van Loan, Matrix Computations, algorithm
 * 3.4.1, from memory). Made for a few equations that are solved thousands of times.
 * @param equations row after row, each with its right side last; they are used up
 * @param size how many
 * @returns the unknowns
 * @throws Degenerate where the equations do not fix them
 */
export function solved(equations: Float64Array, size: number): Float64Array {
  const width = size + 1;
  let largest = 0;
  for (const value of equations) largest = Math.max(largest, Math.abs(value));
  for (let column = 0; column < size; column += 1) {
    const pivot = pivotRow(equations, column, size);
    if (!(Math.abs(equations[pivot * width + column]!) > LEAST_PIVOT * largest)) throw new Degenerate();
    if (pivot !== column) swapRows(equations, pivot * width, column * width, width);
    for (let row = column + 1; row < size; row += 1) {
      const by = equations[row * width + column]! / equations[column * width + column]!;
      if (by === 0) continue;
      for (let at = column; at < width; at += 1)
        equations[row * width + at]! -= by * equations[column * width + at]!;
    }
  }
  const unknowns = new Float64Array(size);
  for (let row = size - 1; row >= 0; row -= 1) {
    let right = equations[row * width + size]!;
    for (let at = row + 1; at < size; at += 1) right -= equations[row * width + at]! * unknowns[at]!;
    unknowns[row] = right / equations[row * width + row]!;
  }
  return unknowns;
}

/** The row whose number in a column is the largest, from that column's own row down. */
function pivotRow(equations: Float64Array, column: number, size: number): number {
  let best = column;
  for (let row = column + 1; row < size; row += 1)
    if (Math.abs(equations[row * (size + 1) + column]!) > Math.abs(equations[best * (size + 1) + column]!))
      best = row;
  return best;
}

function swapRows(equations: Float64Array, a: number, b: number, width: number): void {
  for (let at = 0; at < width; at += 1) {
    const kept = equations[a + at]!;
    equations[a + at] = equations[b + at]!;
    equations[b + at] = kept;
  }
}
