import { mean, sampleStandardDeviation } from 'simple-statistics';
import type { Club } from '../club';
import { joinedHalfWidth, SD_IN_95_PERCENT } from '../statistics';
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

/** A divot is deepest so far along it from its start, a student's own place alike in all of theirs (starting value), shares. */
export const DEEPEST_AT: Ahead = { value: 0.45, uncertainty: 0.08 };

/** How low points scatter where too few were seen to tell it (starting value), one standard deviation, mm. */
const USUAL_SCATTER = 25;
/** Fewer than this tell nothing of how they scatter. */
const FEWEST_THAT_SCATTER = 3;

/**
 * Where the club was lowest: a little before the middle between a divot's start and end; from its start alone, further on by a usual step.
 * @param shot with a divot
 * @returns mm ahead of the ball, and one standard deviation; null where no divot was noted
 * @example lowPointOf({ divotStart: 20, mishit: false }) // { value: 100, uncertainty: 41 }
 */
export function lowPointOf({ divotStart, divotEnd }: Shot): Ahead | null {
  if (divotStart === undefined) return null;
  if (divotEnd !== undefined)
    return {
      value: divotStart + DEEPEST_AT.value * (divotEnd - divotStart),
      uncertainty: Math.round(
        Math.hypot(END_UNCERTAINTY / Math.SQRT2, DEEPEST_AT.uncertainty * (divotEnd - divotStart)),
      ),
    };
  return {
    value: divotStart + START_TO_LOW_POINT.value,
    uncertainty: Math.round(Math.hypot(START_TO_LOW_POINT.uncertainty, END_UNCERTAINTY)),
  };
}

export interface LowPoint {
  /** mm ahead of the ball, and the 95% half width of it. */
  value: number;
  halfWidth: number;
  shots: number;
  /** Where the divots start, mm ahead of the ball. */
  start: number;
}

/** What is wrong alike for all divots: a usual step from the start, or where along a divot the club was lowest; one sd, mm. */
function alikeFor(divots: readonly Shot[]): number {
  const lengths = divots.flatMap(({ divotStart, divotEnd }) =>
    divotEnd === undefined ? [] : [divotEnd - divotStart!],
  );
  const guessed = 1 - lengths.length / divots.length;
  const place = lengths.length > 0 ? DEEPEST_AT.uncertainty * mean(lengths) : 0;
  return Math.hypot(guessed * START_TO_LOW_POINT.uncertainty, (1 - guessed) * place);
}

/** The 95% half width of a mean: by how its values scatter (Student's t), or how they usually do, and what is wrong alike. */
function halfWidthOf(values: readonly number[], alike: number): number {
  const count = values.length;
  if (count < FEWEST_THAT_SCATTER)
    return SD_IN_95_PERCENT * Math.hypot(USUAL_SCATTER / Math.sqrt(count), alike);
  const scatter = Math.max(sampleStandardDeviation([...values]), END_UNCERTAINTY);
  return joinedHalfWidth(scatter / Math.sqrt(count), count - 1, alike);
}

/**
 * The low point of several shots. What is wrong alike for all of them does not get surer with more shots; what a tape misses
 * and how the shots scatter does.
 * @param shots of one setup
 * @returns mm ahead of the ball with its 95% half width, and the shots it rests on; null where none has a divot
 */
export function lowPointOfShots(shots: readonly Shot[]): LowPoint | null {
  const divots = shots.filter((shot) => lowPointOf(shot) !== null);
  if (divots.length === 0) return null;
  const values = divots.map((shot) => lowPointOf(shot)!.value);
  return {
    value: mean(values),
    halfWidth: halfWidthOf(values, alikeFor(divots)),
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
