/**
 * A least-squares line kept with what a prediction interval needs.
 * Rows are [1, height cm] or [1, height cm, 1 for a man].
 */
export interface LinearFit {
  coefficients: readonly number[];
  residualSd: number;
  degreesOfFreedom: number;
  /** Inverse of X'X, row by row. */
  inverseGram: readonly (readonly number[])[];
}

export interface Prediction {
  value: number;
  /** Standard deviation of one new person about the prediction. */
  sd: number;
}

/**
 * Predicts one new person: x'b, with variance s^2 (1 + x' (X'X)^-1 x).
 * Source: any regression text, e.g. Draper & Smith, Applied Regression Analysis, section 1.4.
 * @param fit the line
 * @param row the person, as the rows of the fit
 * @returns the prediction and its standard deviation, in the units of the fit
 * @example predict({ coefficients: [1, 2], residualSd: 2, degreesOfFreedom: 8, inverseGram: [[0, 0], [0, 0]] }, [1, 3]) // { value: 7, sd: 2 }
 */
export function predict(fit: LinearFit, row: readonly number[]): Prediction {
  const value = row.reduce((sum, x, index) => sum + x * fit.coefficients[index]!, 0);
  const leverage = row.reduce(
    (sum, x, index) =>
      sum + x * row.reduce((inner, y, column) => inner + y * fit.inverseGram[index]![column]!, 0),
    0,
  );
  return { value, sd: fit.residualSd * Math.sqrt(1 + leverage) };
}
