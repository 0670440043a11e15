import { FIGURES, type Range } from '../setup';
import type { Bands } from './bands';
import { FIGURE_QUESTIONS } from './questions';

/** Figures in which a body may need what the method would not have. */
export const PARTING_ITEMS = ['stanceWidth', 'leadFlare', 'trailFlare', 'stanceLine'] as const;
export type PartingItem = (typeof PARTING_ITEMS)[number];

/**
 * Figures that a student may have a band of their own for; `widest` is as wide as they can stand and still post. New ones
 * come at the end.
 */
export const EXCEPTION_ITEMS = [
  ...PARTING_ITEMS,
  'ballAlong',
  'heelToe',
  'widest',
  'ballOut',
  'leadShare',
  'trailKneeInside',
  'trailKneeFlex',
  'hipBump',
  'hipGap',
  'hipLine',
  'shoulderLine',
  'shoulderTilt',
  'clubFace',
  'hipTurn',
  'shoulderTurn',
  'trailKneeBack',
  'shaftLean',
  'leadHeelLift',
] as const;
export type ExceptionItem = (typeof EXCEPTION_ITEMS)[number];

/** A band of a student's own, mm, degrees or percent. */
export interface BandException {
  item: ExceptionItem;
  low: number;
  high: number;
}

/**
 * What the ends of a student's own band can be at all.
 * @param item of the exception
 * @returns mm, degrees or percent
 * @example exceptionRange('widest').least // 50
 */
export const exceptionRange = (item: ExceptionItem): Range =>
  item === 'leadHeelLift'
    ? FIGURES.leadHeelLift.range
    : FIGURE_QUESTIONS[item === 'widest' ? 'stanceWidth' : item].range;

/**
 * A method's bands with a student's exceptions in place of its own. The middle stays the method's: what it has
 * of itself, like the difference of its flares, is never altered by an exception.
 * @param bands what the method asks
 * @param exceptions the student's, mm, degrees and percent
 * @returns the bands that the student is judged by
 */
export function withExceptions(bands: Bands, exceptions: readonly BandException[]): Bands {
  if (exceptions.length === 0) return bands;
  const figures = { ...bands.figures };
  for (const { item, low, high } of exceptions) {
    // As wide as one can post is no band of the width: every club keeps its own, and the goal of posting goes by it.
    const own = item === 'widest' || item === 'leadHeelLift' ? undefined : figures[item];
    if (own) figures[item as PartingItem] = { ...own, low, high, own: true };
  }
  return { ...bands, figures };
}

/**
 * As wide as a student can stand and still get onto the lead foot, where that was found.
 * @param exceptions the student's
 * @returns mm; null where it was not found
 * @example ownWidest([]) // null
 */
export const ownWidest = (exceptions: readonly BandException[]): number | null =>
  exceptions.find(({ item }) => item === 'widest')?.high ?? null;
