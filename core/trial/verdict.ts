import {
  differenceOfProportions,
  hodgesLehmann,
  probabilityOfProportions,
  studentQuantile,
  type Proportion,
} from '../statistics';
import { blocksAdded, isLastLook, shotsAt, TRIAL_LOOKS, type Design, type Look, type Placed } from './design';
import { probabilityBeyond, shiftInterval, type Interval } from './estimate';
import { OUTCOME_DEFINITIONS, type Outcome } from './outcomes';
import { observedDifference, permutationTest, mirrored, type Block, type Stage } from './permute';
import type { Arm, Shot } from './types';

export const MISHIT_RULES = ['left out', 'counted'] as const;
export type MishitRule = (typeof MISHIT_RULES)[number];

/** What is said before the first shot and never changed after it. */
export interface TrialPlan extends Design {
  primary: Outcome;
  /** The difference worth having, in the outcome's unit. */
  margin: number;
  mishits: MishitRule;
  /** Shots at the start of each sitting that count for nothing. */
  warmUps: number;
}

export type TrialShot = Placed & { shot: Shot };

/**
 * A shot's score where it counts for an outcome, by the rule said beforehand.
 * @param plan the rule for mishits
 * @param outcome which outcome
 * @param shot the shot
 * @returns in the outcome’s unit, more of it better; null where it does not count or was not seen
 */
export function countsFor(plan: Pick<TrialPlan, 'mishits'>, outcome: Outcome, shot: Shot): number | null {
  const { score, countsMishits } = OUTCOME_DEFINITIONS[outcome];
  return shot.mishit && plan.mishits === 'left out' && !countsMishits ? null : score(shot);
}

type InOrder = TrialShot & { place: { warmUp: false; block: number; arm: Arm } };

const inOrder = (shots: readonly TrialShot[]): InOrder[] =>
  shots.filter((shot): shot is InOrder => !shot.place.warmUp);

/**
 * The scores that count, each with its arm, in the order they were hit.
 * @param plan the rule for mishits
 * @param outcome which outcome
 * @param shots all shots, warm-ups among them
 * @returns in the outcome’s unit
 */
export const scoresOf = (
  plan: Pick<TrialPlan, 'mishits'>,
  outcome: Outcome,
  shots: readonly TrialShot[],
): { arm: Arm; score: number }[] =>
  inOrder(shots).flatMap(({ place, shot }) => {
    const score = countsFor(plan, outcome, shot);
    return score === null ? [] : [{ arm: place.arm, score }];
  });

/**
 * Shots as blocks with the labels they were dealt, stage by stage, as far as a look goes.
 * @param plan the plan
 * @param outcome which outcome
 * @param shots all shots up to the look at least
 * @param look 1 to 3
 * @returns one stage for each look
 */
export function stagesOf(
  plan: TrialPlan,
  outcome: Outcome,
  shots: readonly TrialShot[],
  look: Look,
): Stage[] {
  const blocks = new Map<number, Block & { arm: Arm }>();
  for (const { place, shot } of inOrder(shots)) {
    const block = blocks.get(place.block) ?? { count: 0, sum: 0, arm: place.arm };
    blocks.set(place.block, block);
    const score = countsFor(plan, outcome, shot);
    if (score === null) continue;
    block.count += 1;
    block.sum += score;
  }
  let from = 0;
  return blocksAdded(plan)
    .slice(0, look)
    .map((each) => {
      const stage = Array.from({ length: 2 * each }, (_, at) => blocks.get(from + at)!);
      from += 2 * each;
      return {
        blocks: stage.map(({ count, sum }) => ({ count, sum })),
        isB: stage.map(({ arm }) => arm === 'B'),
      };
    });
}

/** Scores by the setup they were hit from, A's and B's. */
const byArm = (scores: readonly { arm: Arm; score: number }[]): [number[], number[]] => {
  const of = (arm: Arm) => scores.filter((each) => each.arm === arm).map(({ score }) => score);
  return [of('A'), of('B')];
};

