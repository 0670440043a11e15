/**
 * Bayesian linear regression with the conjugate normal–inverse-gamma prior (O'Hagan & Forster 2004,
 * Kendall's Advanced Theory of Statistics 2B, chapter 11, from memory).
 */
import { inverse, Matrix as DenseMatrix } from 'ml-matrix';
import { InputError } from '../units';

/** A matrix, row by row. */
export type Matrix = readonly (readonly number[])[];

const SINGULAR = 1e-12;

/**
 * The inverse of a small matrix.
 * @param matrix square, row by row
 * @returns its inverse
 * @throws InputError when the matrix is singular: the setups differ in nothing
 * @example inverseOf([[2, 0], [0, 4]]) // [[0.5, 0], [0, 0.25]]
 */
export function inverseOf(matrix: Matrix): number[][] {
  const dense = new DenseMatrix(matrix.map((row) => [...row]));
  const size = dense.max();
  try {
    const inverted = inverse(dense).to2DArray();
    if (inverted.flat().every((value) => Math.abs(value) * SINGULAR * size < 1)) return inverted;
  } catch {
    // A matrix that cannot be inverted is refused below like one that nearly cannot.
  }
  throw new InputError('shots', 'setups that differ in each figure', 'alike');
}

const times = (matrix: Matrix, vector: readonly number[]): number[] =>
  matrix.map((row) => row.reduce((sum, value, at) => sum + value * vector[at]!, 0));

/**
 * The sum of products.
 * @param a one vector
 * @param b another, as long
 * @returns their dot product
 * @example dot([1, 2], [3, 4]) // 11
 */
export const dot = (a: readonly number[], b: readonly number[]): number =>
  a.reduce((sum, value, at) => sum + value * b[at]!, 0);

/**
 * The variance of a weighted sum.
 * @param covariance of the summands, row by row
 * @param weights one for each
 * @returns the variance
 * @example varianceOf([[1, 0], [0, 4]], [1, 2]) // 17
 */
export const varianceOf = (covariance: Matrix, weights: readonly number[]): number =>
  dot(times(covariance, weights), weights);

/**
 * A normal–inverse-gamma distribution of a line's coefficients and its residual variance: the
 * coefficients are normal about `mean` with covariance variance · inverse(precision), the variance
 * is inverse-gamma with `shape` and `rate`.
 */
export interface NormalInverseGamma {
  mean: readonly number[];
  precision: Matrix;
  shape: number;
  rate: number;
}

/**
 * A prior with independent coefficients.
 * @param mean the coefficients' means
 * @param deviations their standard deviations, where the residual deviation is `residualDeviation`
 * @param residualDeviation the residual standard deviation that is expected
 * @param shape how much that expectation weighs, in halves of an observation
 * @returns the prior
 */
export function independentPrior(
  mean: readonly number[],
  deviations: readonly number[],
  residualDeviation: number,
  shape: number,
): NormalInverseGamma {
  return {
    mean,
    precision: deviations.map((each, row) =>
      deviations.map((_, column) => (row === column ? (residualDeviation / each) ** 2 : 0)),
    ),
    shape,
    rate: shape * residualDeviation ** 2,
  };
}

/**
 * The exact conjugate update by observations y = x · coefficients + noise.
 * @param prior the distribution before
 * @param x one row an observation, as long as the mean
 * @param y one value an observation
 * @returns the posterior
 * @throws InputError when the rows and the prior together leave a coefficient undetermined
 */
export function posterior(prior: NormalInverseGamma, x: Matrix, y: readonly number[]): NormalInverseGamma {
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

/** A Student's t distribution by its location, its scale and its degrees of freedom. */
export interface StudentT {
  mean: number;
  scale: number;
  degreesOfFreedom: number;
}

/**
 * The marginal distribution of a linear combination of the coefficients.
 * @param distribution of the coefficients
 * @param weights one for each coefficient
 * @returns Student's t distribution of the weighted sum
 */
export function marginal(
  { mean, precision, shape, rate }: NormalInverseGamma,
  weights: readonly number[],
): StudentT {
  const covariance = times(inverseOf(precision), weights);
  return {
    mean: dot(mean, weights),
    scale: Math.sqrt((rate / shape) * dot(weights, covariance)),
    degreesOfFreedom: 2 * shape,
  };
}
