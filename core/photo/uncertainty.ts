import { inverse, Matrix } from 'ml-matrix';

/** Something measured: its value and one standard deviation. */
export interface Told {
  value: number;
  uncertainty: number;
}

/** A share of an input's own standard deviation to step by: small against it, large against rounding. */
const STEP = 1e-3;

/** How results change with each input, in its own standard deviations, by central differences. */
function slopesOf(
  work: (inputs: readonly number[]) => readonly number[],
  inputs: readonly number[],
  deviations: readonly number[],
): number[][] {
  const none = work(inputs).map(() => 0);
  return inputs.map((value, at) => {
    const deviation = deviations[at]!;
    if (deviation === 0) return none;
    const stepped = (by: number): readonly number[] =>
      work(inputs.map((each, place) => (place === at ? value + by * deviation : each)));
    const [less, more] = [stepped(-STEP), stepped(STEP)];
    return more.map((result, place) => (result - less[place]!) / (2 * STEP));
  });
}

/**
 * Carries the uncertainty of inputs to everything that is worked out from them (first order; JCGM 100:2008, Guide to
 * the expression of uncertainty in measurement, equation 10).
 * @param work works the results out from the inputs
 * @param inputs their values
 * @param deviations one standard deviation of each; they are independent
 * @returns each result with one standard deviation
 */
export function carried(
  work: (inputs: readonly number[]) => readonly number[],
  inputs: readonly number[],
  deviations: readonly number[],
): Told[] {
  const slopes = slopesOf(work, inputs, deviations);
  return work(inputs).map((value, result) => ({
    value,
    uncertainty: Math.sqrt(slopes.reduce((sum, slope) => sum + slope[result]! ** 2, 0)),
  }));
}

/** What is known besides of one of the results. */
export interface Check {
  /** Which result. */
  result: number;
  known: number;
  /** One standard deviation of what is known. */
  deviation: number;
}

/** Inputs moved toward what is known besides. */
export interface Agreed {
  inputs: readonly number[];
  /** Each result with one standard deviation. */
  told: Told[];
  /** How far each check is off before the inputs were moved, in standard deviations; more than known is positive. */
  off: number[];
}

/** From inputs that are nearly right. */
const USUAL_ROUNDS = 2;

/**
 * Carries the uncertainty of inputs whose results have to agree with something known besides: each input moves by as
 * much as it is unsure, and results are surer for it (the update of a Kalman filter; Bar-Shalom, Li and Kirubarajan
 * 2001, Estimation with Applications to Tracking and Navigation, section 5.2, from memory).
 * @param work works the results out from the inputs
 * @param checks what is known besides
 * @param inputs their values
 * @param deviations one standard deviation of each; they are independent
 * @param rounds how often it is worked through anew
 * @returns the inputs that agree best, the results, and how far off the checks were
 */
export function agreed(
  work: (inputs: readonly number[]) => readonly number[],
  checks: readonly Check[],
  inputs: readonly number[],
  deviations: readonly number[],
  rounds = USUAL_ROUNDS,
): Agreed {
  if (checks.length === 0) return { inputs, told: carried(work, inputs, deviations), off: [] };
  const noise = Matrix.diag(checks.map(({ deviation }) => deviation ** 2));
  const columns = checks.map(({ result }) => result);
  const inDeviations = (values: readonly number[]): Matrix =>
    Matrix.columnVector(
      values.map((value, at) => (deviations[at] === 0 ? 0 : (value - inputs[at]!) / deviations[at]!)),
    );
  let at = inputs;
  let off: number[] | null = null;
  // Inputs are told in their own standard deviations, so that what is known of them before is the unit matrix.
  let [slopes, heard, less] = [new Matrix(0, 0), new Matrix(0, 0), new Matrix(0, 0)];
  for (let round = 0; round < rounds; round += 1) {
    slopes = new Matrix(slopesOf(work, at, deviations));
    const checked = new Matrix(slopes.to2DArray().map((row) => columns.map((column) => row[column]!)));
    const sureness = checked.transpose().mmul(checked).add(noise);
    const gain = checked.mmul(inverse(sureness));
    const results = work(at);
    const missing = checks.map(({ result, known }) => known - results[result]!);
    off ??= missing.map((miss, place) => -miss / Math.sqrt(sureness.get(place, place)));
    const misses = Matrix.columnVector(missing).add(checked.transpose().mmul(inDeviations(at)));
    const moved = gain.mmul(misses).to1DArray();
    at = inputs.map((value, place) => value + moved[place]! * deviations[place]!);
    [heard, less] = [checked.transpose().mmul(slopes), gain.transpose().mmul(slopes)];
  }
  const sumOf = (of: Matrix, by: Matrix, column: number): number =>
    Array.from({ length: of.rows }, (_, row) => of.get(row, column) * by.get(row, column)).reduce(
      (sum, value) => sum + value,
      0,
    );
  const told = work(at).map((value, result) => ({
    value,
    uncertainty: Math.sqrt(Math.max(0, sumOf(slopes, slopes, result) - sumOf(heard, less, result))),
  }));
  return { inputs: at, told, off: off! };
}
