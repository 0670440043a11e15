import { LADDERS, nextOn, thresholdOf, type LadderName, type Try } from '@pedastance/core/ladder';
import { bell, chanceFrom } from '../devices/chance';
import { ladderTry, type LadderBody } from '../devices/ladderStudent';

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

/** How well a ladder finds the change of simulated students. */
export interface LadderSuccess {
  /** Shares of students whose change was found so near, and whose 95% interval holds it. */
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
    const { middle, low, high } = thresholdOf(LADDERS[name], tries)!;
    near += Math.abs(middle - change) <= within ? 1 : 0;
    held += low <= change && change <= high ? 1 : 0;
    widths.push(high - low);
    counts.push(tries.filter(({ result }) => result !== null).length);
  }
  return { near: near / students, held: held / students, width: median(widths), tries: median(counts) };
}
