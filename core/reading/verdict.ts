import type { Verdict } from './types';

/** A figure on the edge is in the band. */
export function verdictFor(measured: number, low: number, high: number): Verdict {
  if (measured < low) return 'below';
  return measured > high ? 'above' : 'in';
}
