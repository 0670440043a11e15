/** Something measured: its value and one standard deviation. */
export interface Told {
  value: number;
  uncertainty: number;
}

/** A share of an input's own standard deviation to step by: small against it, large against rounding. */
const STEP = 1e-3;

/**
 * Carries the uncertainty of inputs to everything that is worked out from them, by central differences (first order;
 * JCGM 100:2008, Guide to the expression of uncertainty in measurement, equation 10).
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
  const values = work(inputs);
  const variances = values.map(() => 0);
  inputs.forEach((value, at) => {
    const deviation = deviations[at]!;
    if (deviation === 0) return;
    const stepped = (by: number): readonly number[] =>
      work(inputs.map((each, place) => (place === at ? value + by * deviation : each)));
    const [less, more] = [stepped(-STEP), stepped(STEP)];
    values.forEach((_, result) => {
      variances[result]! += ((more[result]! - less[result]!) / (2 * STEP)) ** 2;
    });
  });
  return values.map((value, at) => ({ value, uncertainty: Math.sqrt(variances[at]!) }));
}