export interface Comparison {
  outcome: Outcome;
  /** Shots that count, and their means, A and B. */
  count: Record<Arm, number>;
  mean: Record<Arm, number>;
  /** The mean of B less the mean of A, in the outcome's unit, more of it better. */
  difference: number;
  /** The median shift; null for an outcome that a shot shows or does not. */
  shift: number | null;
  /** Differences that these shots do not refuse, 95% however often was looked; an end is null where they do not bound it. */
  interval: Interval;
  p: number;
  exact: boolean;
  arrangements: number;
  /** How sure it is that B is better by the margin; null with too few blocks. */
  chance: number | null;
}

const sumOf = (values: readonly number[]): number => values.reduce((sum, each) => sum + each, 0);
const mean = (values: readonly number[]): number => sumOf(values) / values.length;

/** How many of the shots showed it, where each scores 1 or 0. */
export const proportionOf = (scores: readonly number[]): Proportion => ({
  yes: sumOf(scores),
  of: scores.length,
});

/** Further than one setup's shots can be shifted from the other's; any length where all are the same. */
const reachOf = (scores: readonly number[]): number => 2 * (Math.max(...scores) - Math.min(...scores)) || 1;

/**
 * What the shots up to a look say of one outcome; null where one setup has no shot that shows it.
 * @param plan the plan
 * @param outcome which outcome
 * @param shots the shots
 * @param look 1 to 3
 * @param margin the difference worth having, in the outcome’s unit
 * @returns the comparison, in the outcome’s unit
 */
export function compare(
  plan: TrialPlan,
  outcome: Outcome,
  shots: readonly TrialShot[],
  look: Look,
  margin: number = OUTCOME_DEFINITIONS[outcome].margin,
): Comparison | null {
  const stages = stagesOf(plan, outcome, shots, look);
  const difference = observedDifference(stages);
  if (difference === null) return null;
  const upToLook = inOrder(shots).slice(0, shotsAt(plan.length, look));
  const [a, b] = byArm(scoresOf(plan, outcome, upToLook));
  const options = { seed: plan.seed };
  const { p, exact, arrangements } = permutationTest(stages, options);
  const tail = TRIAL_LOOKS[plan.length].tails[look - 1]!;
  const shown = { a: proportionOf(a), b: proportionOf(b) };
  const sizes = OUTCOME_DEFINITIONS[outcome].yesOrNo
    ? {
        shift: null,
        interval: differenceOfProportions(shown.a, shown.b, tail),
        chance: probabilityOfProportions(shown.a, shown.b, margin),
      }
    : {
        shift: hodgesLehmann(a, b),
        interval: shiftInterval(stages, difference, reachOf([...a, ...b]), { ...options, tail }),
        chance: probabilityBeyond(stages, margin),
      };
  return {
    outcome,
    count: { A: a.length, B: b.length },
    mean: { A: mean(a), B: mean(b) },
    difference,
    p,
    exact,
    arrangements,
    ...sizes,
  };
}

/** Not shown is the last look's, and of changes taken apart: what these shots leave open stays open. */
export const VERDICTS = ['keep', 'not yet', 'not shown', 'drop'] as const;
export type TrialVerdict = (typeof VERDICTS)[number];

/** What a coach may decide at a look. */
export const DECISIONS = ['keep', 'go on', 'drop'] as const;
export type Decision = (typeof DECISIONS)[number];

const DECISION_OF: Record<TrialVerdict, Decision> = {
  keep: 'keep',
  'not yet': 'go on',
  'not shown': 'drop',
  drop: 'drop',
};

/**
 * What a verdict comes to when nobody overrules it: what was not shown leaves the old setup.
 * @param verdict the verdict
 * @returns what a coach then does
 * @example decisionOf('not shown') // 'drop'
 */
export const decisionOf = (verdict: TrialVerdict): Decision => DECISION_OF[verdict];

export interface LookResult {
  look: Look;
  verdict: TrialVerdict;
  /** Why, in one of a few ways. */
  because: 'pain' | 'better' | 'worse' | 'unclear' | 'never shown' | 'not seen';
  level: number;
  primary: Comparison | null;
  /** For not yet and not shown: shots a side until the next look, 0 after the last, and about how many it would take in all; null where unknown. */
  more: { toNextLook: number; inAll: number | null } | null;
}

