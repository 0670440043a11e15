import { ownFlareDifference, type Bands } from '../method';
import { type Item, type Setup } from '../setup';
import {
  turnBudget,
  turningFeet,
  TURNS,
  USUAL_GOAL,
  type Goal,
  type TurningBody,
  type TurningFeet,
} from '../turn';

/** Whether the budget says what an item costs in turn. */
const turns = (item: Item): item is 'leadFlare' | 'trailFlare' | 'stanceLine' =>
  item === 'leadFlare' || item === 'trailFlare' || item === 'stanceLine';

/** The feet with one figure put to a value. */
function feetWith(
  feet: TurningFeet,
  item: 'leadFlare' | 'trailFlare' | 'stanceLine',
  value: number,
): TurningFeet {
  if (item === 'stanceLine') return { ...feet, toeLine: { ...feet.toeLine, value } };
  return { ...feet, flare: { ...feet.flare, [item === 'leadFlare' ? 'lead' : 'trail']: value } };
}

/** Says how much turn is missing, both ways, because a figure is outside its band; null where the budget cannot say. */
export type TurnLost = (finding: {
  item: Item;
  measured: number;
  low: number;
  high: number;
}) => number | null;

const CANNOT_SAY: TurnLost = () => null;

/**
 * What figures outside their bands cost in turn, by the turn budget: nothing where the turn is enough as it is.
 * @param setup the setup
 * @param legs legs and trunk; null where they were not tested
 * @param bands what the method asks
 * @param goal of the turn
 * @returns how much is asked for each finding, degrees
 */
export function turnLostBy(
  setup: Setup,
  legs: TurningBody | null,
  bands: Bands,
  goal: Goal = USUAL_GOAL,
): TurnLost {
  const feet = turningFeet(setup, 0, ownFlareDifference(bands));
  if (!legs || !feet) return CANNOT_SAY;
  const missing = (on: TurningFeet): number | null => {
    const each = TURNS.map((turn) => turnBudget(turn, legs, on, goal, { draws: 0 }).missing);
    return each.some((one) => one === null) ? null : each[0]! + each[1]!;
  };
  let today: number | null | undefined;
  return ({ item, measured, low, high }) => {
    if (!turns(item)) return null;
    today ??= missing(feet);
    const atEdge = missing(feetWith(feet, item, Math.min(high, Math.max(low, measured))));
    return today === null || atEdge === null ? null : Math.max(0, today - atEdge);
  };
}
