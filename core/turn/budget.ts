import { ASSUMED_TRUNK } from '../body';
import type { FootName } from '../setup';
import { normals, seeded } from '../statistics';
import type { Angle } from '../units';
import { stopOf, stopsOf } from './stops';
import { STOPS, type Goal, type Stop, type Turn, type TurningBody, type TurningFeet } from './types';

/** Shoulders a right angle at the top, the pelvis half of one by impact: common practice, no source. */
export const USUAL_GOAL: Goal = { shoulders: 90, through: 45 };

/** What a coach may set as the shoulders' turn, and the step of it, degrees (starting values). */
export const SHOULDER_GOALS = { least: 45, most: 120, step: 5 };

/**
 * The usual goal, with another turn of the shoulders.
 * @param shoulders at the top, degrees
 * @returns the goal, degrees
 * @example goalOf(80) // { shoulders: 80, through: 45 }
 */
export const goalOf = (shoulders: number): Goal => ({ ...USUAL_GOAL, shoulders });

/** A needed pelvis turn outside this is said to be unusual (starting values), degrees. */
export const USUAL_NEEDED = { least: 35, most: 60 };

/**
 * What the pelvis has to turn for the goal: what the trunk does not.
 * @param turn back or through
 * @param body the legs, trunk, gives and reaches of one student
 * @param goal what the coach asks for, degrees
 * @returns degrees, with the ± of the trunk turn
 */
export function neededTurn(turn: Turn, body: TurningBody, goal: Goal): Angle {
  if (turn === 'through') return { value: goal.through, uncertainty: 0 };
  const trunk = body.legs.trunk.back ?? ASSUMED_TRUNK;
  return { value: goal.shoulders - trunk.value, uncertainty: trunk.uncertainty };
}

export interface TurnBudget {
  turn: Turn;
  stops: Stop[];
  /** The stop that is met first; null where a stop cannot be known. */
  first: Stop | null;
  /** Where the turn ends; null where a stop cannot be known. */
  limit: number | null;
  needed: Angle;
  /** How much is missing of what is needed; 0 when there is enough, null when it cannot be known. */
  missing: number | null;
  /** The middle 95% of where it may end, and the chance of reaching what is needed, 0 to 1; null undrawn. */
  interval: [number, number] | null;
  chance: number | null;
  /** The trunk was not measured: a usual figure stands in. */
  trunkAssumed: boolean;
  /** Legs that were not tested, and a usual one stands in for: those of the stops that count and were not calibrated. */
  assumed: FootName[];
  /** The leg that hurt in the test of a stop of this turn: it is not asked to turn further; null where none did. */
  hurts: FootName | null;
}

/** Once its heel is up the trail leg stops the turn through no more. */
export interface BudgetOptions {
  trailHeelDown?: boolean;
  /** How many draws the interval and the chance rest on; none draws neither. */
  draws?: number;
  seed?: number;
}

export const DRAWS = 4000;
const SEED = 20_261_125;

/** The stops that count: all of them going back; going through the trail leg's while its heel is down. */
const counting = (stops: readonly Stop[], trailHeelDown: boolean): Stop[] =>
  stops.filter(({ name }) => name !== 'trail through' || trailHeelDown);

interface SimulatedLimit {
  interval: [number, number];
  chance: number;
}

/** The normals of the last seed, kept: nearly every budget draws the same ones. */
let drawn = { seed: -1, values: new Float64Array() };

/** The first normals of a seed. */
function normalsOf(seed: number, count: number): Float64Array {
  if (drawn.seed === seed && drawn.values.length >= count) return drawn.values;
  const normal = normals(seeded(seed));
  drawn = { seed, values: Float64Array.from({ length: count }, () => normal()) };
  return drawn.values;
}

/**
 * Draws the stops and what is needed, each by itself, and sees which comes first how often.
 * @param stops where each leg stops the pelvis, degrees and one standard deviation
 * @param needed what is needed, degrees and one standard deviation
 * @param draws how many
 * @param seed of the draws: the same seed gives the same answer
 * @returns the middle 95% of where the turn ends, degrees, and the chance of reaching what is needed, 0 to 1
 */
export const simulateLimit = (
  stops: readonly Angle[],
  needed: Angle,
  draws: number = DRAWS,
  seed: number = SEED,
): SimulatedLimit => simulateMixture([{ weight: 1, stops }], needed, draws, seed);