/** Four in five: how often a trial of so many shots should show what is there (common practice, no source). */
const POWER = 0.8;

/**
 * About how many shots a side it takes to show a difference of this size at the last look's level.
 * Source: the normal approximation to the size of a two-sample comparison, in any statistics text.
 * @param difference in the outcome’s unit
 * @param scatter one standard deviation of a shot, same unit
 * @returns shots a side; null where there is no difference or no scatter
 * @example shotsToShow(1, 0) // null
 */
export function shotsToShow(difference: number, scatter: number): number | null {
  if (difference <= 0 || scatter <= 0) return null;
  const z = studentQuantile(TRIAL_LOOKS.full.levels.at(-1)!, 1e6) + studentQuantile(1 - POWER, 1e6);
  return Math.ceil(2 * ((z * scatter) / difference) ** 2);
}

/** How scores scatter about the means of the groups they are in, all groups alike. */
function pooledScatter(groups: readonly (readonly number[])[]): { scatter: number; freedom: number } {
  const squares = groups.flatMap((scores) => {
    const middle = mean(scores);
    return scores.map((score) => (score - middle) ** 2);
  });
  const freedom = squares.length - groups.filter(({ length }) => length > 0).length;
  const sum = squares.reduce((total, each) => total + each, 0);
  return { scatter: Math.sqrt(sum / Math.max(1, freedom)), freedom };
}

/** A scatter taken from fewer shots than this, beyond their means, says little (starting value). */
const LEAST_FREEDOM = 10;

/**
 * How this student's shots of earlier trials scatter in an outcome; null where there are too few.
 * @param outcome which outcome
 * @param trials the student’s earlier trials
 * @returns one standard deviation in the outcome’s unit, and the shots it rests on
 */
export function ownScatter(
  outcome: Outcome,
  trials: readonly { plan: Pick<TrialPlan, 'mishits'>; shots: readonly TrialShot[] }[],
): { scatter: number; shots: number } | null {
  const groups = trials.flatMap(({ plan, shots }) => byArm(scoresOf(plan, outcome, shots)));
  const { scatter, freedom } = pooledScatter(groups);
  if (freedom < LEAST_FREEDOM || scatter === 0) return null;
  return { scatter, shots: groups.reduce((sum, { length }) => sum + length, 0) };
}

const levelOf = ({ length }: TrialPlan, look: Look): number => TRIAL_LOOKS[length].levels[look - 1]!;

/** Whether A is better than B by as much as would have kept B. */
function worse(plan: TrialPlan, shots: readonly TrialShot[], look: Look): boolean {
  const stages = mirrored(stagesOf(plan, plan.primary, shots, look));
  return permutationTest(stages, { seed: plan.seed }).p <= levelOf(plan, look);
}

/**
 * What a look says. Only the primary outcome decides, at a level said beforehand; pain that went up
 * is always drop; what the last look does not show is not shown.
 * @param plan the plan
 * @param shots the shots
 * @param look 1 to 3
 * @param painUp whether pain went up
 * @returns the verdict, why, and what it rests on
 */
export function verdictOf(
  plan: TrialPlan,
  shots: readonly TrialShot[],
  look: Look,
  painUp: boolean,
): LookResult {
  const primary = compare(plan, plan.primary, shots, look, plan.margin);
  const level = levelOf(plan, look);
  const say = (verdict: TrialVerdict, because: LookResult['because'], more: LookResult['more'] = null) => ({
    look,
    verdict,
    because,
    level,
    primary,
    more,
  });
  if (painUp) return say('drop', 'pain');
  if (primary && primary.p <= level) return say('keep', 'better');
  if (primary && worse(plan, shots, look)) return say('drop', 'worse');
  const { scatter } = pooledScatter(byArm(scoresOf(plan, plan.primary, shots)));
  const inAll = primary && shotsToShow(primary.difference, scatter);
  const last = isLastLook(plan.length, look);
  const toNextLook = last ? 0 : (shotsAt(plan.length, (look + 1) as Look) - shotsAt(plan.length, look)) / 2;
  const because = primary ? (last ? 'never shown' : 'unclear') : 'not seen';
  return say(last ? 'not shown' : 'not yet', because, { toNextLook, inAll });
}
