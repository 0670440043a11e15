import { mean as meanOf } from 'simple-statistics';
import { arcOf, pathOnArc } from '../club';
import { measureAddress, type AddressMeasures, type Setup, uncertaintyOf } from '../setup';
import {
  dot,
  inverseOf,
  varianceOf,
  type NormalInverseGamma,
  type Matrix,
  independentPrior,
  posterior,
  studentQuantile,
} from '../statistics';

/** What bends the path: the line, the load or its drift coming down, never both, and the ball. */
export type PathCause = 'closed' | 'toeward' | 'drift' | 'ball';

/** So many shots with a drift take the place of the load at address (starting value). */
export const DRIFT_FROM = 10;

/** Shot scatter that the general guess goes by (starting value), degrees. */
const SCATTER = 2;
/** How much the scatter's own guess weighs, in shots twice over (starting value). */
const SHAPE = 2;
/** The club that the path on the whole is told for, inches: a 7-iron. */
const USUAL_CLUB = 37;
/** Degrees of path that an inch of club may make by itself, one standard deviation (starting value). */
const PER_INCH = 0.5;
/** A club's path is off what its length makes likely by so much, degrees, one standard deviation (starting value). */
const PER_CLUB = 1.5;
/** A usual ball, mm inside the lead heel (common practice, no source): the path's own zero. */
const USUAL_BALL = 50;

/** A shot's path with the setup it was hit from. */
export interface PathShot {
  setup: Setup;
  clubLengthInches: number;
  /** In-to-out positive, degrees. */
  path: number;
  /** How far the load drifted toward the toes coming down, % of both soles; absent where no mat told. */
  drift?: number;
}

/**
 * What of a setup bends the path. A figure that was not measured is taken for the usual one.
 * @param setup the setup
 * @param measures the ground's figures, where they have been measured already
 * @returns closed, degrees of the toe line; load toward the toes, % from the middle; ball, mm forward of a usual one
 */
export function causesOf(
  setup: Setup,
  measures: AddressMeasures = measureAddress(setup.address),
): Record<'closed' | 'toeward' | 'ball', number> {
  const { measured, balance } = setup;
  const lineKnown = uncertaintyOf({ setup, measures }, 'stanceLine') !== null;
  return {
    closed: lineKnown ? measures.toeLine : 0,
    toeward: measured.leadHeelToe ? balance.leadHeelToe - 50 : 0,
    ball: measured.ballAlong ? USUAL_BALL - measures.ballAlong : 0,
  };
}

/** One setup, or one shot from it, as the regression takes it. */
interface Regressed extends Pick<PathShot, 'setup' | 'clubLengthInches' | 'drift'> {
  measures?: AddressMeasures | undefined;
}

/**
 * One row of the regression: the path on the whole, each cause, how long the club is, and each club by itself. Clubs have
 * coefficients of their own, so that a ball further forward with a longer club is not taken for what the ball does, nor a
 * stance that is taken with one club for what that club does.
 * @param clubs the clubs of the regression by their lengths, inches
 * @param usualDrift from which drifts are counted; null where the load at address is. A shot without a drift is taken for a
 * usual one
 */
function rowOf(
  { setup, clubLengthInches, drift, measures }: Regressed,
  { clubs, usualDrift }: Pick<PersonalPath, 'clubs' | 'usualDrift'>,
): number[] {
  const { closed, toeward, ball } = causesOf(setup, measures);
  const load = usualDrift === null ? toeward : (drift ?? usualDrift) - usualDrift;
  const each = clubs.map((club) => Number(club === clubLengthInches));
  return [1, closed, load, ball, clubLengthInches - USUAL_CLUB, ...each];
}

/** The student's usual drift, once enough of their shots have one. */
function usualDriftOf(shots: readonly PathShot[]): number | null {
  const drifts = shots.flatMap(({ drift }) => drift ?? []);
  return drifts.length < DRIFT_FROM ? null : meanOf(drifts);
}

/**
 * The general prior (starting values; the ball's from the arc, as much again either way).
 * @param clubLengthInches inches
 * @param byDrift whether the load is counted by its drift coming down: of that less is known than of the load at address
 * @param clubs how many clubs are told apart: what each is off by itself is pooled in part (Gelman and Hill 2007, Data
 *   Analysis Using Regression and Multilevel Models, 12.2, from memory)
 * @returns the prior over the path on the whole, the three slopes, degrees for each inch of club, and each club
 */
export function generalPrior(clubLengthInches: number, byDrift = false, clubs = 0): NormalInverseGamma {
  const perBall = pathOnArc(arcOf(clubLengthInches), 1);
  const each = Array.from({ length: clubs });
  const means = [0, 0.5, -0.1, perBall, 0, ...each.map(() => 0)];
  const deviations = [3, 0.3, byDrift ? 0.3 : 0.1, Math.abs(perBall), PER_INCH, ...each.map(() => PER_CLUB)];
  return independentPrior(means, deviations, SCATTER, SHAPE);
}

export interface Slope {
  cause: PathCause;
  /** Degrees of path per degree closed, per % toward the toes, per mm of ball. */
  value: number;
  /** 95%. */
  interval: [number, number];
  /** The general guess is still what speaks: this student's shots have not narrowed it. */
  guess: boolean;
}

