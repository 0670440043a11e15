import type { Joint } from '../body';
import { ownFlareDifference, PARTING_ITEMS } from '../method';
import type { Setup } from '../setup';
import { normals, seeded } from '../statistics';
import { DRAWS, turnBudget, turningFeet, type Turn } from '../turn';
import { measuredAgain } from './again';
import { caseWith, planOf, type Plan, type Step } from './plan';
import { pathAfter, toldPath } from './pathTold';
import { askedAbout } from './signs';
import { endsOf, furtherOut, standingOf, valueOf, type Standing } from './standing';
import { asksTurn, hurtsUncleared, normsDecide, shortTurns } from './turns';
import { TURN_STEP } from './allowed';
import type {
  BeforeAll,
  Case,
  Judgement,
  LookNext,
  Parting,
  PathTold,
  ThingToDo,
  ToldCause,
  TurnBought,
} from './types';

/** The figures without which nobody can say that the feet are as they should be. */
const FEET = ['stanceWidth', 'leadFlare', 'trailFlare', 'setback'] as const;

const feetMeasured = ({ setup: { measured } }: Case): 'all' | 'some' | 'none' => {
  const known = FEET.filter((figure) => measured[figure]).length;
  return known === FEET.length ? 'all' : known > 0 ? 'some' : 'none';
};

/** Whether a figure out of its band answers what the student came for. */
function answersComplaint({ steps }: Plan, given: Case): boolean {
  const asked = askedAbout(given, toldPath(given) !== null);
  return steps.some(({ cause }) => cause.faults.length > 0 && cause.answers.some((each) => asked.has(each)));
}

function beforeAll(given: Case, plan: Plan): BeforeAll[] {
  const { facts, body, cameFor } = given;
  const hurts = facts.some(hurtsUncleared) || cameFor.includes('sore') || (body?.hurts.length ?? 0) > 0;
  const feet = feetMeasured(given);
  const measureFeet = feet === 'none' || (feet === 'some' && plan.steps.length === 0);
  const testLegs = normsDecide(given) && asksTurn(given) && !answersComplaint(plan, given);
  const found: (BeforeAll | false)[] = [
    hurts && 'see a doctor',
    measureFeet && 'measure the feet',
    testLegs && 'test the legs',
    plan.measureTurn &&
      plan.steps.every(({ cause }) => cause.concern !== 'turn back' && cause.concern !== 'turn through') &&
      'measure the turn',
  ];
  return found.filter((each) => each !== false);
}

