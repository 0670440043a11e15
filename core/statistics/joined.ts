import { studentQuantile } from './distributions';
import { SD_IN_95_PERCENT } from './normalInterval';

const IN_ONE_TAIL = 0.025;

/**
 * The 95% half width of a mean that scatters and is wrong by something besides that is known beforehand: Student's t with the
 * effective degrees of freedom of the two (Welch and Satterthwaite; JCGM 100:2008, the GUM, G.4.1).
 * @param standardError of the mean, as its values scattered
 * @param degreesOfFreedom of that
 * @param alike what is wrong alike for all values, one standard deviation
 * @returns in the values' unit
 * @example joinedHalfWidth(1, 2, 0).toFixed(2) // '4.30'
 */
export function joinedHalfWidth(standardError: number, degreesOfFreedom: number, alike: number): number {
  const variance = standardError ** 2 + alike ** 2;
  if (standardError === 0) return SD_IN_95_PERCENT * alike;
  const effective = (degreesOfFreedom * variance ** 2) / standardError ** 4;
  return studentQuantile(IN_ONE_TAIL, effective) * Math.sqrt(variance);
}
