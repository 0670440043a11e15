import { ownFlareDifference } from '../method';
import { turnBudget, turningFeet, TURNS, type Turn } from '../turn';
import type { Setup } from '../setup';
import { causesOf } from './causes';
import { toldPath } from './pathTold';
import { caseWith, lookingAt, planOf, stepsFor, type Step } from './plan';
import { standingOf } from './standing';
import type { AdvisedMove, Case, Thing } from './types';

/** Where a turn ends now and would end, and what is needed, degrees. */
export interface TurnGained {
  from: number;
  to: number;
  needed: number;
}

/** Another way of freeing the turn than the one that is told: one thing by itself. */
export interface Way {
  thing: Thing;
  moves: readonly AdvisedMove[];
  setup: Setup;
  leadHeelLift: number;
  /** Null where the legs or the flares are not known. */
  back: TurnGained | null;
  through: TurnGained | null;
}

function gained(given: Case, after: Case, turn: Turn): TurnGained | null {
  const own = ownFlareDifference(given.bands);
  const limit = ({ body, setup, leadHeelLift, goal }: Case) => {
    const feet = turningFeet(setup, leadHeelLift, own);
    return body && feet ? turnBudget(turn, body, feet, goal, { draws: 0 }) : null;
  };
  const [now, then] = [limit(given), limit(after)];
  if (!now || !then || now.limit === null || then.limit === null) return null;
  return { from: now.limit, to: then.limit, needed: now.needed.value };
}

function wayOf(given: Case, { thing, moves }: Step): Way {
  const after = caseWith(given, moves);
  const [back, through] = TURNS.map((turn) => gained(given, after, turn)) as [
    TurnGained | null,
    TurnGained | null,
  ];
  const { setup, leadHeelLift } = after;
  return {
    thing,
    moves: moves.map(({ figure, from, to }) => ({ figure, from, to })),
    setup,
    leadHeelLift,
    back,
    through,
  };
}

/** Two ways are one where they put the same figures to the same places. */
const sameMoves = (a: readonly AdvisedMove[], b: readonly AdvisedMove[]): boolean =>
  a.length === b.length &&
  a.every(({ figure, to }) => b.some((each) => each.figure === figure && each.to === to));

const sharesFigure = (a: readonly AdvisedMove[], b: readonly AdvisedMove[]): boolean =>
  a.some(({ figure }) => b.some((each) => each.figure === figure));

/**
 * The other things that a coach may do for a turn that has no room, besides what the judgement tells: each by itself, and
 * each allowed in this case.
 * @param given the case
 * @returns one way a thing, in the order in which it is thought of; none where the turn is not short
 */
export function otherWays(given: Case): Way[] {
  const standing = standingOf(given);
  const path = toldPath(given);
  const looking = lookingAt(standing, path);
  const told = planOf(given).steps;
  const steps = causesOf(standing, path)
    .filter(({ concern, missing }) => missing > 0 || concern === 'turn back' || concern === 'turn through')
    .flatMap((cause) => [...stepsFor(looking, cause)])
    .filter(({ moves }) => moves.length > 0 && !told.some((each) => sharesFigure(each.moves, moves)));
  return steps
    .filter((step, at) => steps.findIndex(({ moves }) => sameMoves(moves, step.moves)) === at)
    .map((step) => wayOf(given, step));
}
