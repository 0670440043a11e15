import type { ShotUnit } from '../units';

/** Where a hand-noted ball started or bent: toward the golfer's own side, neither, or away from it. */
export const SIDES = ['near', 'none', 'far'] as const;
export type Side = (typeof SIDES)[number];

export const STRIKES = ['clean', 'fat', 'thin', 'heel', 'toe'] as const;
export type Strike = (typeof STRIKES)[number];

/** How far the student felt to have turned. */
export const FELT_TURNS = ['short', 'enough', 'full'] as const;
export type FeltTurn = (typeof FELT_TURNS)[number];

/** Figures of a shot and what they can be at all (starting values): degrees, metres, metres a second, millimetres. */
export const SHOT_FIGURES = [
  'path',
  'face',
  'startLine',
  'curve',
  'clubSpeed',
  'ballSpeed',
  'carry',
  'side',
  'attack',
  'divotStart',
  'divotEnd',
  'teeHeight',
] as const;
export type ShotFigure = (typeof SHOT_FIGURES)[number];

export const SHOT_RANGES: Record<ShotFigure, { least: number; most: number; unit: ShotUnit }> = {
  path: { least: -30, most: 30, unit: 'degrees' },
  face: { least: -45, most: 45, unit: 'degrees' },
  startLine: { least: -45, most: 45, unit: 'degrees' },
  curve: { least: -150, most: 150, unit: 'metres' },
  clubSpeed: { least: 5, most: 75, unit: 'metres a second' },
  ballSpeed: { least: 5, most: 110, unit: 'metres a second' },
  carry: { least: 0, most: 380, unit: 'metres' },
  side: { least: -150, most: 150, unit: 'metres' },
  attack: { least: -20, most: 20, unit: 'degrees' },
  divotStart: { least: -300, most: 300, unit: 'millimetres' },
  divotEnd: { least: -300, most: 500, unit: 'millimetres' },
  teeHeight: { least: 0, most: 120, unit: 'millimetres' },
};

/**
 * One shot. Sideways figures are positive away from the golfer (a right-hander's right): a path
 * in-to-out, a face and a start to the push side, a curve that way. An attack is positive upward. A divot's ends are
 * positive beyond the ball, toward the target. Absent means not observed.
 */
export interface Shot extends Partial<Record<ShotFigure, number>> {
  startSide?: Side;
  curveSide?: Side;
  strike?: Strike;
  balanceHeld?: boolean;
  feltTurn?: FeltTurn;
  /** Said when it was struck, by the monitor or the coach, not when the figures were looked at. */
  mishit: boolean;
}

/** Which of the two setups a shot was hit from. */
export const ARMS = ['A', 'B'] as const;
export type Arm = (typeof ARMS)[number];
