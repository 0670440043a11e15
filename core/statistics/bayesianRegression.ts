import { InputError } from '../units';

/** A square matrix, row by row. */
export type Matrix = readonly (readonly number[])[];

/** The inverse of a small positive definite matrix (Gauss-Jordan elimination with row exchange). */
export function inverseOf(matrix: Matrix): number[][] {
  const size = matrix.length;
  const rows = matrix.map((row, at) => [...row, ...row.map((_, column) => (column === at ? 1 : 0))]);
  for (let at = 0; at < size; at += 1) {
    let best = at;
    for (let row = at + 1; row < size; row += 1) {
      if (Math.abs(rows[row]![at]!) > Math.abs(rows[best]![at]!)) best = row;
    }
    [rows[at], rows[best]] = [rows[best]!, rows[at]!];
    const pivot = rows[at]![at]!;
    if (Math.abs(pivot) < 1e-12) throw new InputError('shots', 'setups that differ in each figure', 'alike');
    rows[at] = rows[at]!.map((value) => value / pivot);
    for (let row = 0; row < size; row += 1) {
      const by = rows[row]![at]!;
      if (row === at || by === 0) continue;
      rows[row] = rows[row]!.map((value, column) => value - by * rows[at]![column]!);
    }
  }
  return rows.map((row) => row.slice(size));
}

const times = (matrix: Matrix, vector: readonly number[]): number[] =>
  matrix.map((row) => row.reduce((sum, value, at) => sum + value * vector[at]!, 0));

const dot = (a: readonly number[], b: readonly number[]): number =>
  a.reduce((sum, value, at) => sum + value * b[at]!, 0);

/**
 * What is believed of a line's coefficients and its scatter: coefficients normal about `mean` with
 * covariance scatter² · inverse(precision), scatter² inverse-gamma with `shape` and `rate`.
 */
export interface Belief {
  mean: readonly number[];
  precision: Matrix;
  shape: number;
  rate: number;
}

/** Coefficients each known by themselves to within a standard deviation, in so many scatters. */
export function knowing(
  mean: readonly number[],
  deviations: readonly number[],
  scatter: number,
  shape: number,
): Belief {
  return {
    mean,
    precision: deviations.map((each, row) =>
      deviations.map((_, column) => (row === column ? (scatter / each) ** 2 : 0)),
    ),
    shape,
    rate: shape * scatter ** 2,
  };
}

/**
 * The exact conjugate update of a normal-inverse-gamma belief by observations y = x·coefficients +
 * noise (O'Hagan & Forster 2004, Kendall's Advanced Theory of Statistics 2B, chapter 11, from memory).
 * Rows of `x` are as long as the mean.
 */
export function updated(prior: Belief, x: Matrix, y: readonly number[]): Belief {
  const precision = prior.precision.map((row, at) =>
    row.map((value, column) => value + x.reduce((sum, of) => sum + of[at]! * of[column]!, 0)),
  );
  const weighed = times(prior.precision, prior.mean);
  const right = weighed.map((value, at) => value + x.reduce((sum, of, n) => sum + of[at]! * y[n]!, 0));
  const mean = times(inverseOf(precision), right);
  const squares = dot(y, y) + dot(prior.mean, weighed) - dot(mean, times(precision, mean));
  return {
    mean,
    precision,
    shape: prior.shape + y.length / 2,
    rate: prior.rate + Math.max(0, squares) / 2,
  };
}

/** A weighed sum of the coefficients as Student's t: its middle, its scale and its degrees of freedom. */
export function believed(
  { mean, precision, shape, rate }: Belief,
  weights: readonly number[],
): { value: number; scale: number; freedom: number } {
  const covariance = times(inverseOf(precision), weights);
  return {
    value: dot(mean, weights),
    scale: Math.sqrt((rate / shape) * dot(weights, covariance)),
    freedom: 2 * shape,
  };
}
