import betaQuantile from '@stdlib/stats-base-dists-beta-quantile';
import { studentQuantile } from './distributions';

/** How many of how many. */
export interface Proportion {
  yes: number;
  of: number;
}

/** The score interval of one proportion (Wilson 1927, J. American Statistical Association 22:209–212). */
function wilson({ yes, of }: Proportion, z: number): [number, number] {
  const share = yes / of;
  const middle = share + z ** 2 / (2 * of);
  const reach = z * Math.sqrt((share * (1 - share)) / of + z ** 2 / (4 * of ** 2));
  const whole = 1 + z ** 2 / of;
  return [(middle - reach) / whole, (middle + reach) / whole];
}

/**
 * An interval of the difference of two proportions, from the score interval of each (Newcombe 1998,
 * Statistics in Medicine 17:873–890, method 10).
 * @param a one group, of at least 1
 * @param b the other, of at least 1
 * @param tail how likely the difference is to lie beyond either end
 * @returns the two ends of the share of `b` less that of `a`, −1 to 1
 * @example differenceOfProportions({ yes: 48, of: 80 }, { yes: 56, of: 70 }).map((end) => end.toFixed(4)) // ['0.0524', '0.3339']
 */
export function differenceOfProportions(a: Proportion, b: Proportion, tail = 0.025): [number, number] {
  const z = studentQuantile(tail, 1e9);
  const [leastA, mostA] = wilson(a, z);
  const [leastB, mostB] = wilson(b, z);
  const shareA = a.yes / a.of;
  const shareB = b.yes / b.of;
  const difference = shareB - shareA;
  return [
    difference - Math.hypot(shareB - leastB, mostA - shareA),
    difference + Math.hypot(mostB - shareB, shareA - leastA),
  ];
}

/** Even steps in probability that each posterior is gone through in. */
const STEPS = 200;

/** Quantiles of a proportion where every value was as likely beforehand, ascending. */
const posterior = ({ yes, of }: Proportion): number[] =>
  Array.from({ length: STEPS }, (_, step) => betaQuantile((step + 0.5) / STEPS, 1 + yes, 1 + of - yes));

/**
 * How sure it is that one proportion is larger than another by at least `margin`, where every value of
 * either was as likely beforehand (Gelman et al. 2013, Bayesian Data Analysis, 2.4, from memory).
 * @param a one group
 * @param b the other
 * @param margin −1 to 1
 * @returns 0 to 1, to about a hundredth
 * @example probabilityOfProportions({ yes: 6, of: 12 }, { yes: 6, of: 12 }, 0).toFixed(1) // '0.5'
 */
export function probabilityOfProportions(a: Proportion, b: Proportion, margin: number): number {
  const those = posterior(b);
  let beyond = 0;
  let from = 0;
  for (const share of posterior(a)) {
    while (from < STEPS && those[from]! < share + margin) from += 1;
    beyond += STEPS - from;
  }
  return beyond / STEPS ** 2;
}
