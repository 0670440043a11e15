import { arcOf, pathOnArc } from '../club';
import { measureAddress, type AddressMeasures, type Setup, uncertaintyOf } from '../setup';
import {
  inverseOf,
  type NormalInverseGamma,
  type Matrix,
  independentPrior,
  posterior,
  marginal,
  studentQuantile,
} from '../statistics';

/** What of a setup bends the path, and how it is counted. */
export const PATH_CAUSES = ['closed', 'toeward', 'ball'] as const;
export type PathCause = (typeof PATH_CAUSES)[number];

/** Shot scatter that the general guess goes by (starting value), degrees. */
const SCATTER = 2;
/** How much the scatter's own guess weighs, in shots twice over (starting value). */
const SHAPE = 2;
/** A usual ball, mm inside the lead heel (common practice, no source): the path's own zero. */
const USUAL_BALL = 50;

/**
 * The path that causes like these give on the whole, degrees.
 * @param estimate mean: the path on the whole, then degrees per unit of each cause
 * @param causes as `causesOf` counts them
 * @returns degrees, in-to-out positive
 */
export const pathOf = ({ mean }: NormalInverseGamma, causes: Record<PathCause, number>): number =>
  PATH_CAUSES.reduce((sum, cause, at) => sum + mean[at + 1]! * causes[cause], mean[0]!);

/** A shot's path with the setup it was hit from. */
export interface PathShot {
  setup: Setup;
  clubLengthInches: number;
  /** In-to-out positive, degrees. */
  path: number;
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
): Record<PathCause, number> {
  const { measured, balance } = setup;
  const lineKnown = uncertaintyOf({ setup, measures }, 'stanceLine') !== null;
  return {
    closed: lineKnown ? measures.toeLine : 0,
    toeward: measured.leadHeelToe ? balance.leadHeelToe - 50 : 0,
    ball: measured.ballAlong ? USUAL_BALL - measures.ballAlong : 0,
  };
}

const rowOf = (setup: Setup): number[] => {
  const causes = causesOf(setup);
  return [1, ...PATH_CAUSES.map((cause) => causes[cause])];
};

/**
 * The general prior (starting values; the ball's from the arc, as much again either way).
 * @param clubLengthInches inches
 * @returns the prior over the path on the whole and the three slopes
 */
export function generalPrior(clubLengthInches: number): NormalInverseGamma {
  const perBall = pathOnArc(arcOf(clubLengthInches), 1);
  return independentPrior([0, 0.5, -0.1, perBall], [3, 0.3, 0.1, Math.abs(perBall)], SCATTER, SHAPE);
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
  posterior: NormalInverseGamma;
  slopes: Slope[];
  shots: number;
}

/** A slope is the student's own once their shots took its spread below this share of the guess's (starting value). */
const OWN_BELOW = 0.6;

const unit = (at: number): number[] => [0, 0, 0, 0].map((_, index) => Number(index === at));

/**
 * What this student's shots say of their own path, beside the general guess it started from.
 * @param shots the shots, each with the setup it was hit from
 * @param clubLengthInches inches
 * @returns the posterior and its slopes with 95% intervals
 */
export function personalPath(shots: readonly PathShot[], clubLengthInches: number): PersonalPath {
  const prior = generalPrior(clubLengthInches);
  const updated =
    shots.length === 0
      ? prior
      : posterior(
          prior,
          shots.map(({ setup }) => rowOf(setup)),
          shots.map(({ path }) => path),
        );
  const slopes = PATH_CAUSES.map((cause, at): Slope => {
    const { mean: value, scale, degreesOfFreedom } = marginal(updated, unit(at + 1));
    const half = scale * studentQuantile(0.025, degreesOfFreedom);
    // Narrower by what was seen of this cause, not by the scatter having turned out small.
    const seen = spreadShare(prior.precision, updated.precision, at + 1);
    return { cause, value, interval: [value - half, value + half], guess: seen >= OWN_BELOW };
  });
  return { posterior: updated, slopes, shots: shots.length };
}

/** A coefficient's spread after the shots as a share of that before them, scatter aside. */
function spreadShare(before: Matrix, after: Matrix, at: number): number {
  return Math.sqrt(inverseOf(after)[at]![at]! / inverseOf(before)[at]![at]!);
}

export interface PredictedPath {
  value: number;
  /** Of the path these feet give on the whole, 95%. */
  interval: [number, number];
}

/**
 * The path these feet are likely to give.
 * @param personal the posterior
 * @param setup the setup
 * @returns degrees, in-to-out positive, with a 95% interval
 */
export function predictedPath({ posterior }: PersonalPath, setup: Setup): PredictedPath {
  const { mean: value, scale, degreesOfFreedom } = marginal(posterior, rowOf(setup));
  const half = scale * studentQuantile(0.025, degreesOfFreedom);
  return { value, interval: [value - half, value + half] };
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
 * @param personal the posterior
 * @param setup the setup
 * @returns degrees, closed positive, with a 95% interval
 */
export function straightLine({ posterior }: PersonalPath, setup: Setup): StraightLine | null {
  const row = rowOf(setup);
  const at = (closed: number) => {
    const { mean: value, scale, degreesOfFreedom } = marginal(posterior, [row[0]!, closed, row[2]!, row[3]!]);
    return { value, half: scale * studentQuantile(0.025, degreesOfFreedom) };
  };
  const perDegree = posterior.mean[1]!;
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
