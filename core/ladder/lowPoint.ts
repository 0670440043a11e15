import { normalProbability } from '../statistics';
import { ballMoveBy, DEEPEST_AT, lowPointOfShots } from '../trial';
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

export const STRIKE_HEIGHTS = ['high', 'middle', 'low'] as const;
/** How high on the face a ball was struck. */
export type StrikeHeight = (typeof STRIKE_HEIGHTS)[number];

/** One shot as its mark on the ground tells it: mm from the ball, toward the target positive; null where not looked at. */
export interface MarkedShot {
  mark: Mark | null;
  start: number | null;
  end: number | null;
  strike: StrikeHeight | null;
}

export interface LowPointTold {
  /** mm inside the lead heel; a negative one is outside. */
  inside: AlongTheLine;
  /** Whether divots were measured, or marks only looked at. */
  by: 'divots' | 'marks';
  shots: number;
  /** Where the ball goes by where the divots start, mm inside the lead heel; null where none was measured. */
  ballInside: number | null;
}

/** Fewer measured divots than this tell less than all marks together (starting value). */
const FEWEST_DIVOTS = 3;

const fromHeel = ({ middle, low, high }: AlongTheLine, ballAlong: number): AlongTheLine => ({
  middle: insideLeadHeel(middle, ballAlong),
  low: insideLeadHeel(high, ballAlong),
  high: insideLeadHeel(low, ballAlong),
});

/** What an eye would have said of a divot that was measured. */
function markOf({ mark, start, end }: MarkedShot): Mark | null {
  if (mark !== null || start === null || end === null) return mark;
  const low = start + DEEPEST_AT.value * (end - start);
  return low > AT_MM ? 'ahead' : low < -AT_MM ? 'behind' : 'at';
}

/**
 * Where a club is lowest, from the lead heel: by divots that were measured, start and end, where there are enough of them,
 * else by what an eye told of every mark. The ball's place goes by where the divots start, the arc by the low point.
 * @param shots with one club, the ball in one place
 * @param ballAlong how far the ball lay inside the lead heel, mm
 * @returns null where nothing was seen on the ground
 */
export function lowPointTold(shots: readonly MarkedShot[], ballAlong: number): LowPointTold | null {
  const divots = shots.flatMap(({ start, end }) =>
    start === null || end === null ? [] : [{ mishit: false, divotStart: start, divotEnd: end }],
  );
  const measured = divots.length >= FEWEST_DIVOTS ? lowPointOfShots(divots) : null;
  if (measured) {
    const { value: middle, halfWidth: half, start, shots: count } = measured;
    const inside = fromHeel({ middle, low: middle - half, high: middle + half }, ballAlong);
    return { inside, by: 'divots', shots: count, ballInside: ballAlong - ballMoveBy(start) };
  }
  const marks = shots.flatMap((shot) => markOf(shot) ?? []);
  const told = marksTell(marks);
  return told && { inside: fromHeel(told, ballAlong), by: 'marks', shots: marks.length, ballInside: null };
}

/** Most strikes are said to be high or low from this share on (starting value). */
const MOST_STRIKES = 0.6;

/**
 * Where a driver is struck on its face, more often than not.
 * @param shots any
 * @returns null where it is neither, or too few were looked at
 * @example strikesLean([]) // null
 */
export function strikesLean(shots: readonly Pick<MarkedShot, 'strike'>[]): 'high' | 'low' | null {
  const seen = shots.flatMap(({ strike }) => strike ?? []);
  if (seen.length < FEWEST_DIVOTS) return null;
  const share = (height: StrikeHeight) => seen.filter((each) => each === height).length / seen.length;
  return share('high') >= MOST_STRIKES ? 'high' : share('low') >= MOST_STRIKES ? 'low' : null;
}
