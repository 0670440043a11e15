import type { Screen } from '@pedastance/core/body';
import {
  LADDERS,
  nextOn,
  thresholdOf,
  turnsThatTell,
  type LadderName,
  type Try,
} from '@pedastance/core/ladder';
import { SD_IN_95_PERCENT } from '@pedastance/core/statistics';
import { stopOf, turningBody } from '@pedastance/core/turn';
import { bell, chanceFrom } from '../devices/chance';
import { ladderTry, turnOn, type LadderBody, type TurningLegs } from '../devices/ladderStudent';

/** Ladders gone up by simulated students, who cannot see the analysis. */

/** A ladder gone through as it is planned. */
export function goneThrough(name: LadderName, body: LadderBody, seed: string): Try[] {
  const tries: Try[] = [];
  for (let turn = 0; ; turn += 1) {
    const next = nextOn(LADDERS[name], tries, 0);
    if (next.kind === 'stop') return tries;
    const passed = ladderTry(body, next.rung, turn, `${seed} ${turn}`);
    const result = next.scored ? (passed ? 'passed' : 'failed') : null;
    tries.push({ rung: next.rung, result, sitting: 0, turn });
  }
}

/** Where a body changes: as often near the middle of the ladder, where most would expect it, as anywhere on it. */
export function anyChange(name: LadderName, chance: () => number): number {
  const { first, last } = LADDERS[name];
  const share = chance() < 0.5 ? 0.5 + 0.1 * bell(chance) : chance();
  return first + share * (last - first);
}

const median = (values: number[]): number =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]!;

/** Three tries of five pass so many spreads beyond where half do (tables of the normal distribution). */
const THREE_OF_FIVE = 0.2533;

/** How well a ladder finds the change of simulated students. */
export interface LadderSuccess {
  /** Shares of students who are told a rung so near to where three of five pass, and whose 95% interval holds that. */
  near: number;
  held: number;
  /** Median width of the interval, mm or degrees, and median number of scored tries. */
  width: number;
  tries: number;
}

/**
 * Goes up a ladder with many students who score three of a hundred tries by chance.
 * @param name the ladder
 * @param drift how much more a cold body needs, mm or degrees
 * @param within as near counts as found, mm or degrees
 * @param students how many
 */
export function succeeds(name: LadderName, drift: number, within: number, students: number): LadderSuccess {
  const { spread, passing } = LADDERS[name];
  const chance = chanceFrom('ladders', name, drift);
  const [widths, counts]: [number[], number[]] = [[], []];
  let [near, held] = [0, 0];
  for (let at = 0; at < students; at += 1) {
    const change = anyChange(name, chance);
    const body = { change, passing, spread, lapses: 0.03, drift };
    const tries = goneThrough(name, body, `${name} ${at}`);
    const { standOn, low, high } = thresholdOf(LADDERS[name], tries)!;
    const truth = change + (passing === 'from' ? 1 : -1) * THREE_OF_FIVE * spread;
    near += standOn !== null && Math.abs(standOn - truth) <= within ? 1 : 0;
    held += low <= truth && truth <= high ? 1 : 0;
    widths.push(high - low);
    counts.push(tries.filter(({ result }) => result !== null).length);
  }
  return { near: near / students, held: held / students, width: median(widths), tries: median(counts) };
}

/** What turns measured on rungs do to what is known of the trail leg's stop. */
export interface StopSuccess {
  /** Students whose leg stopped two turns or more. */
  students: number;
  /** Median of the interval's width with the turns, by its width without. */
  narrowed: number;
  /** Share of the intervals with the turns that hold the stop. */
  held: number;
  /** Median of how far the stop was off, without and with, degrees. */
  offBefore: number;
  offAfter: number;
}

const NEEDED = 50;
/** Beginning to end, the coach measures a turn on each of these rungs. */
const MEASURED_ON = [0, 10, 20];
const FEET = { leadFlare: 20, trailFlare: 0, toeLine: 0 };

/** A student whose leg is as unlike its test as legs are, and a screen of it. */
function legOf(chance: () => number): { legs: TurningLegs; screen: Screen } {
  const test = 15 + 25 * chance();
  const give = 10 + 6 * bell(chance);
  const legs = { trailReach: test + give, leadStop: 60 + 5 * bell(chance), needed: NEEDED };
  const tested = Math.max(0, Math.round(test + 5 * bell(chance)));
  const item = {
    item: 'turnInTrail',
    tries: [tested],
    by: 'gauge',
    uncertainty: null,
    pain: '',
    takenAt: null,
  };
  return {
    legs,
    screen: {
      hand: 'right',
      items: [item as Screen['items'][number]],
      turnedOn: null,
      stoppedBack: null,
      stoppedThrough: null,
      earlierTurns: [],
      soreKnee: { lead: false, trail: false },
    },
  };
}

/**
 * Measures turns of many students on rungs of the trail flare, and sees what they tell of the trail leg's stop.
 * @param students how many of whom the leg stops two turns or more
 */
export function stopsTold(students: number): StopSuccess {
  const chance = chanceFrom('stops');
  const [narrowed, before, after]: number[][] = [[], [], []];
  let held = 0;
  for (let at = 0; narrowed!.length < students; at += 1) {
    const { legs, screen } = legOf(chance);
    const tries = MEASURED_ON.map((rung, turn): Try => {
      const { hips, stoppedBy } = turnOn(legs, rung, `${at} ${rung}`);
      const measured = {
        hips,
        stoppedBy,
        uncertainty: 4,
        by: 'gauge' as const,
        at: `2026-01-01T00:00:0${turn}.000Z`,
      };
      return { rung, result: 'failed', sitting: 0, turn, measured };
    });
    const earlierTurns = turnsThatTell(LADDERS['trail flare'], tries, FEET);
    if (earlierTurns.filter(({ stoppedBack }) => stoppedBack === 'trail').length < 2) continue;
    const stopOn = (of: Screen) => {
      const body = turningBody(of, 'right');
      const feet = {
        flare: { lead: 20, trail: 20 },
        flareUncertainty: { lead: 2, trail: 2 },
        toeLine: { value: 0, uncertainty: 1 },
        ownDifference: 0,
        leadHeelLift: 0,
      };
      return stopOf('trail back', body, feet).at!;
    };
    const [then, now] = [stopOn(screen), stopOn({ ...screen, earlierTurns })];
    const truth = legs.trailReach + 20;
    narrowed!.push(now.uncertainty / then.uncertainty);
    before!.push(Math.abs(then.value - truth));
    after!.push(Math.abs(now.value - truth));
    held += Math.abs(now.value - truth) <= SD_IN_95_PERCENT * now.uncertainty ? 1 : 0;
  }
  return {
    students,
    narrowed: median(narrowed!),
    held: held / students,
    offBefore: median(before!),
    offAfter: median(after!),
  };
}
