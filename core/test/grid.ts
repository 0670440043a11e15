/**
 * The least change by brute force: every combination of whole steps, one move first, then two, then
 * three, until something meets all that is asked. Slow, and written without the fit's own search.
 */
import { modelOf, type FitProblem } from '../fit';

export interface GridProblem {
  today: { width: number; lead: number; trail: number; setback: number; lift: number };
  shoe: number;
  width: [number, number];
  line: [number, number];
  flare: { lead: [number, number]; trail: [number, number] };
  back: { trailReach: number; leadReach: number; needed: number };
  through: { leadReach: number; needed: number };
  /** Turn for a degree of closing the feet did not turn with, and how much further out the method has the trail foot. */
  closing: { gain: number; own: number };
}

/** A fit's problem as the grid takes it: the moves that bear on one another, and what they have to meet. */
export function gridOf(problem: FitProblem): GridProblem {
  const { today, width, line, leadFlare, trailFlare, back, through, shoeLength, closingGain, ownDifference } =
    modelOf(problem);
  const ends = ({ low, high }: { low: number; high: number }): [number, number] => [low, high];
  return {
    today: {
      width: today.stanceWidth,
      lead: today.leadFlare,
      trail: today.trailFlare,
      setback: today.setback,
      lift: 0,
    },
    shoe: shoeLength,
    width: ends(width),
    line: ends(line),
    flare: { lead: ends(leadFlare), trail: ends(trailFlare) },
    back: { trailReach: back!.trail, leadReach: back!.lead, needed: back!.needed },
    through: { leadReach: through!.lead, needed: through!.needed },
    closing: { gain: closingGain, own: ownDifference },
  };
}

type Feet = GridProblem['today'];
type Name = keyof Feet;

const STEP: Record<Name, number> = { width: 5, lead: 1, trail: 1, setback: 5, lift: 5 };
const UNIT: Record<Name, number> = { width: 10, lead: 5, trail: 5, setback: 10, lift: 10 };
const REACH: Record<Name, [number, number]> = {
  width: [-220, 160],
  lead: [-40, 50],
  trail: [-40, 50],
  setback: [-200, 200],
  lift: [0, 25],
};
const NAMES: Name[] = ['width', 'lead', 'trail', 'setback', 'lift'];
const HAIR = 1e-7;

function meets(problem: GridProblem, feet: Feet): boolean {
  const between = (value: number, [low, high]: [number, number]) =>
    value >= low - HAIR && value <= high + HAIR;
  const { width, lead, trail, setback, lift } = feet;
  if (!between(width, problem.width)) return false;
  if (!between(lead, problem.flare.lead) || !between(trail, problem.flare.trail)) return false;
  const { back, through, closing } = problem;
  if (back.leadReach - lead + lift * 0.4 < back.needed - HAIR) return false;
  const sine = (degrees: number) => Math.sin((degrees * Math.PI) / 180);
  const apart = width + problem.shoe * sine(lead) + problem.shoe * sine(trail);
  const line = (Math.atan2(setback, apart) * 180) / Math.PI;
  const freed = closing.gain * unturned(line, (trail - lead - closing.own) / 2);
  if (back.trailReach + trail + freed < back.needed - HAIR) return false;
  if (through.leadReach + lead - freed < through.needed - HAIR) return false;
  return between(line, problem.line);
}

/** What of a line is left once the feet's own turning is taken out of it, which never turns it about. */
function unturned(line: number, turned: number): number {
  if (line === 0) return 0;
  const along = turned * Math.sign(line);
  return line - Math.sign(line) * Math.min(Math.abs(line), Math.max(0, along));
}

const valuesOf = ({ today }: GridProblem, name: Name): number[] => {
  const [least, most] = REACH[name];
  const values: number[] = [];
  for (let by = Math.ceil(least / STEP[name]) * STEP[name]; by <= most; by += STEP[name]) {
    if (by !== 0) values.push(today[name] + by);
  }
  return values;
};

/** A value that by itself, whatever the others are, breaks what is asked of it. */
function hopeless(
  { width, flare, back, through, closing, line }: GridProblem,
  name: Name,
  value: number,
): boolean {
  const outside = ([low, high]: [number, number]) => value < low - HAIR || value > high + HAIR;
  if (name === 'width') return outside(width);
  // The line is not known yet: closing gives at most what its band's end gives.
  const opened = closing.gain * Math.max(0, -line[0]);
  const closed = closing.gain * Math.max(0, line[1]);
  if (name === 'lead')
    return outside(flare.lead) || through.leadReach + value + opened < through.needed - HAIR;
  if (name === 'trail') return outside(flare.trail) || back.trailReach + value + closed < back.needed - HAIR;
  return false;
}

const setsOf = (size: number, from = 0): Name[][] =>
  size === 0
    ? [[]]
    : NAMES.slice(from).flatMap((name, at) => setsOf(size - 1, from + at + 1).map((rest) => [name, ...rest]));

/**
 * The fewest moves and their least size; null where even `most` of them do not do it. Values that
 * cannot be in any answer may be skipped, which changes nothing but the time.
 */
export function leastByGrid(
  problem: GridProblem,
  most: number,
  skipHopeless = false,
): { count: number; size: number } | null {
  const values = Object.fromEntries(
    NAMES.map((name) => [
      name,
      valuesOf(problem, name).filter((value) => !skipHopeless || !hopeless(problem, name, value)),
    ]),
  ) as Record<Name, number[]>;
  for (let count = 0; count <= most; count += 1) {
    let least = Infinity;
    for (const set of setsOf(count)) {
      const feet = { ...problem.today };
      const walk = (at: number, size: number) => {
        if (at === set.length) {
          if (size < least && meets(problem, feet)) least = size;
          return;
        }
        const name = set[at]!;
        const today = problem.today[name];
        for (const value of values[name]) {
          feet[name] = value;
          walk(at + 1, size + Math.abs(value - today) / UNIT[name]);
        }
        feet[name] = today;
      };
      walk(0, 0);
    }
    if (least < Infinity) return { count, size: least };
  }
  return null;
}
