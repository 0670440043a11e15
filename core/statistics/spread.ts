import { mean, sampleStandardDeviation } from 'simple-statistics';

/** Nine of ten of what scatters normally lie within so many deviations of its middle. */
const NINE_OF_TEN = 1.645;

/**
 * The middle of values, and how far nine of ten of them lie from it at most where they scatter normally.
 * @param values at least one
 * @returns both in the values' own unit; no spread of a single one
 * @example nineOfTen([5]) // { middle: 5, spread: 0 }
 */
export const nineOfTen = (values: readonly number[]): { middle: number; spread: number } => ({
  middle: mean([...values]),
  spread: values.length < 2 ? 0 : NINE_OF_TEN * sampleStandardDeviation([...values]),
});
