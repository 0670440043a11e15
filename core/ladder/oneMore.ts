import { isScored, type Ladder, type Limits, type Try } from './ladders';
import { roundAround } from './plan';
import { believed, believedComfort, chanceOn, intervalOf } from './threshold';

const widthOf = (ladder: Ladder, tries: readonly Try[]): number => {
  const { low, high } = intervalOf(believedComfort(ladder, tries));
  return high - low;
};

/** Every way in which so many tries can go. */
const waysOf = (count: number): boolean[][] =>
  Array.from({ length: 2 ** count }, (_, way) =>
    Array.from({ length: count }, (__, at) => Math.floor(way / 2 ** at) % 2 === 1),
  );

/**
 * What one more round of tries would tell: how wide the 95% interval is to be expected after it, over every way in which
 * the round can go, each as likely as all that is believed has it (a preposterior analysis; Raiffa and Schlaifer 1961,
 * from memory).
 * @param ladder the ladder
 * @param tries all there were
 * @param limits as far as this student may go
 * @returns the interval's width now and after, the ladder's unit
 */
export function oneMoreRound(
  ladder: Ladder,
  tries: readonly Try[],
  limits: Limits,
): { now: number; after: number } {
  const belief = believed(ladder, tries);
  const rungs = roundAround(ladder, limits, tries);
  const chances = rungs.map((rung) => chanceOn(belief, ladder, rung));
  const warm = Math.max(0, ...tries.map(({ turn }) => turn + 1));
  const after = waysOf(rungs.length).reduce((sum, way) => {
    const likely = way.reduce((chance, passed, at) => chance * (passed ? chances[at]! : 1 - chances[at]!), 1);
    const round = rungs.map((rung, at): Try => {
      const result = way[at] ? 'passed' : 'failed';
      return { rung, result, sitting: 0, turn: warm + at };
    });
    return sum + likely * widthOf(ladder, [...tries.filter(isScored), ...round]);
  }, 0);
  return { now: widthOf(ladder, tries), after };
}
