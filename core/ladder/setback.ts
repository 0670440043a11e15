import { MM_PER_INCH } from '../units';

/** Rungs of the ladder for a body that stays over its lead foot: three that only tell where to look, then three to choose from. */
export const SETBACK_RUNGS = ['fully forward', 'together', 'rearward', 'middle', 'heel pad', 'heel'] as const;
export type SetbackRung = (typeof SETBACK_RUNGS)[number];

const COARSE = ['fully forward', 'together', 'rearward'] as const;
/** A rung to choose: where the trail toe lies along the lead shoe, and how far apart the shoes stand. */
export const SETBACK_FEET = {
  middle: { mark: 1 / 2, gap: 6 * MM_PER_INCH },
  'heel pad': { mark: 3 / 4, gap: 9 * MM_PER_INCH },
  heel: { mark: 1, gap: 12 * MM_PER_INCH },
} as const;
export type ChosenRung = keyof typeof SETBACK_FEET;
const CHOSEN = Object.keys(SETBACK_FEET) as ChosenRung[];

/** What a swing on a rung is scored by, best first; hurts ends it. */
export const SETBACK_SCORES = ['held', 'head', 'strike', 'flight', 'balance', 'pain'] as const;
export type SetbackScore = (typeof SETBACK_SCORES)[number];

export interface SetbackTry {
  rung: SetbackRung;
  score: SetbackScore;
}

/** Three swings on each rung that is chosen from. */
const TRIES = 3;

const isChosen = (rung: SetbackRung): rung is ChosenRung => rung in SETBACK_FEET;

/**
 * Where the coarse tries say to look first: falling back when fully forward is too far forward; a head that moves with the
 * feet together is not far enough forward (common practice, no source).
 * @param tries all there were
 * @returns the three rungs in the order to swing on them
 */
function lookAt(tries: readonly SetbackTry[]): ChosenRung[] {
  const scoreOn = (rung: SetbackRung) => tries.findLast((each) => each.rung === rung)?.score;
  const tooFar = scoreOn('fully forward') === 'balance';
  const notEnough = scoreOn('together') === 'head';
  return notEnough && !tooFar ? [...CHOSEN].reverse() : CHOSEN;
}

export type NextSetback =
  { kind: 'swing'; rung: SetbackRung } | { kind: 'stop'; why: 'pain' | 'two lost their balance' | 'found' };

/**
 * What comes next: three coarse tries, then three swings on each of three rungs, one after the other.
 * @param tries today's, in time
 * @returns the rung to swing on, or why to stop
 */
export function nextSetback(tries: readonly SetbackTry[]): NextSetback {
  if (tries.some(({ score }) => score === 'pain')) return { kind: 'stop', why: 'pain' };
  const fine = tries.filter(({ rung }) => isChosen(rung));
  if (fine.slice(-2).filter(({ score }) => score === 'balance').length === 2)
    return { kind: 'stop', why: 'two lost their balance' };
  const coarse = COARSE.find((rung) => !tries.some((each) => each.rung === rung));
  if (coarse) return { kind: 'swing', rung: coarse };
  const order = lookAt(tries);
  const counts = order.map((rung) => fine.filter((each) => each.rung === rung).length);
  const least = Math.min(...counts);
  return least >= TRIES
    ? { kind: 'stop', why: 'found' }
    : { kind: 'swing', rung: order[counts.indexOf(least)]! };
}

export interface SetbackFound {
  rung: ChosenRung;
  held: number;
  of: number;
  /** How likely it is the best of the three, 0 to 1. */
  chance: number;
}

const STEPS = 400;

/** The posterior of a share after so many of so many, from a uniform prior: beta(held + 1, missed + 1), on a grid. */
function shareDensity(held: number, of: number): number[] {
  const raw = Array.from({ length: STEPS }, (_, at) => {
    const share = (at + 0.5) / STEPS;
    return share ** held * (1 - share) ** (of - held);
  });
  const total = raw.reduce((sum, each) => sum + each, 0);
  return raw.map((each) => each / total);
}

/** How likely each of several shares is the largest. */
function chancesOfBest(counts: readonly { held: number; of: number }[]): number[] {
  const densities = counts.map(({ held, of }) => shareDensity(held, of));
  const below = densities.map((density) => {
    let sum = 0;
    return density.map((each) => (sum += each) - each / 2);
  });
  return densities.map((density, mine) =>
    density.reduce(
      (sum, each, at) =>
        sum + each * below.reduce((product, other, of) => (of === mine ? product : product * other[at]!), 1),
      0,
    ),
  );
}

/**
 * The rung on which most swings held, with how likely it is the best of the three (binomial shares from uniform priors).
 * @param tries all there were
 * @returns null before each of the three was swung on
 * @example setbackFound([]) // null
 */
export function setbackFound(tries: readonly SetbackTry[]): SetbackFound | null {
  const counts = CHOSEN.map((rung) => {
    const on = tries.filter((each) => each.rung === rung && each.score !== 'pain');
    return { rung, held: on.filter(({ score }) => score === 'held').length, of: on.length };
  });
  if (counts.some(({ of }) => of === 0)) return null;
  const chances = chancesOfBest(counts);
  const best = chances.indexOf(Math.max(...chances));
  return { ...counts[best]!, chance: chances[best]! };
}
