import { ownFlareDifference } from '../method';
import { neededTurn, reachOf, standsIn, TURN_PER_LIFT_MM, unturnedPart, type StopName } from '../turn';
import { mostMissing, NOTHING_MISSING, toldMissing, type GoalMeasure } from './measure';
import { slotOf, slotOfThing, stateOf, TOE_LINE, type State } from './state';
import type { Case } from './types';

/** What can just be noticed of a turn (starting value), degrees. */
const TURN_STEP = 5;

/** Turned too far by so much where it was told and not measured (starting value), degrees. */
const TOLD_TOO_FAR = 8;

const LEAD = slotOf('leadFlare');
const TRAIL = slotOf('trailFlare');
const LIFT = slotOf('leadHeelLift');

/** What a measure says besides its goal's name. */
export type Measured = Omit<GoalMeasure, 'goal'>;

/** Where a stop is without its flare; endless where norms decide, which show nothing short, or where the leg hurts. */
function knownReach(name: StopName, { body }: Case): number {
  if (!body || body.hurts.includes(name) || standsIn(name, body)) return Infinity;
  return reachOf(name, body)?.value ?? Infinity;
}

/** What closing gives going back, and takes going through, degrees. */
function closingOf({ body, bands }: Case): (state: State) => number {
  const gain = body?.closing.value ?? 0;
  const ownDifference = ownFlareDifference(bands);
  return (state) => {
    const line = state[TOE_LINE]!;
    if (Number.isNaN(line)) return 0;
    return gain * unturnedPart(line, (state[TRAIL]! - state[LEAD]! - ownDifference) / 2);
  };
}

const orEndless = (degrees: number): number => (Number.isNaN(degrees) ? Infinity : degrees);

/**
 * How the turn back is judged: by the budget's middle estimate, and where norms decide by what is seen in the swing.
 * @param given the case
 * @returns the measure, in steps of 5°
 */
export function turnBack(given: Case): Measured {
  const { body, goal } = given;
  const [trailReach, leadReach] = [knownReach('trail back', given), knownReach('lead back', given)];
  const closing = closingOf(given);
  const needed = body ? neededTurn('back', body, goal).value : 0;
  const over = (state: State): number => {
    const trail = orEndless(trailReach + state[TRAIL]! + closing(state));
    const lead = orEndless(leadReach - state[LEAD]! + state[LIFT]! * TURN_PER_LIFT_MM);
    return (Math.min(trail, lead) - needed) / TURN_STEP;
  };
  const told = trailReach === Infinity ? toldMissing(given, 'turn back') : null;
  return {
    missing: mostMissing((state) => -over(state), told),
    untilReached: true,
    kept: true,
    beyond: over,
  };
}

/**
 * How the turn through is judged.
 * @param given the case
 * @returns the measure, in steps of 5°
 */
export function turnThrough(given: Case): Measured {
  const leadReach = knownReach('lead through', given);
  const closing = closingOf(given);
  const over = (state: State): number =>
    (orEndless(leadReach + state[LEAD]! - closing(state)) - given.goal.through) / TURN_STEP;
  return {
    missing: mostMissing((state) => -over(state), toldMissing(given, 'turn through')),
    untilReached: true,
    kept: true,
    beyond: over,
  };
}

/** How far the observed turn is beyond what the method has, degrees; 0 where nobody saw it too far. */
function turnedTooFar({ setup, bands, cameFor }: Case): number {
  const { figures = {}, tellTales = [] } = setup.posture ?? {};
  const over = (['hipTurn', 'shoulderTurn'] as const).map((turn) => {
    const seen = figures[turn];
    const band = bands.figures[turn];
    return seen && band ? seen.value - band.high : 0;
  });
  const told = cameFor.includes('turns too far') || tellTales.includes('loses the club at the top');
  return Math.max(0, ...over, told ? TOLD_TOO_FAR : 0);
}

/**
 * How too much turn is judged, from what was seen: the budget says what legs allow, not what they do. A trail foot
 * turned in by a degree takes a degree off, a line opened by one what closing gives, a shorter swing all of it.
 * @param given the case
 * @returns the measure, in steps of 5°
 */
export function tooMuchTurn(given: Case): Measured {
  const excess = turnedTooFar(given);
  const rest = { untilReached: true, kept: false, beyond: null };
  if (excess === 0) return { missing: NOTHING_MISSING, ...rest };
  const today = stateOf(given);
  const closing = closingOf(given);
  const shorter = slotOfThing('shorter swing');
  const missing = (state: State): number => {
    if (state[shorter]! > 0) return 0;
    const flare = today[TRAIL]! - state[TRAIL]!;
    const taken = (Number.isNaN(flare) ? 0 : flare) + closing(today) - closing(state);
    return (excess - taken) / TURN_STEP;
  };
  return { missing, ...rest };
}

/**
 * Whether norms decide a turn of a full swing: a leg that stops it was not tested, and no measured turn told of it.
 * @param given the case
 * @returns true for those
 */
export const normsDecide = (given: Case): boolean => {
  const { shot, body } = given;
  if (shot === 'pitch') return false;
  const stops: readonly StopName[] = ['trail back', 'lead back', 'lead through'];
  return !body || stops.some((name) => !body.hurts.includes(name) && standsIn(name, body));
};
