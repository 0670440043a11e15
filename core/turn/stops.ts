import type { FootName } from '../setup';
import type { Angle } from '../units';
import type { Gives, LegsAndTrunk, Stop, StopName, Turn, TurningBody, TurningFeet } from './types';

/** Starting values, one standard deviation 6, until measured turns say otherwise. */
export const STARTING_GIVES: Gives = {
  'trail back': { value: 10, uncertainty: 6 },
  // The lead knee swings in and the foot rolls.
  'lead back': { value: 20, uncertainty: 6 },
  'lead through': { value: 10, uncertainty: 6 },
  'trail through': { value: 10, uncertainty: 6 },
};

const NO_GIVE: Angle = { value: 0, uncertainty: 0 };

/** Ten degrees for each 25 mm that the lead heel leaves the ground (starting value). */
export const TURN_PER_LIFT_MM = 10 / 25;

/** A lead heel half an inch to an inch up frees the hips (common practice, no source), mm. */
export const MOST_LIFT_MM = 25;

interface StopDefinition {
  leg: FootName;
  turn: Turn;
  test: (legs: LegsAndTrunk) => Angle | null;
  /** Whether turning the foot out lets the pelvis go further this way, or less far. */
  flareHelps: 1 | -1;
  lifts: boolean;
}

/**
 * Going back the trail hip turns in and the lead hip out; going through the lead hip turns in and
 * the trail hip out, that one only while its heel is down.
 */
export const STOP_DEFINITIONS: Record<StopName, StopDefinition> = {
  'trail back': {
    leg: 'trail',
    turn: 'back',
    test: ({ turnIn }) => turnIn.trail,
    flareHelps: 1,
    lifts: false,
  },
  'lead back': {
    leg: 'lead',
    turn: 'back',
    test: ({ turnOut }) => turnOut.lead,
    flareHelps: -1,
    lifts: true,
  },
  'lead through': {
    leg: 'lead',
    turn: 'through',
    test: ({ turnIn }) => turnIn.lead,
    flareHelps: 1,
    lifts: false,
  },
  'trail through': {
    leg: 'trail',
    turn: 'through',
    test: ({ turnOut }) => turnOut.trail,
    flareHelps: -1,
    lifts: false,
  },
};

/**
 * A painful knee's give is none, and is never spent.
 * @param body the legs, trunk, gives and reaches of one student
 * @param name which stop
 * @returns degrees and one standard deviation
 */
export const giveOf = ({ gives, soreKnee }: TurningBody, name: StopName): Angle =>
  soreKnee[STOP_DEFINITIONS[name].leg] ? NO_GIVE : gives[name];

/**
 * How far a leg lets the pelvis go beside what the foot and the lift add: test and give together,
 * as measured turns have told, or as they stand. Null where it was not tested.
 * @param name which stop
 * @param body the legs, trunk, gives and reaches of one student
 * @returns degrees and one standard deviation
 */
export function reachOf(name: StopName, body: TurningBody): Angle | null {
  const { leg, test: testOf } = STOP_DEFINITIONS[name];
  const test = testOf(body.legs);
  const told = body.reaches[name];
  if (told && !body.soreKnee[leg]) return told;
  if (!test) return null;
  const give = giveOf(body, name);
  return { value: test.value + give.value, uncertainty: Math.hypot(test.uncertainty, give.uncertainty) };
}

/**
 * Where one leg stops the pelvis, degrees from square: its test, plus or less the foot's flare,
 * plus what is left between test and swing, plus the lifted heel. Null where it was not tested.
 * @param name which stop
 * @param body the legs, trunk, gives and reaches of one student
 * @param feet the flares and the lift they stand with, degrees and mm
 * @returns where it stops and what that is made of, degrees
 */
export function stopOf(name: StopName, body: TurningBody, feet: TurningFeet): Stop {
  const { leg, turn, test: testOf, flareHelps, lifts } = STOP_DEFINITIONS[name];
  const reach = reachOf(name, body);
  const flare = flareHelps * feet.flare[leg];
  const lift = lifts ? feet.leadHeelLift * TURN_PER_LIFT_MM : 0;
  const at = reach && {
    value: reach.value + flare + lift,
    uncertainty: Math.hypot(reach.uncertainty, feet.flareUncertainty[leg]),
  };
  const calibrated = body.reaches[name] !== undefined && !body.soreKnee[leg];
  return {
    name,
    leg,
    turn,
    at,
    made: { test: testOf(body.legs), give: giveOf(body, name), flare, lift, calibrated },
  };
}

/**
 * The stops of one way of turning, the one that is always there first.
 * @param turn back or through
 * @param body the legs, trunk, gives and reaches of one student
 * @param feet the flares and the lift they stand with, degrees and mm
 * @returns two stops
 */
export const stopsOf = (turn: Turn, body: TurningBody, feet: TurningFeet): Stop[] =>
  (Object.keys(STOP_DEFINITIONS) as StopName[])
    .filter((name) => STOP_DEFINITIONS[name].turn === turn)
    .map((name) => stopOf(name, body, feet));