/** The stops of one way in which the legs may be. */
interface StopsMaybe {
  weight: number;
  stops: readonly Angle[];
}

/** The same where the legs may be in several ways: each is drawn as often as it is likely. */
function simulateMixture(
  ways: readonly StopsMaybe[],
  needed: Angle,
  draws: number,
  seed: number = SEED,
): SimulatedLimit {
  const normal = normalsOf(seed, draws * (ways[0]!.stops.length + 1));
  const limits = new Float64Array(draws);
  let [reached, next, way] = [0, 0, 0];
  let until = ways[0]!.weight * draws;
  for (let draw = 0; draw < draws; draw += 1) {
    while (draw >= until && way < ways.length - 1) until += ways[++way]!.weight * draws;
    let limit = Infinity;
    for (const { value, uncertainty } of ways[way]!.stops) {
      const at = value + uncertainty * normal[next++]!;
      if (at < limit) limit = at;
    }
    limits[draw] = limit;
    if (limit >= needed.value + needed.uncertainty * normal[next++]!) reached += 1;
  }
  limits.sort();
  const at = (share: number) => limits[Math.min(draws - 1, Math.max(0, Math.round(share * (draws - 1))))]!;
  return { interval: [at(0.025), at(0.975)], chance: reached / draws };
}

type Known = Stop & { at: Angle };

const leastOf = (stops: readonly Known[]): Known =>
  stops.reduce((least, stop) => (stop.at.value < least.at.value ? stop : least));

/** The stops of each way in which the legs may be; of the one way there is. */
function waysOf(
  known: readonly Known[],
  body: TurningBody,
  feet: TurningFeet,
): (StopsMaybe & { least: Known })[] {
  if (!body.mixture) return [{ weight: 1, stops: known.map(({ at }) => at), least: leastOf(known) }];
  return body.mixture.map(({ weight, ...legs }) => {
    const stops = known.map(({ name }) => stopOf(name, { ...body, ...legs }, feet) as Known);
    return { weight, stops: stops.map(({ at }) => at), least: leastOf(stops) };
  });
}

/** What can be said where every stop that counts is known. */
function whereItEnds(
  known: readonly Known[],
  needed: Angle,
  ways: readonly (StopsMaybe & { least: Known })[],
  draws: number,
  seed?: number,
) {
  const limit = ways.reduce((sum, { weight, least }) => sum + weight * least.at.value, 0);
  const likely = ({ name }: Known): number =>
    ways.reduce((sum, { weight, least }) => sum + (least.name === name ? weight : 0), 0);
  return {
    first: known.reduce((most, stop) => (likely(stop) > likely(most) ? stop : most)),
    limit,
    missing: Math.max(0, needed.value - limit),
    ...(draws > 0 ? simulateMixture(ways, needed, draws, seed) : NOT_DRAWN),
  };
}

const NOT_DRAWN = { interval: null, chance: null };
const NOT_KNOWN = { first: null, limit: null, missing: null, ...NOT_DRAWN };

/**
 * How far the pelvis can turn one way on these feet, which leg ends it, and whether that is enough.
 * @param turn back or through
 * @param body the legs, trunk, gives and reaches of one student
 * @param feet the flares and the lift they stand with, degrees and mm
 * @param goal what the coach asks for, degrees
 * @param options whether the trail heel is down going through, and how many draws
 * @returns degrees; null for what a leg that hurts leaves unknown
 */
export function turnBudget(
  turn: Turn,
  body: TurningBody,
  feet: TurningFeet,
  goal: Goal = USUAL_GOAL,
  { trailHeelDown = false, draws = DRAWS, seed }: BudgetOptions = {},
): TurnBudget {
  const stops = stopsOf(turn, body, feet);
  const counted = counting(stops, trailHeelDown);
  const known = counted.filter((stop): stop is Known => stop.at !== null);
  const needed = neededTurn(turn, body, goal);
  return {
    turn,
    stops,
    needed,
    trunkAssumed: turn === 'back' && body.legs.trunk.back === null,
    assumed: counted.filter(({ made }) => made.usual && !made.calibrated).map(({ leg }) => leg),
    hurts: counted.find(({ name }) => body.hurts.includes(name))?.leg ?? null,
    ...(known.length === counted.length
      ? whereItEnds(known, needed, waysOf(known, body, feet), draws, seed)
      : NOT_KNOWN),
  };
}

