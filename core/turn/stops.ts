import type { FootName } from '../setup';
import type { Angle } from '../units';
import { unturnedClosing } from './closing';
import type { Gives, LegsAndTrunk, Stop, StopName, Turn, TurningBody, TurningFeet } from './types';

/**
 * Starting values, one standard deviation 6, until measured turns say otherwise. The lead leg's going back is from the
 * schools' own stances (common practice, no source): feet flared 30° are taught for turns of 45° and more, and a usual
 * leg that turns out 45° has to reach them.
 */
export const STARTING_GIVES: Gives = {
  'trail back': { value: 10, uncertainty: 6 },
  // The lead knee swings in, the shin turns and the foot rolls, with the heel down.
  'lead back': { value: 35, uncertainty: 10 },
  'lead through': { value: 10, uncertainty: 6 },
  'trail through': { value: 10, uncertainty: 6 },
};

/**
 * A usual leg, where it was not tested: hips turn in about 40° and out 45° (American Academy of Orthopaedic
 * Surgeons, from memory).
 */
const USUAL_TURN_IN: Angle = { value: 40, uncertainty: 10 };
const USUAL_TURN_OUT: Angle = { value: 45, uncertainty: 10 };

const NO_GIVE: Angle = { value: 0, uncertainty: 0 };

/** Ten degrees for each 25 mm that the lead heel leaves the ground (starting value). */
export const TURN_PER_LIFT_MM = 10 / 25;

/** A lead heel half an inch to an inch up frees the hips (common practice, no source), mm. */
export const MOST_LIFT_MM = 25;

interface StopDefinition {
  leg: FootName;
  turn: Turn;
  test: (legs: LegsAndTrunk) => Angle | null;
  /** What stands in where it was not tested. */
  usual: Angle;
  /** Whether turning the foot out lets the pelvis go further this way, or less far. */
  flareHelps: 1 | -1;
  /** Whether closing the feet lets the pelvis go further this way, or less far, or does nothing. */
  closingHelps: 1 | 0 | -1;
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
    usual: USUAL_TURN_IN,
    flareHelps: 1,
    closingHelps: 1,
    lifts: false,
  },
  'lead back': {
    leg: 'lead',
    turn: 'back',
    test: ({ turnOut }) => turnOut.lead,
    usual: USUAL_TURN_OUT,
    flareHelps: -1,
    closingHelps: 0,
    lifts: true,
  },
  'lead through': {
    leg: 'lead',
    turn: 'through',
    test: ({ turnIn }) => turnIn.lead,
    usual: USUAL_TURN_IN,
    flareHelps: 1,
    closingHelps: -1,
    lifts: false,
  },
  'trail through': {
    leg: 'trail',
    turn: 'through',
    test: ({ turnOut }) => turnOut.trail,
    usual: USUAL_TURN_OUT,
    flareHelps: -1,
    closingHelps: 0,
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

/** The test behind a stop, or what stands in for it; nothing stands in for a leg that hurts. */
function testBehind(name: StopName, { legs, hurts }: TurningBody): { test: Angle | null; usual: boolean } {
  const { test: testOf, usual } = STOP_DEFINITIONS[name];
  const test = testOf(legs);
  return test || hurts.includes(name) ? { test, usual: false } : { test: usual, usual: true };
}

/**
 * Whether a usual leg stands in at a stop: it was not tested, and no measured turn told of it.
 * @param name which stop
 * @param body the legs, trunk, gives and reaches of one student
 * @returns true for those
 */
export const standsIn = (name: StopName, body: TurningBody): boolean =>
  testBehind(name, body).usual && body.reaches[name] === undefined;

/**
 * Whether a turn is short by a starting give alone: with that give one standard deviation larger it would not be, and no
 * measured turn has told of it.
 * @param stop that is met first
 * @param missing of what is needed, degrees
 * @returns true where one measured turn could settle it
 */
export const restsOnGive = ({ made }: Pick<Stop, 'made'>, missing: number): boolean =>
  !made.calibrated && missing > 0 && missing <= made.give.uncertainty;

/**
 * How far a leg lets the pelvis go beside what the foot and the lift add: test and give together,
 * as measured turns have told, or as they stand; a usual leg's where it was not tested. Null where it hurt.
 * @param name which stop
 * @param body the legs, trunk, gives and reaches of one student
 * @returns degrees and one standard deviation
 */
export function reachOf(name: StopName, body: TurningBody): Angle | null {
  const { leg } = STOP_DEFINITIONS[name];
  const told = body.reaches[name];
  if (told && !body.soreKnee[leg]) return told;
  const { test } = testBehind(name, body);
  if (!test) return null;
  const give = giveOf(body, name);
  return {
    value: test.value + give.value,
    uncertainty: Math.sqrt(test.uncertainty ** 2 + give.uncertainty ** 2),
  };
}

/**
 * Where one leg stops the pelvis, degrees from square: its test, plus or less the foot's flare,
 * plus what is left between test and swing, plus the lifted heel, plus or less what closing the feet gives.
 * Null where the leg hurt in its test.
 * @param name which stop
 * @param body the legs, trunk, gives and reaches of one student
 * @param feet the flares and the lift they stand with, degrees and mm
 * @returns where it stops and what that is made of, degrees
 */
export function stopOf(name: StopName, body: TurningBody, feet: TurningFeet): Stop {
  const { leg, turn, flareHelps, closingHelps, lifts } = STOP_DEFINITIONS[name];
  const reach = reachOf(name, body);
  const flare = flareHelps * feet.flare[leg];
  const lift = lifts ? feet.leadHeelLift * TURN_PER_LIFT_MM : 0;
  const calibrated = body.reaches[name] !== undefined && !body.soreKnee[leg];
  const unturned = closingHelps === 0 ? 0 : closingHelps * unturnedClosing(feet);
  const closing = unturned * body.closing.value;
  const at = reach && {
    value: reach.value + flare + lift + closing,
    uncertainty: Math.sqrt(
      reach.uncertainty ** 2 +
        feet.flareUncertainty[leg] ** 2 +
        (unturned * body.closing.uncertainty) ** 2 +
        (unturned === 0 ? 0 : (body.closing.value * feet.toeLine.uncertainty) ** 2) +
        (calibrated ? 2 * unturned * (body.closingWith[name] ?? 0) : 0),
    ),
  };
  return {
    name,
    leg,
    turn,
    at,
    made: { ...testBehind(name, body), give: giveOf(body, name), flare, lift, closing, calibrated },
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
