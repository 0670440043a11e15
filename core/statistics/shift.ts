import { median } from 'simple-statistics';

/**
 * The Hodges–Lehmann shift: the median of all differences of one of `b` and one of `a` (Hodges &
 * Lehmann 1963, Annals of Mathematical Statistics 34:598–611).
 * @param a at least one value
 * @param b at least one value, in the same unit
 * @returns by how much `b` is shifted from `a`
 * @example hodgesLehmann([1, 2, 3], [3, 4, 5]) // 2
 */
export const hodgesLehmann = (a: readonly number[], b: readonly number[]): number =>
  median(b.flatMap((of) => a.map((from) => of - from)));
