import { isCleared } from '../body';
import { ownFlareDifference, PARTING_ITEMS } from '../method';
import { FIGURES, ITEMS, measureSetup, measuredFigure, withFigure, type Item, type Setup } from '../setup';
import { DRAWS, turnBudget, turningFeet, type Turn } from '../turn';
import { candidatesOf, COARSE, FINE, near, type Candidate } from './candidates';
import { endsOf } from './bandGoals';
import { bestPlan } from './choose';
import { goalsInOrder } from './order';
import { stepsShort, type GoalMeasure } from './measure';
import { pathIn, toldPath } from './pathTold';
import { measuresOf } from './shortfalls';
import { followToeLine, slotOf, stateOf, type State } from './state';
import { normsDecide } from './turnGoals';
import {
  ADVISED_FIGURES,
  type AdvisedMove,
  type BeforeAll,
  type Case,
  type GoalName,
  type Judgement,
  type Parting,
  type ThingToDo,
  type TurnBought,
} from './types';

/** States of a fact for which a doctor or physiotherapist is asked first, unless somebody has cleared it. */
const DOCTOR_FIRST = ['pain', 'operated', 'replaced', 'dizzy or numb'];

function beforeAll(given: Case): BeforeAll[] {
  const { facts, body, cameFor } = given;
  const hurts = facts.some(
    (fact) => fact.status === 'stands' && DOCTOR_FIRST.includes(fact.state) && !isCleared(fact),
  );
  return [
    ...(hurts || cameFor.includes('sore') || (body?.hurts.length ?? 0) > 0 ? ['see a doctor' as const] : []),
    ...(normsDecide(given) ? ['test the legs' as const] : []),
  ];
}

/** What working a plan out takes along. */
interface Working {
  measures: readonly GoalMeasure[];
  today: State;
  shoeLength: number;
}

/** The figures with candidates done. */
function done({ today, shoeLength }: Working, candidates: readonly Candidate[]): State {
  const state = Float64Array.from(today);
  for (const { slots, values } of candidates) slots.forEach((slot, at) => (state[slot] = values[at]!));
  followToeLine(state, shoeLength);
  return state;
}

const movesIn = ({ slots }: Candidate, today: State, after: State): AdvisedMove[] =>
  ADVISED_FIGURES.flatMap((figure) => {
    const slot = slotOf(figure);
    const from = today[slot]!;
    const to = after[slot]!;
    return slots.includes(slot) && from !== to ? [{ figure, from, to }] : [];
  });

const missingIn = ({ measures }: Working, state: State): number[] =>
  measures.map(({ missing }) => missing(state));

/** So much of a step has a thing to take off a goal to be said to serve it. */
const SERVES = 0.25;

/** The goals short today that go further beyond what is needed with all of a plan than without one of its things. */
function aimedAt(working: Working, without: readonly Candidate[], all: readonly Candidate[]): GoalName[] {
  const [less, more] = [done(working, without), done(working, all)];
  return working.measures.flatMap(({ goal, missing, beyond }) =>
    beyond && stepsShort(missing(working.today)) > 0 && beyond(more) - beyond(less) > 0 ? [goal] : [],
  );
}

/** The goals short today that a thing serves: more is missing without it, or less with it alone. */
function servedBy(working: Working, candidates: readonly Candidate[], one: Candidate): GoalName[] {
  const before = missingIn(working, working.today);
  const all = missingIn(working, done(working, candidates));
  const others = candidates.filter((each) => each !== one);
  const without = missingIn(working, done(working, others));
  const alone = missingIn(working, done(working, [one]));
  const serving = (more: readonly number[], less: readonly number[]) =>
    working.measures.flatMap(({ goal }, at) =>
      stepsShort(before[at]!) > 0 && more[at]! - less[at]! >= SERVES ? [goal] : [],
    );
  const needed = serving(without, all);
  const itself = needed.length > 0 ? needed : serving(before, alone);
  return itself.length > 0 ? itself : aimedAt(working, others, candidates);
}

/** First things first: by the goal that each serves, then the larger. */
function inOrder(working: Working, candidates: readonly Candidate[]): ThingToDo[] {
  const after = done(working, candidates);
  const place = ({ serves: [first] }: ThingToDo) =>
    first === undefined ? Infinity : working.measures.findIndex(({ goal }) => goal === first);
  return candidates
    .map((one) => ({
      size: one.size,
      todo: {
        thing: one.thing,
        moves: movesIn(one, working.today, after),
        serves: servedBy(working, candidates, one),
      },
    }))
    .sort((a, b) => place(a.todo) - place(b.todo) || b.size - a.size)
    .map(({ todo }) => todo);
}

/** So often either thing of a plan is exchanged for a better one. */
const MOST_EXCHANGES = 4;

/** The best plan: found among coarse steps, then among finer ones near it, then with either thing for another. */
function planOf(given: Case, { measures, today, shoeLength }: Working): readonly Candidate[] {
  const found = bestPlan(measures, candidatesOf(given, measures, today, COARSE), today, shoeLength);
  if (found.length === 0) return found;
  const fine = candidatesOf(given, measures, today, FINE);
  let plan = bestPlan(measures, [...found, ...near(fine, found)], today, shoeLength);
  for (let round = 0; round < MOST_EXCHANGES; round += 1) {
    const next = bestPlan(measures, [...plan, ...fine], today, shoeLength, plan);
    if (next.every((each) => plan.includes(each))) return next;
    plan = next;
  }
  return plan;
}

