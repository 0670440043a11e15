import { normalProbability, studentQuantile } from '../statistics';
import { quantileOf, type Belief } from './threshold';

/** A divot as it was measured along the target line, mm from the ball; toward the target is positive. */
export interface Divot {
  start: number;
  end: number;
}

/** Where something lies along the target line, mm from the ball, with its 95% interval; toward the target is positive. */
export interface AlongTheLine {
  middle: number;
  low: number;
  high: number;
}

/** A mean with its 95% interval (Student's t; NIST/SEMATECH e-Handbook of Statistical Methods, section 1.3.5.2). */
function meanOf(values: readonly number[]): AlongTheLine | null {
  if (values.length < 2) return null;
  const middle = values.reduce((sum, value) => sum + value, 0) / values.length;
  const variance = values.reduce((sum, value) => sum + (value - middle) ** 2, 0) / (values.length - 1);
  const reach = studentQuantile(0.025, values.length - 1) * Math.sqrt(variance / values.length);
  return { middle, low: middle - reach, high: middle + reach };
}

/** What divots tell: where the arc is lowest, and where they begin. */
export interface DivotsTell {
  lowPoint: AlongTheLine;
  /** The ball goes here, or just behind it (common practice, no source). */
  start: AlongTheLine;
}

/**
 * What divots tell of a club's arc: on level ground an arc goes in as far before its lowest point as it comes out behind it.
 * @param divots measured start and end, mm
 * @returns null for fewer than two
 * @throws RangeError for a divot that ends before it starts
 */
export function divotsTell(divots: readonly Divot[]): DivotsTell | null {
  for (const { start, end } of divots)
    if (!(end > start))
      throw new RangeError(`a divot: expected an end beyond its start, found ${start} to ${end}`);
  const lowPoint = meanOf(divots.map(({ start, end }) => (start + end) / 2));
  const start = meanOf(divots.map((divot) => divot.start));
  return lowPoint && start && { lowPoint, start };
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
  const total = raw.reduce((sum, weight) => sum + weight, 0);
  const belief: Belief = { at, weights: raw.map((weight) => weight / total) };
  return { middle: quantileOf(belief, 0.5), low: quantileOf(belief, 0.025), high: quantileOf(belief, 0.975) };
}

/**
 * A place along the line from the ball, told from the lead heel: that stays when the ball is moved.
 * @param fromBall mm, toward the target is positive
 * @param ballAlong how far the ball lay inside the lead heel, mm
 * @returns mm inside the lead heel
 * @example insideLeadHeel(90, 50) // -40
 */
export const insideLeadHeel = (fromBall: number, ballAlong: number): number => ballAlong - fromBall;
