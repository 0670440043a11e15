import { predictedPath, type PathCause } from '../path';
import { measuredFigure, measureSetup } from '../setup';
import { slotOf, stateOf, TOE_LINE, type State } from './state';
import type { Case } from './types';

/** A path that is told by the flight alone, degrees either way (starting value). */
const BY_FLIGHT = 3;

/** A degree of shoulders is half a degree of path (starting value). */
const PATH_PER_SHOULDER = 0.5;

export interface ToldPath {
  /** Degrees, in-to-out positive. */
  value: number;
  byEye: boolean;
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

/**
 * The path of a case: by the student's shots from feet like these, else by where the ball starts and curves or
 * what the coach sees. A ball that starts out and curves further out tells of the face first, and of no path.
 * @param given the case
 * @returns degrees and slopes; null where nothing tells it
 */
export function toldPath(given: Case): ToldPath | null {
  const { path, setup } = given;
  const predicted = predictedPath(path, setup);
  // Where the path goes by the drift coming down, the load at address is not said to bend it.
  const slope = (cause: PathCause) => path.slopes.find((each) => each.cause === cause)?.value ?? 0;
  const slopes = { perClosed: slope('closed'), perToeward: slope('toeward'), perBall: slope('ball') };
  if (path.shots > 0 && !predicted.guess) return { value: predicted.value, byEye: false, ...slopes };
  const seen = seenPath(given);
  return seen === 0 ? null : { value: seen * BY_FLIGHT, byEye: true, ...slopes };
}

/** What tells a flight that no path explains yet. */
const FLIGHTS = ['curves away', 'curves toward', 'starts right', 'starts left'] as const;

/**
 * Whether the face has to be looked at before anything is said of the path: the ball misses, nothing tells the
 * path, and the face was not seen to be on the target.
 * @param given the case
 * @param told the path, where it is told
 * @returns true for those
 */
export function faceFirst({ cameFor, setup, bands }: Case, told: ToldPath | null): boolean {
  if (told || !FLIGHTS.some((flight) => cameFor.includes(flight))) return false;
  const face = measuredFigure(measureSetup(setup), 'clubFace');
  const { low = -2, high = 2 } = bands.figures.clubFace ?? {};
  return !face || face.value < low || face.value > high;
}

/**
 * The path of a state.
 * @param given the case
 * @param told its path today
 * @returns a function from a state to degrees, in-to-out positive
 */
export function pathIn(given: Case, told: ToldPath): (state: State) => number {
  const today = stateOf(given);
  const [toe, ball, shoulders] = [slotOf('leadHeelToe'), slotOf('ballAlong'), slotOf('shoulderLine')];
  const changed = (state: State, slot: number) => {
    const by = state[slot]! - today[slot]!;
    return Number.isNaN(by) ? 0 : by;
  };
  return (state) =>
    told.value +
    told.perClosed * changed(state, TOE_LINE) +
    told.perToeward * changed(state, toe) -
    told.perBall * changed(state, ball) +
    PATH_PER_SHOULDER * changed(state, shoulders);
}
