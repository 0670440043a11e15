import { predictedPath, type PathCause } from '../path';
import { figureOf, measuredFigure, measureSetup, type SetupFigure, type Setup } from '../setup';
import type { Case } from './types';

/** A path that is told by the flight alone, degrees either way (starting value). */
const BY_FLIGHT = 3;

/** A degree of shoulders is half a degree of path (starting value). */
const PATH_PER_SHOULDER = 0.5;

export interface ToldPath {
  /** Degrees, in-to-out positive. */
  value: number;
  byEye: boolean;
  /** The eye or the flight says another way than the shots do. */
  against: boolean;
  /** Degrees of path per degree closed, per percent toward the toes, per mm of ball forward. */
  perClosed: number;
  perToeward: number;
  perBall: number;
}

/** Which way the flight and the coach's eye say the path goes; 0 where they say nothing, or not the same. */
function seenPath({ cameFor, hand, setup }: Case): number {
  const came = (...of: readonly string[]) =>
    of.every((each) => (cameFor as readonly string[]).includes(each));
  const [lead, trail] = hand === 'right' ? ['starts left', 'starts right'] : ['starts right', 'starts left'];
  const { swingPath, tellTales = [] } = setup.posture ?? {};
  const across =
    came(lead!, 'curves away') || swingPath === 'across from outside' || tellTales.includes('over the top');
  const out = came(trail!, 'curves toward') || swingPath === 'from the inside';
  return across === out ? 0 : across ? -1 : 1;
}

/** Whether any figure of the feet was measured. */
const anyFeet = ({ setup: { measured } }: Case): boolean =>
  !!(measured.stanceWidth ?? measured.leadFlare ?? measured.trailFlare ?? measured.setback);

/**
 * The path of a case: by the student's shots from feet like these, else by where the ball starts and curves or
 * what the coach sees. A ball that starts out and curves further out tells of the face first, and of no path. Simulated
 * shots say nothing of feet that nobody measured.
 * @param given the case
 * @returns degrees and slopes; null where nothing tells it
 */
export function toldPath(given: Case): ToldPath | null {
  const { path, setup, shot, pathSimulated } = given;
  if (shot === 'pitch') return null;
  const predicted = predictedPath(path, setup);
  // Where the path goes by the drift coming down, the load at address is not said to bend it.
  const slope = (cause: PathCause) => path.slopes.find((each) => each.cause === cause)?.value ?? 0;
  const slopes = { perClosed: slope('closed'), perToeward: slope('toeward'), perBall: slope('ball') };
  const seen = seenPath(given);
  if (path.shots > 0 && !predicted.guess && (!pathSimulated || anyFeet(given))) {
    const against = seen !== 0 && Math.abs(predicted.value) >= 1 && Math.sign(predicted.value) !== seen;
    return { value: predicted.value, byEye: false, against, ...slopes };
  }
  return seen === 0 ? null : { value: seen * BY_FLIGHT, byEye: true, against: false, ...slopes };
}

/** What tells a flight that no path explains yet. */
const FLIGHTS = ['curves away', 'curves toward', 'starts right', 'starts left'] as const;

/**
 * Whether the face has to be looked at before anything is said of the path: the ball misses, nothing tells the
 * path, and nobody has looked at the face.
 * @param given the case
 * @param told the path, where it is told
 * @returns true for those
 */
export const faceFirst = ({ cameFor, setup, shot }: Case, told: ToldPath | null): boolean =>
  !told &&
  shot !== 'pitch' &&
  setup.posture?.figures.clubFace === undefined &&
  FLIGHTS.some((flight) => cameFor.includes(flight));

/**
 * The path once a setup is changed.
 * @param given the case
 * @param told its path today
 * @param after the setup it is asked for
 * @returns degrees, in-to-out positive
 */
export function pathAfter({ setup }: Case, told: ToldPath, after: Setup): number {
  const [was, is] = [measureSetup(setup), measureSetup(after)];
  const changed = (name: SetupFigure) =>
    measuredFigure(was, name)
      ? figureOf(after, name, is.measures)! - figureOf(setup, name, was.measures)!
      : 0;
  return (
    told.value +
    told.perClosed * changed('stanceLine') +
    told.perToeward * changed('leadHeelToe') -
    told.perBall * changed('ballAlong') +
    PATH_PER_SHOULDER * changed('shoulderLine')
  );
}

/**
 * What is told of the path once a setup is changed; nothing any more where it has come straight or beyond.
 * @param given the case
 * @param told its path today; null where nothing tells it
 * @param after the setup it is asked for
 * @returns the path as it is told then
 */
export function toldAfter(given: Case, told: ToldPath | null, after: Setup): ToldPath | null {
  if (!told) return null;
  const value = pathAfter(given, told, after);
  return { ...told, value: Math.sign(value) === Math.sign(told.value) ? value : 0 };
}
