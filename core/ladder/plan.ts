import { isScored, wholeLadder, type Ladder, type Limits, type Try } from './ladders';
import { believed, quantileOf } from './threshold';

/** What comes next on a ladder. */
export type NextTurn =
  | {
      kind: 'turn';
      /** mm or degrees */
      rung: number;
      scored: boolean;
      /** Rest before it. */
      rest: boolean;
    }
  | { kind: 'stop'; why: 'pain' | 'two worse in a row' | 'enough for today' | 'changes nowhere' | 'found' };

const WARM_UP_TURNS = 3;
/** Nobody turns well more often than this in a sitting (starting value). */
export const MOST_SCORED = 15;
const REST_EVERY = 5;
/** Three tries on each of three rungs. */
const FINE_ROUNDS = 3;
const RUNGS_A_ROUND = 3;

const passedIn = ({ result }: Try): boolean => result === 'passed';

/** A try as its ladder begins: failed where more of it passes, passed where less does. */
const asAtFirst = ({ passing }: Ladder, each: Try): boolean => passedIn(each) === (passing === 'up to');

/** Up by coarse steps until something changes; null once it has, or at the end. */
function goingUp(ladder: Ladder, { least, most }: Limits, scored: readonly Try[]): number | null {
  if (scored.some((each) => !asAtFirst(ladder, each))) return null;
  const highest = Math.max(...scored.map(({ rung }) => rung), least - ladder.coarse);
  const next = Math.min(most, highest + ladder.coarse);
  return next > highest ? next : null;
}

/** A ladder whose end never changed is tried there so often in all before it is over. */
const AT_AN_END = 3;

/** Another try at the end of a ladder that has not changed; null once it is sure enough. */
const atEnd = (scored: readonly Try[], rung: number): number | null =>
  scored.filter((each) => each.rung === rung).length < AT_AN_END ? rung : null;

/** How many tries the coarse part took, and the rung that it goes on with; null once it is over. */
function coarsePart(
  ladder: Ladder,
  limits: Limits,
  scored: readonly Try[],
): { rung: number | null; tries: number; unchanged: boolean } {
  const goesOn = (rung: number) => ({ rung, tries: scored.length, unchanged: false });
  const over = (tries: number, unchanged = false) => ({ rung: null, tries, unchanged });
  const up = goingUp(ladder, limits, scored);
  if (up !== null) return goesOn(up);
  const changed = scored.findIndex((each) => !asAtFirst(ladder, each));
  if (changed < 0) {
    const again = atEnd(scored, limits.most);
    return again === null ? over(scored.length, true) : goesOn(again);
  }
  const back = scored.findIndex((each, at) => at > changed && asAtFirst(ladder, each));
  if (back >= 0) return over(back + 1);
  // Down again from the rung that changed, until it changes back.
  const down = scored.slice(changed + 1);
  const lowest = Math.min(scored[changed]!.rung + ladder.coarse, ...down.map(({ rung }) => rung));
  const next = Math.max(limits.least, lowest - ladder.coarse);
  if (next < lowest) return goesOn(next);
  // Where it changed on the way up only, one of the two was a slip.
  const again = atEnd(scored, limits.least);
  return again === null ? over(scored.length, changed === 0) : goesOn(again);
}

/**
 * The three rungs around where the change is believed to be.
 * @param ladder the ladder
 * @param limits as far as the student may go
 * @param tries all there were
 * @returns the rungs, the middle one first; fewer at the ends
 */
export function roundAround(ladder: Ladder, { least, most }: Limits, tries: readonly Try[]): number[] {
  const { first, fine } = ladder;
  const rung = first + fine * Math.round((quantileOf(believed(ladder, tries), 0.5) - first) / fine);
  const middle = Math.min(most - fine, Math.max(least + fine, rung));
  return [middle, middle - fine, middle + fine].filter((each) => each >= least && each <= most);
}

/** After a first round it is tried whether more does as well, so far beyond the change in fine steps; a failure is tried again. */
const MORE_STEPS = 2;
const MORE_TRIES = 3;

/** Tries of a rung beyond the change, after the first round around it; null once they are over. */
function moreAsWell(ladder: Ladder, limits: Limits, scored: readonly Try[], begun: number): number | null {
  const round = scored.slice(0, begun + RUNGS_A_ROUND);
  const [middle] = roundAround(ladder, limits, round) as [number];
  const further = (ladder.passing === 'from' ? 1 : -1) * MORE_STEPS * ladder.fine;
  const more = Math.min(limits.most, Math.max(limits.least, middle + further));
  const there = scored.slice(round.length, round.length + MORE_TRIES).filter(({ rung }) => rung === more);
  return there.length < MORE_TRIES && !there.some(passedIn) ? more : null;
}

function nextScored(
  ladder: Ladder,
  limits: Limits,
  scored: readonly Try[],
): number | 'changes nowhere' | 'found' {
  const { rung, tries, unchanged } = coarsePart(ladder, limits, scored);
  if (rung !== null) return rung;
  if (unchanged) return 'changes nowhere';
  const fine = scored.length - tries;
  if (fine >= RUNGS_A_ROUND) {
    const more = moreAsWell(ladder, limits, scored, tries);
    if (more !== null) return more;
  }
  if (fine >= FINE_ROUNDS * RUNGS_A_ROUND) return 'found';
  const before = scored.slice(0, tries + fine - (fine % RUNGS_A_ROUND));
  const rungs = roundAround(ladder, limits, before);
  return rungs[fine % RUNGS_A_ROUND] ?? rungs[0]!;
}

/** Why the sitting is over, whatever is left to be found. */
function stopped(sitting: readonly Try[]): Extract<NextTurn, { kind: 'stop' }>['why'] | null {
  if (sitting.some(({ result }) => result === 'pain')) return 'pain';
  const scored = sitting.filter(isScored);
  if (scored.slice(-2).filter(({ result }) => result === 'worse').length === 2) return 'two worse in a row';
  return scored.length >= MOST_SCORED ? 'enough for today' : null;
}

/**
 * What comes next on a ladder: three turns to warm up, coarse steps up and down until it changes, then three tries on each
 * of the rungs around the change, and after the first round one at least of a rung further on: whether more does as well. Where
 * an end of the ladder never changes, three tries there are enough.
 * @param ladder the ladder
 * @param tries all there were, in time
 * @param sitting today's, from 0
 * @param limits as far as this student may go; a rung beyond is never offered
 * @returns a rung to turn on, or why to stop
 */
export function nextOn(
  ladder: Ladder,
  tries: readonly Try[],
  sitting: number,
  limits: Limits = wholeLadder(ladder),
): NextTurn {
  const today = tries.filter((each) => each.sitting === sitting);
  const why = stopped(today);
  if (why) return { kind: 'stop', why };
  const scored = tries.filter(isScored);
  const rung = nextScored(ladder, limits, scored);
  if (typeof rung === 'string') return { kind: 'stop', why: rung };
  if (today.length < WARM_UP_TURNS) return { kind: 'turn', rung: limits.least, scored: false, rest: false };
  const done = today.filter(isScored).length;
  return { kind: 'turn', rung, scored: true, rest: done > 0 && done % REST_EVERY === 0 };
}
