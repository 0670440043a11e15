/** Finds the change of simulated students by the plan of a ladder, and prints how well: usage simulated.ts <students>. */
import { LADDERS, nextOn, thresholdOf, type LadderName, type Try } from '@pedastance/core/ladder';
import { seeded } from '@pedastance/core/statistics';
import { ladderTry, type LadderBody } from '../../server/devices/ladderStudent';

export interface LadderSuccess {
  /** Shares of students. */
  within: number;
  held: number;
  /** Median width of the 95% interval, and of the number of scored tries. */
  width: number;
  tries: number;
}

const median = (values: number[]): number =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]!;

/** A ladder gone through as it is planned, with a student who answers by chance. */
export function goneThrough(name: LadderName, body: LadderBody, seed: string): Try[] {
  const ladder = LADDERS[name];
  const tries: Try[] = [];
  for (let turn = 0; ; turn += 1) {
    const next = nextOn(ladder, tries, 0);
    if (next.kind === 'stop') return tries;
    const { rung, scored } = next;
    const passed = ladderTry(body, rung, turn, `${seed} ${turn}`);
    tries.push({ rung, result: scored ? (passed ? 'passed' : 'failed') : null, sitting: 0, turn });
  }
}

/** As often as the usual starting value has it, and as often anything at all. */
function anyChange(name: LadderName, random: () => number): number {
  const { first, last } = LADDERS[name];
  const [usual, reach] = [first + 0.5 * (last - first), last - first];
  return random() < 0.5
    ? usual + 0.12 * reach * (random() + random() + random() - 1.5)
    : first + reach * random();
}

/** How well a ladder finds the change of many students. */
export function succeeds(
  name: LadderName,
  { lapses, drift, within, students }: { lapses: number; drift: number; within: number; students: number },
): LadderSuccess {
  const { spread, passing } = LADDERS[name];
  const random = seeded(17);
  const [widths, counts]: [number[], number[]] = [[], []];
  let [near, held] = [0, 0];
  for (let at = 0; at < students; at += 1) {
    const change = anyChange(name, random);
    const tries = goneThrough(name, { change, passing, spread, lapses, drift }, `student ${at}`);
    const { middle, low, high } = thresholdOf(LADDERS[name], tries)!;
    near += Math.abs(middle - change) <= within ? 1 : 0;
    held += low <= change && change <= high ? 1 : 0;
    widths.push(high - low);
    counts.push(tries.filter(({ result }) => result !== null).length);
  }
  return { within: near / students, held: held / students, width: median(widths), tries: median(counts) };
}

if (require.main === module) {
  const students = Number(process.argv[2] ?? 500);
  const tell = (words: string, found: LadderSuccess) => console.log(words, JSON.stringify(found));
  tell('trail flare, drift of 5°', succeeds('trail flare', { lapses: 0.03, drift: 5, within: 5, students }));
  tell('trail flare, no drift', succeeds('trail flare', { lapses: 0.03, drift: 0, within: 5, students }));
  tell('width', succeeds('width', { lapses: 0.03, drift: 0, within: 30, students }));
}
