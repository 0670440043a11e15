import { normalProbability } from '../statistics';
import { beliefOf, intervalOf } from './threshold';

/** Where something lies along the target line, mm from the ball, with its 95% interval; toward the target is positive. */
export interface AlongTheLine {
  middle: number;
  low: number;
  high: number;
}

export const MARKS = ['ahead', 'at', 'behind'] as const;
/** Where a brush mark or a divot was lowest, as an eye tells it: ahead is toward the target. */
export type Mark = (typeof MARKS)[number];

/** An eye says 'at' where it is no further from the ball than half of one (starting value), mm. */
const AT_MM = 21;
/** How far a low point is looked for, and how it may scatter from shot to shot, mm with how likely (starting values). */
const FURTHEST_MM = 200;
const SCATTERS = [
  [12, 0.25],
  [20, 0.5],
  [32, 0.25],
] as const;

function chancesOf(low: number, scatter: number): Record<Mark, number> {
  const behind = normalProbability((-AT_MM - low) / scatter);
  const ahead = 1 - normalProbability((AT_MM - low) / scatter);
  // An eye that is wrong now and then never makes anything impossible.
  const seen = (chance: number): number => 0.01 + 0.97 * chance;
  return { behind: seen(behind), ahead: seen(ahead), at: seen(1 - behind - ahead) };
}

/**
 * What marks that were only looked at tell of the low point: bounds, by Bayes' rule over a grid; its scatter is unknown.
 * @param marks one a shot
 * @returns null where there are none
 */
export function marksTell(marks: readonly Mark[]): AlongTheLine | null {
  if (marks.length === 0) return null;
  const at = Array.from({ length: 2 * FURTHEST_MM + 1 }, (_, index) => index - FURTHEST_MM);
  const raw = at.map((low) =>
    SCATTERS.reduce((sum, [scatter, chance]) => {
      const chances = chancesOf(low, scatter);
      return sum + chance * marks.reduce((product, mark) => product * chances[mark], 1);
    }, 0),
  );
  return intervalOf(beliefOf(at, raw));
}

/**
 * A place along the line from the ball, told from the lead heel: that stays when the ball is moved.
 * @param fromBall mm, toward the target is positive
 * @param ballAlong how far the ball lay inside the lead heel, mm
 * @returns mm inside the lead heel
 * @example insideLeadHeel(90, 50) // -40
 */
export const insideLeadHeel = (fromBall: number, ballAlong: number): number => ballAlong - fromBall;
