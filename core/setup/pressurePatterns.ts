/** What goes wrong with a route. */
export const PRESSURE_PATTERNS = [
  'toe-ward going back',
  'toes early coming down',
  'heel, then toes',
  'reverse',
  'trail foot rolls outside',
  'falls back',
] as const;
export type PressurePattern = (typeof PRESSURE_PATTERNS)[number];

/** How a pattern was seen: on a mat, or without one, which is less sure. */
export const PATTERN_WAYS = ['simulated mat', 'file', 'stripe', 'finish'] as const;
export type PatternWay = (typeof PATTERN_WAYS)[number];

/** A pattern of the pressure in the swing, and how it was seen. */
export interface PatternSeen {
  pattern: PressurePattern;
  way: PatternWay;
}

const BY_MAT: readonly PatternWay[] = ['simulated mat', 'file'];

/** Whether a mat told it, and not an eye. */
export const isByMat = ({ way }: PatternSeen): boolean => BY_MAT.includes(way);
