import { mean, rootMeanSquare, sampleVariance } from 'simple-statistics';
import { studentQuantile } from '../statistics';
import type { FeetFigure } from '../setup';

/** A figure that was guessed from a picture, and what it is: mm or degrees. */
export interface Guess {
  figure: FeetFigure;
  guessed: number;
  truth: number;
}

/** How good an eye is for one figure: mm or degrees. */
export interface EyeRecord {
  count: number;
  /** How far off a guess is: root of the mean square. */
  off: number;
  /** How much more is guessed than there is, on average. */
  bias: number;
  /** The average is further from nought than chance explains. */
  biased: boolean;
}

/** So few guesses say nothing of an average (starting value). */
const LEAST_GUESSES = 5;

/**
 * How far off guesses are, and whether they lean to one side: the 95% interval of their mean error leaves nought out
 * (Student's t; NIST/SEMATECH e-Handbook of Statistical Methods, section 1.3.5.2).
 * @param guesses of any figures
 * @param figure the one that is asked about
 * @returns null where it was never guessed
 */
export function eyeRecord(guesses: readonly Guess[], figure: FeetFigure): EyeRecord | null {
  const errors = guesses
    .filter((guess) => guess.figure === figure)
    .map(({ guessed, truth }) => guessed - truth);
  const count = errors.length;
  if (count === 0) return null;
  const [bias, off] = [mean(errors), rootMeanSquare(errors)];
  if (count < LEAST_GUESSES) return { count, off, bias, biased: false };
  const reach = studentQuantile(0.025, count - 1) * Math.sqrt(sampleVariance(errors) / count);
  return { count, off, bias, biased: Math.abs(bias) > reach };
}
