import type { Bands } from './bands';

/** Figures that a student may have a band of their own for, where the body needs what the method would not have. */
export const EXCEPTION_ITEMS = ['stanceWidth', 'leadFlare', 'trailFlare', 'stanceLine'] as const;
export type ExceptionItem = (typeof EXCEPTION_ITEMS)[number];

/** A band of a student's own, mm or degrees. */
export interface BandException {
  item: ExceptionItem;
  low: number;
  high: number;
}

/**
 * A method's bands with a student's exceptions in place of its own. The middle stays the method's: what it has
 * of itself, like the difference of its flares, is never altered by an exception.
 * @param bands what the method asks
 * @param exceptions the student's, mm and degrees
 * @returns the bands that the student is judged by
 */
export function withExceptions(bands: Bands, exceptions: readonly BandException[]): Bands {
  if (exceptions.length === 0) return bands;
  const figures = { ...bands.figures };
  for (const { item, low, high } of exceptions) {
    const own = figures[item];
    if (own) figures[item] = { ...own, low, high };
  }
  return { ...bands, figures };
}
