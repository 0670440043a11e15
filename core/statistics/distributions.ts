import betaQuantile from '@stdlib/stats-base-dists-beta-quantile';
import normalCumulative from '@stdlib/stats-base-dists-normal-cdf';
import normalDensityOf from '@stdlib/stats-base-dists-normal-pdf';
import studentCumulative from '@stdlib/stats-base-dists-t-cdf';
import studentQuantileOf from '@stdlib/stats-base-dists-t-quantile';

/**
 * The upper tail of Student's t distribution.
 * @param t any number
 * @param degreesOfFreedom above 0
 * @returns the probability of at least `t`
 * @example studentTail(0, 5) // 0.5
 */
export const studentTail = (t: number, degreesOfFreedom: number): number =>
  studentCumulative(-t, degreesOfFreedom);

/**
 * The quantile of Student's t distribution that has a given upper tail.
 * @param tail a probability, 0 to 1
 * @param degreesOfFreedom above 0
 * @returns the t that is exceeded with probability `tail`
 * @example studentQuantile(0.025, 10).toFixed(3) // '2.228'
 */
export const studentQuantile = (tail: number, degreesOfFreedom: number): number =>
  studentQuantileOf(1 - tail, degreesOfFreedom);

/**
 * The density of the standard normal distribution.
 * @param z in standard deviations
 * @returns the density at `z`
 * @example normalDensity(0).toFixed(4) // '0.3989'
 */
export const normalDensity = (z: number): number => normalDensityOf(z, 0, 1);

/**
 * The cumulative distribution function of the standard normal distribution.
 * @param z in standard deviations
 * @returns the probability of at most `z`
 * @example normalProbability(1.96).toFixed(3) // '0.975'
 */
export const normalProbability = (z: number): number => normalCumulative(z, 0, 1);

/**
 * The 95% Clopper–Pearson interval of a binomial proportion (Clopper & Pearson 1934, Biometrika 26:404–413).
 * @param successes how many of the trials succeeded, 0 to `trials`
 * @param trials how many there were, at least 1
 * @returns the lower and upper limit, 0 to 1
 * @example clopperPearson(0, 10)[1].toFixed(3) // '0.308'
 */
export function clopperPearson(successes: number, trials: number): [number, number] {
  return [
    successes === 0 ? 0 : betaQuantile(0.025, successes, trials - successes + 1),
    successes === trials ? 1 : betaQuantile(0.975, successes + 1, trials - successes),
  ];
}