function bought(given: Case, after: Case, turn: Turn, draws: number): TurnBought | null {
  const { body, bands, goal } = given;
  const own = ownFlareDifference(bands);
  const feet = turningFeet(given.setup, given.leadHeelLift, own);
  const feetAfter = turningFeet(after.setup, after.leadHeelLift, own);
  if (!body || !feet || !feetAfter || !asksTurn(given)) return null;
  const now = turnBudget(turn, body, feet, goal, { draws });
  const same = after.setup.address === given.setup.address && after.leadHeelLift === given.leadHeelLift;
  const then = same ? now : turnBudget(turn, body, feetAfter, goal, { draws });
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

/** A figure is told as a choice against the method from so much on, degrees and mm: below it nobody could read it. */
const LEAST_PARTING = 0.5;

/** Figures that the plan puts further outside what the method asks than they were, and what for. */
function partingsOf(given: Case, after: Case, steps: readonly Step[]): Parting[] {
  const [before, then] = [standingOf(given), standingOf(after)];
  return [...PARTING_ITEMS, 'hipBump' as const].flatMap((item) => {
    const ends = endsOf(before, item);
    const [now, needs] = [valueOf(before, item), valueOf(then, item)];
    if (!ends || now === undefined || needs === undefined) return [];
    if (furtherOut(now, needs, ends) < LEAST_PARTING) return [];
    const figure = item === 'stanceLine' ? 'setback' : item;
    const move = steps.flatMap(({ moves }) => moves).find((each) => each.figure === figure);
    const own = given.bands.figures[item]?.own ?? false;
    return [{ item, low: ends.low, high: ends.high, needs, reason: move?.reason ?? null, own }];
  });
}

/** Going back the lead leg wants its foot squarer while going through it wants it further out. */
function pulledBothWays(standing: Standing): boolean {
  const lead = (turn: Turn, name: string) =>
    shortTurns(standing, turn, TURN_STEP).some((each) => each.name === name);
  return lead('back', 'lead back') && lead('through', 'lead through');
}

const FLIGHTS = ['curves away', 'curves toward', 'starts right', 'starts left'] as const;

/** What to look at where nothing that is done answers what the student came for. */
function lookNext(given: Case, { steps, left }: Plan, before: readonly BeforeAll[]): LookNext | null {
  const asked = askedAbout(given, toldPath(given) !== null);
  asked.delete('sparing');
  const flown = FLIGHTS.some((flight) => given.cameFor.includes(flight));
  const answered = steps.some(
    ({ cause, thing }) => (flown && thing === 'face') || cause.answers.some((each) => asked.has(each)),
  );
  // What explains it may be what must not be moved.
  const explained = left.some(
    ({ answers, faults, missing }) =>
      (faults.length > 0 || missing > 0) && answers.some((each) => asked.has(each)),
  );
  if (asked.size === 0 || answered || explained || before.includes('measure the feet')) return null;
  const { cameFor, setup } = given;
  const looked = (figure: 'shoulderLine' | 'clubFace') => setup.posture?.figures[figure] !== undefined;
  if (flown || asked.has('path'))
    return toldPath(given) && !looked('shoulderLine') ? 'shoulders' : looked('clubFace') ? 'swing' : 'face';
  if (asked.has('turn back') || asked.has('turn through'))
    return before.some((each) => each === 'measure the turn' || each === 'test the legs') ? null : 'turn';
  return cameFor.includes('fat') || cameFor.includes('thin') ? 'strike' : 'swing';
}

/** The joint that a change is made for: what hurts or was mended before what is stiff. */
function jointSpared({ facts }: Case): Joint | null {
  const standing = facts.filter(({ status, joint }) => status === 'stands' && joint !== 'other');
  return (standing.find(hurtsUncleared) ?? standing[0])?.joint ?? null;
}

const thingOf = ({ cause: { cause, figure, off }, thing, moves }: Step): ThingToDo => ({
  thing,
  cause,
  figure,
  off,
  moves: moves.map(({ figure: moved, from, to }) => ({ figure: moved, from, to })),
  reason: moves[0]?.reason ?? null,
});

const toldCause = ({ cause, figure, off }: ToldCause): ToldCause => ({ cause, figure, off });

function pathOf(given: Case, after: Setup): PathTold | null {
  const told = toldPath(given);
  return (
    told && {
      from: told.value,
      to: pathAfter(given, told, after),
      byEye: told.byEye,
      simulated: given.pathSimulated && !told.byEye,
      against: told.against,
    }
  );
}

/** So often a case is measured again to see whether the first thing stays. */
const AGAIN = 16;
const AGAIN_SEED = 20_261_201;

/** What is said first of a plan. */
const firstOf = (given: Case, plan: Plan): string =>
  beforeAll(given, plan)[0] ?? plan.steps[0]?.thing ?? 'nothing';

function isCloseCall(given: Case, first: string): boolean {
  const normal = normals(seeded(AGAIN_SEED));
  for (let at = 0; at < AGAIN; at += 1) {
    const again = measuredAgain(given, normal);
    if (firstOf(again, planOf(again, 1)) !== first) return true;
  }
  return false;
}

/**
 * One judgement of a case: what stands before all, one or two things to do, what they buy and cost, and where this
 * body needs what the method would not have.
 * @param given the case
 * @param draws how many the chances of reaching a turn rest on; none draws none, and does not look for close calls either
 * @returns the judgement
 */
export function judge(given: Case, draws: number = DRAWS): Judgement {
  const plan = planOf(given);
  const things = plan.steps.map(thingOf);
  const moves = things.flatMap((thing) => thing.moves);
  const after = caseWith(given, moves);
  const before = beforeAll(given, plan);
  return {
    before,
    spares: jointSpared(given),
    legsUntested: normsDecide(given) && asksTurn(given),
    things,
    waits: plan.left.map(toldCause),
    lookNext: lookNext(given, plan, before),
    closeCall: draws > 0 && isCloseCall(given, firstOf(given, plan)),
    back: bought(given, after, 'back', draws),
    through: bought(given, after, 'through', draws),
    path: pathOf(given, after.setup),
    pressure: (given.shot === 'pitch' ? null : given.pressure) ?? null,
    partings: partingsOf(given, after, plan.steps),
    pulledBothWays: pulledBothWays(standingOf(given)),
    setup: after.setup,
    leadHeelLift: after.leadHeelLift,
  };
}
