import type { Candidate } from './candidates';
import { PART_GOALS } from './bandGoals';
import { NOTHING_MISSING, halfStepsLeft, stepsShort, type GoalMeasure } from './measure';
import { followToeLine, type State } from './state';

interface Best {
  candidates: Candidate[];
  short: Int32Array;
  things: number;
  size: number;
}

/** What a search carries along. */
interface Searching {
  /** Whole steps left of each goal, in order. */
  left: readonly ((state: State) => number)[];
  /** What today leaves, for goals that no plan may pay with. */
  keeps: readonly { at: number; most: number }[];
  shoeLength: number;
  state: State;
  today: State;
  scratch: Int32Array;
  best: Best;
}

/** How far beyond what is needed is aimed whatever the method's bands say, and where they let it, in steps. */
const AIM = { always: 0.5, weighed: 1 };
/** A half step of aim outweighs one step that a figure stands outside its band, not two (starting value). */
const AIM_WEIGHT = 2;

/** Half steps that goals short today are from so much further than needed. */
function halfStepsToAim(
  further: readonly NonNullable<GoalMeasure['beyond']>[],
  aim: number,
  state: State,
): number {
  let sum = 0;
  for (const beyond of further) sum += Math.min(2 * aim, halfStepsLeft(aim - beyond(state)));
  return sum;
}

const weighedAim = (further: readonly NonNullable<GoalMeasure['beyond']>[], state: State): number =>
  AIM_WEIGHT * halfStepsToAim(further, AIM.weighed, state);

/** Holds the state against the best plan, goal by goal in order, and takes it where it is better. */
function hold(searching: Searching, candidates: readonly Candidate[]): void {
  const { left, keeps, state, scratch, best } = searching;
  followToeLine(state, searching.shoeLength);
  let better = false;
  for (let at = 0; at < left.length; at += 1) {
    const short = left[at]!(state);
    if (!better) {
      if (short > best.short[at]!) return;
      if (short < best.short[at]!) better = true;
    }
    scratch[at] = short;
  }
  if (keeps.some(({ at, most }) => scratch[at]! > most)) return;
  const things = candidates.length;
  const size = candidates.reduce((sum, each) => sum + each.size, 0);
  if (!better && (things > best.things || (things === best.things && size >= best.size))) return;
  best.short.set(scratch);
  Object.assign(best, { candidates: [...candidates], things, size });
}

function put(state: State, { slots, values }: Candidate): void {
  for (let at = 0; at < slots.length; at += 1) state[slots[at]!] = values[at]!;
}

function takeBack(state: State, today: State, { slots }: Candidate): void {
  for (const slot of slots) state[slot] = today[slot]!;
}

const apart = (a: Candidate, b: Candidate): boolean =>
  a.thing !== b.thing && !a.slots.some((slot) => b.slots.includes(slot));

/** Candidates by thing. */
function byThing(candidates: readonly Candidate[]): Candidate[][] {
  const groups = new Map<string, Candidate[]>();
  for (const each of candidates) {
    const group = groups.get(each.thing) ?? [];
    group.push(each);
    groups.set(each.thing, group);
  }
  return [...groups.values()];
}

/** Holds each of another thing's candidates beside one that is done. */
function holdPairs(searching: Searching, first: Candidate, others: readonly Candidate[]): void {
  if (!apart(first, others[0]!)) return;
  for (const second of others) {
    put(searching.state, second);
    hold(searching, [first, second]);
    takeBack(searching.state, searching.today, second);
  }
}

/**
 * The plan of one or two things that leaves least short, goal by goal in order; half a step beyond what is needed
 * comes before the method's bands, the other half is weighed against them. Of plans alike in that the one of fewer
 * things, then the smaller.
 * @param measures how each goal is judged, in order
 * @param candidates every way of doing each thing
 * @param today the figures as they stand
 * @param shoeLength mm
 * @param firsts candidates of which one at least is in the plan; any of them where it is left out
 * @returns the candidates of the plan; none where nothing helps
 */
export function bestPlan(
  measures: readonly GoalMeasure[],
  candidates: readonly Candidate[],
  today: State,
  shoeLength: number,
  firsts: readonly Candidate[] = candidates,
): readonly Candidate[] {
  const state = Float64Array.from(today);
  // What nothing is ever missing of needs no looking at.
  const live = measures.filter(({ missing }) => missing !== NOTHING_MISSING);
  const left = live.map(({ missing, untilReached }) =>
    untilReached && stepsShort(missing(today)) > 0
      ? (of: State) => halfStepsLeft(missing(of))
      : (of: State) => stepsShort(missing(of)),
  );
  const further = live.flatMap(({ missing, beyond }) =>
    beyond && stepsShort(missing(today)) > 0 ? [beyond] : [],
  );
  // Half a step further than needed is worth more than the method's bands, which are evidence; the rest is weighed
  // against them.
  const bandsFrom = live.findIndex(({ goal }) => (PART_GOALS as readonly string[]).includes(goal));
  const aimedAt = bandsFrom < 0 ? left.length : bandsFrom;
  const bands = left.slice(aimedAt);
  left.splice(
    aimedAt,
    0,
    (of: State) => halfStepsToAim(further, AIM.always, of),
    (of: State) => bands.reduce((sum, band) => sum + band(of), weighedAim(further, of)),
  );
  const short = Int32Array.from(left, (of) => of(today));
  const searching: Searching = {
    left,
    keeps: live
      .flatMap(({ kept }, at) => (kept ? [at < aimedAt ? at : at + 2] : []))
      .map((at) => ({ at, most: short[at]! })),
    shoeLength,
    state,
    today,
    scratch: new Int32Array(left.length),
    best: { candidates: [], short, things: 0, size: 0 },
  };
  const groups = byThing(candidates);
  for (const first of firsts) {
    put(state, first);
    hold(searching, [first]);
    // Where all are gone through, each pair comes up once.
    const at = firsts === candidates ? groups.findIndex(([one]) => one!.thing === first.thing) : -1;
    for (const others of groups.slice(at + 1)) holdPairs(searching, first, others);
    takeBack(state, today, first);
  }
  return searching.best.candidates;
}
