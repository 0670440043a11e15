import type { Club } from '../club';
import type { Shot } from './types';

/** A length with one standard deviation, mm, positive beyond the ball toward the target. */
interface Ahead {
  value: number;
  uncertainty: number;
}

/** How well a tape or a hand's width tells an end of a divot (starting value), one standard deviation, mm. */
const END_UNCERTAINTY = 10;

/** From where a divot starts the low point is further toward the target by so much (starting value), mm. */
export const START_TO_LOW_POINT: Ahead = { value: 80, uncertainty: 40 };

/**
 * Where the club was lowest: midway between a divot's start and end; from its start alone, further on by a usual step.
 * @param shot with a divot
 * @returns mm ahead of the ball, and one standard deviation; null where no divot was noted
 * @example lowPointOf({ divotStart: 20, mishit: false }) // { value: 100, uncertainty: 41 }
 */
export function lowPointOf({ divotStart, divotEnd }: Shot): Ahead | null {
  if (divotStart === undefined) return null;
  if (divotEnd !== undefined)
    return { value: (divotStart + divotEnd) / 2, uncertainty: Math.round(END_UNCERTAINTY / Math.SQRT2) };
  return {
    value: divotStart + START_TO_LOW_POINT.value,
    uncertainty: Math.round(Math.hypot(START_TO_LOW_POINT.uncertainty, END_UNCERTAINTY)),
  };
}

export interface LowPoint extends Ahead {
  shots: number;
  /** Where the divots start, mm ahead of the ball. */
  start: number;
}

const mean = (values: readonly number[]): number =>
  values.reduce((sum, each) => sum + each, 0) / values.length;

const deviationOf = (values: readonly number[]): number => {
  const middle = mean(values);
  const squares = values.reduce((sum, each) => sum + (each - middle) ** 2, 0);
  return values.length < 2 ? 0 : Math.sqrt(squares / (values.length - 1));
};

/**
 * The low point of several shots. A usual step from start to low point is wrong alike for all of them, so that more
 * shots do not make it surer; what a tape misses and how the shots scatter does shrink.
 * @param shots of one setup
 * @returns mm ahead of the ball, one standard deviation of the mean, and the shots it rests on; null where none has a divot
 */
export function lowPointOfShots(shots: readonly Shot[]): LowPoint | null {
  const divots = shots.filter((shot) => lowPointOf(shot) !== null);
  if (divots.length === 0) return null;
  const values = divots.map((shot) => lowPointOf(shot)!.value);
  const guessed = divots.filter(({ divotEnd }) => divotEnd === undefined).length / divots.length;
  const scatter = Math.max(deviationOf(values), END_UNCERTAINTY) / Math.sqrt(divots.length);
  return {
    value: mean(values),
    uncertainty: Math.hypot(scatter, guessed * START_TO_LOW_POINT.uncertainty),
    start: mean(divots.map(({ divotStart }) => divotStart!)),
    shots: divots.length,
  };
}

/** The ball goes where the divot starts, or just behind it: so far behind is still there (starting value), mm. */
export const BALL_BY_DIVOT = { least: -5, most: 20 };

/**
 * How far the ball is to be moved, by where its divots start.
 * @param start where they start, mm ahead of the ball
 * @returns mm toward the target; 0 where the ball lies by the start or just behind it
 * @example ballMoveBy(50) // 40
 */
export function ballMoveBy(start: number): number {
  const { least, most } = BALL_BY_DIVOT;
  if (start >= least && start <= most) return 0;
  // To the middle of where it may be, in whole centimetres: no divot is known finer.
  return Math.round((start - (least + most) / 2) / 10) * 10;
}

/** A driver is hit upward by so much for its distance (common practice, no source), degrees. */
export const DRIVER_ATTACK = { least: 3, most: 5 };

/**
 * Whether a driver's shots go up too little or too much on average.
 * @param club the club
 * @param shots of one setup
 * @returns the mean attack, degrees, where it is out of what a driver wants; null else
 */
export function driverAttack(club: Club['id'], shots: readonly Shot[]): number | null {
  const attacks = shots.flatMap(({ attack }) => (attack === undefined ? [] : [attack]));
  if (club !== 'driver' || attacks.length === 0) return null;
  const middle = mean(attacks);
  return middle >= DRIVER_ATTACK.least && middle <= DRIVER_ATTACK.most ? null : middle;
}