/** Made in this order: flares with their toes kept, then the trail foot, then all that bears on nothing else. */
const MADE_IN_ORDER: readonly (Item | 'setback')[] = [
  'leadFlare',
  'trailFlare',
  'stanceWidth',
  'setback',
  ...ITEMS.filter((item) => !['leadFlare', 'trailFlare', 'stanceWidth', 'stanceLine'].includes(item)),
];

/**
 * A setup with moves made.
 * @param setup the setup to begin from
 * @param moves to which values, mm, degrees and percent
 * @returns the new setup; a lift of the heel is no part of it
 */
export function setupWith(setup: Setup, moves: readonly AdvisedMove[]): Setup {
  return MADE_IN_ORDER.reduce((made, figure) => {
    const move = moves.find((each) => each.figure === figure);
    return move ? withFigure(made, figure, move.to) : made;
  }, setup);
}

function bought(
  given: Case,
  turn: Turn,
  { setup: after, lift, draws }: { setup: Setup; lift: number; draws: number },
): TurnBought | null {
  const { body, bands, goal, setup, shot } = given;
  const own = ownFlareDifference(bands);
  const feet = turningFeet(setup, given.leadHeelLift, own);
  const feetAfter = turningFeet(after, lift, own);
  if (!body || !feet || !feetAfter || shot === 'pitch') return null;
  const now = turnBudget(turn, body, feet, goal, { draws });
  const then = turnBudget(turn, body, feetAfter, goal, { draws });
  if (now.limit === null || then.limit === null) return null;
  return {
    stoppedBy: now.first?.leg ?? null,
    from: now.limit,
    to: then.limit,
    needed: now.needed.value,
    chanceFrom: now.chance,
    chanceTo: then.chance,
  };
}

/** How far a figure is outside two ends. */
const outsideBy = (value: number, { low, high }: { low: number; high: number }): number =>
  Math.max(0, low - value, value - high);

/** Figures that the plan puts further outside what the method asks than they were. */
function partingsOf(given: Case, after: Setup): Parting[] {
  const before = measureSetup(given.setup);
  const measured = measureSetup(after);
  return PARTING_ITEMS.flatMap((item) => {
    const ends = endsOf(given, item);
    const now = measuredFigure(before, item)?.value;
    const needs = measuredFigure(measured, item)?.value;
    if (!ends || now === undefined || needs === undefined) return [];
    const further = outsideBy(needs, ends) - outsideBy(now, ends);
    return further >= FIGURES[item].justNoticeable / 2 ? [{ item, ...ends, needs }] : [];
  });
}

/** Going back the lead leg wants its foot squarer while going through it wants it further out. */
function pulledBothWays(given: Case, goals: Judgement['goals']): boolean {
  const isShort = (goal: GoalName) => goals.some((each) => each.goal === goal && each.today > 0);
  const { body, bands, setup, goal } = given;
  const feet = body && turningFeet(setup, 0, ownFlareDifference(bands));
  if (!body || !feet || !isShort('turn back') || !isShort('turn through')) return false;
  return turnBudget('back', body, feet, goal, { draws: 0 }).first?.leg === 'lead';
}

/**
 * One judgement of a case: what stands before all, one or two things to do, what they buy and cost, and where this
 * body needs what the method would not have.
 * @param given the case
 * @param draws how many the chances of reaching a turn rest on; none draws none
 * @returns the judgement
 */
export function judge(given: Case, draws: number = DRAWS): Judgement {
  const told = given.shot === 'pitch' ? null : toldPath(given);
  const order = goalsInOrder(given, told !== null);
  const working: Working = {
    measures: measuresOf(given, order),
    today: stateOf(given),
    shoeLength: given.setup.address.shoe.length,
  };
  const plan = planOf(given, working);
  const after = done(working, plan);
  const things = inOrder(working, plan);
  const moves = things.flatMap((thing) => thing.moves);
  const setup = setupWith(given.setup, moves);
  const leadHeelLift = moves.find(({ figure }) => figure === 'leadHeelLift')?.to ?? given.leadHeelLift;
  const turned = { setup, lift: leadHeelLift, draws };
  const [before, left] = [missingIn(working, working.today), missingIn(working, after)];
  const goals = order.map((goal, at) => ({
    goal,
    today: stepsShort(before[at]!),
    after: stepsShort(left[at]!),
  }));
  return {
    before: beforeAll(given),
    things,
    goals,
    back: bought(given, 'back', turned),
    through: bought(given, 'through', turned),
    path: told && {
      from: told.value,
      to: pathIn(given, told)(after),
      byEye: told.byEye,
      simulated: given.pathSimulated && !told.byEye,
    },
    pressure: (given.shot === 'pitch' ? null : given.pressure) ?? null,
    partings: partingsOf(given, setup),
    pulledBothWays: pulledBothWays(given, goals),
    setup,
    leadHeelLift,
  };
}
