/** Where a figure is to its band. */
export type BandVerdict = 'below' | 'in' | 'above';

/**
 * Where a figure is to its band; one on the edge is in it.
 * @param measured the figure, in the band's own unit
 * @param low the band's low end
 * @param high the band's high end
 * @returns below, in or above
 * @example verdictFor(10, 10, 20) // 'in'
 */
export function verdictFor(measured: number, low: number, high: number): BandVerdict {
  if (measured < low) return 'below';
  return measured > high ? 'above' : 'in';
}