/** Facing the target at the finish (common practice, no source), degrees. */
const FACING = 90;

/**
 * How far the lead foot has to roll or come round for the hips to face the target; null if unknown.
 * @param body the legs, trunk, gives and reaches of one student
 * @param feet the flares and the lift they stand with, degrees and mm
 * @returns degrees
 */
export function footHasToComeRound(body: TurningBody, feet: TurningFeet): number | null {
  const lead = stopsOf('through', body, feet).find(({ name }) => name === 'lead through');
  return lead?.at ? Math.max(0, FACING - lead.at.value) : null;
}

/**
 * The shoulder turn that the legs and the trunk reach together; null if unknown.
 * @param body the legs, trunk, gives and reaches of one student
 * @param feet the flares and the lift they stand with, degrees and mm
 * @returns degrees
 */
export function shouldersReached(body: TurningBody, feet: TurningFeet): number | null {
  const { limit } = turnBudget('back', body, feet, USUAL_GOAL, { draws: 0 });
  return limit === null ? null : limit + (body.legs.trunk.back ?? ASSUMED_TRUNK).value;
}

/** One step of a change, in what a coach can just notice. */
export interface TurnTrade {
  change: 'leadFlare' | 'trailFlare' | 'leadHeelLift' | 'turning the stance' | 'dropping the trail foot';
  /** Degrees, or mm of lift. */
  by: number;
  /** What it does to each limit, degrees; null where that cannot be known. */
  back: number | null;
  through: number | null;
}

const FLARE_STEP = 5;
const LIFT_STEP_MM = 12.5;

/** The toe line closed by so much, the flares kept: the trail foot dropped straight back. */
const dropped = (feet: TurningFeet, by: number): TurningFeet => ({
  ...feet,
  toeLine: { ...feet.toeLine, value: feet.toeLine.value + by },
});

/** Turning the whole stance closed takes both feet along: the trail foot out, the lead foot in. */
const turned = (feet: TurningFeet, by: number): TurningFeet => ({
  ...dropped(feet, by),
  flare: { lead: feet.flare.lead - by, trail: feet.flare.trail + by },
});

const flared = (feet: TurningFeet, foot: FootName, by: number): TurningFeet => ({
  ...feet,
  flare: { ...feet.flare, [foot]: feet.flare[foot] + by },
});

/**
 * What one more step of each change buys, and what it costs the other way.
 * @param body the legs, trunk, gives and reaches of one student
 * @param feet the flares and the lift they stand with, degrees and mm
 * @returns one trade for each change, degrees
 */
export function turnTrades(body: TurningBody, feet: TurningFeet): TurnTrade[] {
  const limit = (turn: Turn, on: TurningFeet) => turnBudget(turn, body, on, USUAL_GOAL, { draws: 0 }).limit;
  const before = { back: limit('back', feet), through: limit('through', feet) };
  const trade = (change: TurnTrade['change'], by: number, after: TurningFeet): TurnTrade => {
    const gain = (turn: Turn) => {
      const now = limit(turn, after);
      return now === null || before[turn] === null ? null : now - before[turn];
    };
    return { change, by, back: gain('back'), through: gain('through') };
  };
  return [
    trade('trailFlare', FLARE_STEP, flared(feet, 'trail', FLARE_STEP)),
    trade('leadFlare', FLARE_STEP, flared(feet, 'lead', FLARE_STEP)),
    trade('leadFlare', -FLARE_STEP, flared(feet, 'lead', -FLARE_STEP)),
    trade('leadHeelLift', LIFT_STEP_MM, { ...feet, leadHeelLift: feet.leadHeelLift + LIFT_STEP_MM }),
    trade('turning the stance', FLARE_STEP, turned(feet, FLARE_STEP)),
    trade('dropping the trail foot', FLARE_STEP, dropped(feet, FLARE_STEP)),
  ];
}

/**
 * The stops in the order in which they would be met, those unknown last.
 * @param stops of one turn
 * @returns the same stops, sorted
 */
export const inOrderMet = (stops: readonly Stop[]): Stop[] =>
  [...stops].sort(
    (a, b) =>
      (a.at?.value ?? Infinity) - (b.at?.value ?? Infinity) || STOPS.indexOf(a.name) - STOPS.indexOf(b.name),
  );