export interface PersonalPath {
  /** The coefficients' means: the path on the whole, the three slopes, degrees for each inch of club, and each club. */
  mean: readonly number[];
  /** Their covariance, the scatter of the shots in it; and before any shot, the scatter aside as the other. */
  covariance: Matrix;
  /** How far 95% of Student's t lie, in scales. */
  reach: number;
  /** Each spread's square before and after the shots, the scatter aside: what was learnt. */
  learnt: { before: Matrix; after: Matrix };
  clubLengthInches: number;
  /** The clubs that are told apart, by their lengths, inches: those of the shots, and the one that is asked for. */
  clubs: readonly number[];
  slopes: Slope[];
  shots: number;
  /** The drift coming down that is usual for this student, %; null where the path goes by the load at address. */
  usualDrift: number | null;
}

/** A slope is the student's own once their shots took its spread below this share of the guess's (starting value). */
const OWN_BELOW = 0.6;

/** Whether the guess is still what speaks of a weighted sum: its spread was narrowed by what was seen, scatter aside. */
const isGuess = ({ before, after }: PersonalPath['learnt'], weights: readonly number[]): boolean =>
  Math.sqrt(varianceOf(after, weights) / varianceOf(before, weights)) >= OWN_BELOW;

/**
 * What this student's shots say of their own path, beside the general guess it started from. Once ten of them have a drift
 * coming down it goes by the drift, until then by the load at address: the one comes of the other, and both together would
 * each hide what the other does.
 * @param shots the shots, each with the setup and the club it was hit with
 * @param clubLengthInches inches, of the club that the path is asked for
 * @returns the coefficients and their slopes with 95% intervals
 */
export function personalPath(shots: readonly PathShot[], clubLengthInches: number): PersonalPath {
  const usualDrift = usualDriftOf(shots);
  const clubs = [...new Set([clubLengthInches, ...shots.map((shot) => shot.clubLengthInches)])];
  const prior = generalPrior(clubLengthInches, usualDrift !== null, clubs.length);
  const updated =
    shots.length === 0
      ? prior
      : posterior(
          prior,
          shots.map((shot) => rowOf(shot, { clubs, usualDrift })),
          shots.map(({ path }) => path),
        );
  const learnt = { before: inverseOf(prior.precision), after: inverseOf(updated.precision) };
  const { mean, shape, rate } = updated;
  const reach = studentQuantile(0.025, 2 * shape);
  const covariance = learnt.after.map((row) => row.map((value) => (value * rate) / shape));
  const causes = ['closed', usualDrift === null ? 'toeward' : 'drift', 'ball'] as const;
  const slopes = causes.map((cause, at): Slope => {
    const value = mean[at + 1]!;
    const half = reach * Math.sqrt(covariance[at + 1]![at + 1]!);
    const weights = mean.map((_, index) => Number(index === at + 1));
    return { cause, value, interval: [value - half, value + half], guess: isGuess(learnt, weights) };
  });
  return {
    mean,
    covariance,
    reach,
    learnt,
    clubLengthInches,
    clubs,
    slopes,
    shots: shots.length,
    usualDrift,
  };
}

export interface PredictedPath {
  value: number;
  /** Of the path these feet give on the whole: one standard deviation, and 95%. */
  deviation: number;
  interval: [number, number];
  /** The general guess is still what speaks of these feet with this club. */
  guess: boolean;
}

/**
 * The path these feet are likely to give; where it goes by the drift, with the drift that is usual.
 * @param personal what is known of the student's path
 * @param setup the setup
 * @param measures the ground's figures, where they have been measured already
 * @returns degrees, in-to-out positive, with a 95% interval
 */
export function predictedPath(
  personal: PersonalPath,
  setup: Setup,
  measures?: AddressMeasures,
): PredictedPath {
  const { mean, covariance, reach, learnt, clubLengthInches } = personal;
  const row = rowOf({ setup, clubLengthInches, measures }, personal);
  const value = dot(mean, row);
  const deviation = Math.sqrt(varianceOf(covariance, row));
  const half = reach * deviation;
  return { value, deviation, interval: [value - half, value + half], guess: isGuess(learnt, row) };
}

/** Stance lines are looked for so far either way, degrees (starting value). */
const FURTHEST = 20;

export interface StraightLine {
  /** The toe line that would bring the path to zero, closed positive, degrees. */
  closed: number;
  /** Lines of which a path of zero is not refused, 95%; an end beyond what was looked at is infinite. */
  interval: [number, number];
}

/**
 * The stance line that straightens the path with the rest as it is; null where the line does not
 * bend it enough to tell, or it lies beyond 20° (starting value). The interval holds every line at
 * which a path of zero is not refused (Fieller 1954, from memory).
 * @param personal what is known of the student's path
 * @param setup the setup
 * @returns degrees, closed positive, with a 95% interval
 */
export function straightLine(personal: PersonalPath, setup: Setup): StraightLine | null {
  const { mean, covariance, reach, clubLengthInches } = personal;
  const row = rowOf({ setup, clubLengthInches }, personal);
  const at = (closed: number) => {
    const weights = row.map((value, place) => (place === 1 ? closed : value));
    return { value: dot(mean, weights), half: reach * Math.sqrt(varianceOf(covariance, weights)) };
  };
  const perDegree = mean[1]!;
  const closed = row[1]! - at(row[1]!).value / perDegree;
  if (!Number.isFinite(closed) || perDegree <= 0 || Math.abs(closed) > FURTHEST) return null;
  const holds = (line: number) => {
    const { value, half } = at(line);
    return Math.abs(value) <= half;
  };
  const end = (toward: 1 | -1): number => {
    for (let away = 0; away <= FURTHEST; away += 0.25) {
      if (!holds(closed + toward * away)) return closed + toward * away;
    }
    return toward * Infinity;
  };
  return { closed, interval: [end(-1), end(1)] };
}
