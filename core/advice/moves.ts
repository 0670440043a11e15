/**
 * What a coach does about each cause, one row a move, in the order in which it is thought of. A row belongs to its cause
 * alone; it has one direction; and it ends where its last word says. Common practice, no source; figures that no method
 * teaches are starting values.
 */
import { TURN_PER_LIFT_MM, MOST_LIFT_MM } from '../turn';
import { postingLimit } from '../method';
import { lineOfSetback, MOST_AHEAD, MOST_LINE, setbackOfLine } from './allowed';
import { doseFrom, doseTo, nearestDose, oneDose } from './doses';
import { MOST_FLARE } from '../setup';
import { pathAfter, toldPath } from './pathTold';
import { endsOf, itemOf, valueOf, type Ends, type Standing } from './standing';
import { shortTurns } from './turns';
import type { AdvisedFigure, CauseName, Reason, Thing } from './types';
import { radians } from '../units';

/** Hips that are set toward the target are set by an inch, mm. */
export const BUMP = 25;

/** Where a tell-tale asks for a figure that the method leaves free (common practice, no source), mm. */
export const USUAL = {
  trailKneeInside: { low: 0, high: 40, aim: 20 },
  trailKneeBack: { low: 130, high: 230, aim: 190 },
  hipBump: { low: -12, high: 37, aim: 0 },
} as const satisfies Partial<Record<AdvisedFigure, Ends>>;

/** Where a move ends. */
export type Target =
  | 'as taught'
  // As taught, or as is usual where the method leaves it free.
  | 'as taught or usual'
  // What the turn still needs, and a dose more where that is still as taught.
  | 'what the turn needs'
  // One dose further, at least as taught.
  | 'one dose further'
  // The trail toe a quarter of the lead shoe further back.
  | 'a quarter shoe back'
  // So many quarters of the shoe that the path comes straight, as near as they do.
  | 'what the path asks'
  // An inch toward the target.
  | 'an inch'
  // As wide as these hips can stand and still get onto the lead foot.
  | 'what the hips can post on'
  // What a sore joint prefers: a dose beyond what is taught, once.
  | 'a dose beyond as taught';

export interface MoveRow {
  cause: CauseName;
  thing: Thing;
  figure: AdvisedFigure;
  by: 'more' | 'less';
  to: Target;
  reason: Reason;
}

const row = (
  cause: CauseName,
  thing: Thing,
  figure: AdvisedFigure,
  by: 'more' | 'less',
  to: Target,
  reason: Reason = 'taught',
): MoveRow => ({ cause, thing, figure, by, to, reason });

export const MOVE_TABLE: readonly MoveRow[] = [
  // Going back.
  row('open line', 'line', 'setback', 'more', 'as taught'),
  row('trail leg back', 'trail foot', 'trailFlare', 'more', 'what the turn needs', 'turn'),
  row('trail leg back', 'line', 'setback', 'more', 'a quarter shoe back', 'turn'),
  row('lead leg back', 'lead foot', 'leadFlare', 'less', 'as taught'),
  row('lead leg back', 'lead heel up', 'leadHeelLift', 'more', 'what the turn needs', 'turn'),
  row('trail knee stuck', 'trail knee', 'trailKneeBack', 'more', 'as taught or usual', 'seen'),
  row('trail toes loaded', 'load', 'trailHeelToe', 'less', 'as taught'),
  row('stiff joint', 'trail foot', 'trailFlare', 'more', 'one dose further', 'caution'),
  row('stiff joint', 'line', 'setback', 'more', 'a quarter shoe back', 'caution'),
  // Coming through.
  row('lead leg through', 'lead foot', 'leadFlare', 'more', 'what the turn needs', 'turn'),
  row('closed line', 'line', 'setback', 'less', 'as taught'),
  row('lead foot spins out', 'lead foot', 'leadFlare', 'more', 'one dose further', 'seen'),
  // What hurts is spared.
  row('sore joint', 'lead foot', 'leadFlare', 'more', 'a dose beyond as taught', 'caution'),
  // Getting onto the lead foot.
  row('too wide to post', 'width', 'stanceWidth', 'less', 'what the hips can post on', 'seen'),
  row('hips central', 'hips', 'hipBump', 'more', 'an inch', 'seen'),
  row('trail knee outside', 'trail knee', 'trailKneeInside', 'more', 'as taught or usual', 'seen'),
  row('hips pushed', 'hips', 'hipBump', 'less', 'as taught or usual'),
  // Turning too far.
  row('turns too far', 'trail foot', 'trailFlare', 'less', 'as taught'),
  row('turns too far', 'line', 'setback', 'less', 'as taught'),
  // The path, by shots or by where the ball starts and curves.
  row('path', 'line', 'setback', 'more', 'what the path asks', 'path'),
  row('path', 'line', 'setback', 'less', 'what the path asks', 'path'),
];

/** What a coach says about a cause without a figure. */
export const CUES: Partial<Record<CauseName, Thing>> = {
  'trail heel stuck': 'trail foot release',
  'turns too far': 'shorter swing',
  'load felt': 'load',
  // Where nobody measured the knee.
  'trail knee outside': 'trail knee',
  pressure: 'pressure',
  'face first': 'face',
  'too much loft': 'less loft',
};

/** The thing that puts each figure back into its band. */
export const THING_OF_FIGURE: Record<AdvisedFigure, Thing> = {
  stanceWidth: 'width',
  leadFlare: 'lead foot',
  trailFlare: 'trail foot',
  setback: 'line',
  ballAlong: 'ball',
  ballOut: 'ball',
  leadShare: 'load',
  leadHeelToe: 'load',
  trailHeelToe: 'load',
  leadHeelLift: 'lead heel up',
  trailKneeInside: 'trail knee',
  trailKneeFlex: 'trail knee',
  trailKneeBack: 'trail knee',
  hipBump: 'hips',
  hipLine: 'hips',
  shoulderLine: 'shoulders',
  shoulderTilt: 'tilt',
  clubFace: 'face',
  shaftLean: 'face',
};

/** Figures whose lengths are said in whole centimetres or half inches. */
const SAID_IN_DOSES: readonly AdvisedFigure[] = [
  'stanceWidth',
  'ballAlong',
  'ballOut',
  'hipBump',
  'trailKneeInside',
  'trailKneeBack',
];

/** A line that is taught within so much of a quarter of the shoe is said in quarters, degrees. */
const NEAR_A_QUARTER = 2;

/** A quarter of the lead shoe, as far back as it reaches, mm. */
export function quarterShoe({ given }: Standing): number {
  const { address } = given.setup;
  return (address.shoe.length * Math.cos(radians(address.lead.flare))) / 4;
}

/** The setback of a line that is aimed at: in quarters of the shoe where that is near it, else in whole centimetres. */
function setbackFor(standing: Standing, line: number): number {
  const wanted = setbackOfLine(standing, line);
  const quarter = quarterShoe(standing);
  const inQuarters = quarter * Math.round(wanted / quarter);
  const near = Math.abs(lineOfSetback(standing, inQuarters) - line) <= NEAR_A_QUARTER;
  return near ? inQuarters : nearestDose(wanted, 'setback');
}

/**
 * What a figure is put to where it is put as taught, in doses that a coach can say.
 * @param standing the case
 * @param figure which figure
 * @param ends its band and what is aimed at
 * @returns mm, degrees or percent
 */
export function asTaught(standing: Standing, figure: AdvisedFigure, { aim, low, high }: Ends): number {
  if (figure === 'setback') return setbackFor(standing, aim);
  if (!SAID_IN_DOSES.includes(figure)) return aim;
  const dose = nearestDose(aim, figure);
  return dose < low || dose > high ? aim : dose;
}

/** What is asked of a figure, or what is usual where the method leaves it free. */
const endsOrUsual = (standing: Standing, figure: Exclude<AdvisedFigure, 'leadHeelLift'>): Ends | null =>
  endsOf(standing, itemOf(figure)) ?? (USUAL as Partial<Record<AdvisedFigure, Ends>>)[figure] ?? null;

/** So much beyond what is needed is aimed at the least, degrees: a flare that ends on the very need is an even chance. */
const MARGIN = 2.5;

/** Flare that a turn needs: as taught at least; a dose more where that is still as taught. */
function flareForTurn(standing: Standing, figure: 'leadFlare' | 'trailFlare', missing: number): number {
  const now = valueOf(standing, figure)!;
  const ends = endsOf(standing, figure);
  const needed = Math.min(MOST_FLARE, doseFrom(now + missing + MARGIN, figure));
  if (!ends) return needed;
  if (now + missing <= ends.aim) return ends.aim;
  const dose = needed + oneDose(figure);
  return dose <= ends.high && dose <= MOST_FLARE ? dose : needed;
}

const TURN_OF = { trailFlare: ['back', 'trail back'], leadFlare: ['through', 'lead through'] } as const;

function forTurn(standing: Standing, figure: AdvisedFigure): number | null {
  if (figure === 'leadHeelLift') {
    const missing = shortTurns(standing, 'back', 0).find(({ name }) => name === 'lead back')?.missing ?? 0;
    return Math.min(MOST_LIFT_MM, doseFrom(standing.given.leadHeelLift + missing / TURN_PER_LIFT_MM, figure));
  }
  if (figure !== 'leadFlare' && figure !== 'trailFlare') return null;
  const [turn, stop] = TURN_OF[figure];
  const missing = shortTurns(standing, turn, 0).find(({ name }) => name === stop)?.missing ?? 0;
  return flareForTurn(standing, figure, missing);
}

/** The next mark of the lead shoe behind the trail toe, in quarters; one that is nearly reached counts as reached. */
const nextMark = (standing: Standing): number =>
  Math.floor(valueOf(standing, 'setback')! / quarterShoe(standing) + 0.25) + 1;

/** The setback a quarter of the shoe further back, on the next mark of the lead shoe. */
function quarterBack(standing: Standing): number {
  return quarterShoe(standing) * nextMark(standing);
}

/** A setback that brings the path straight, in quarters of the shoe, one at least; by whole centimetres ahead of square. */
function forPath(standing: Standing): number | null {
  const { given } = standing;
  const told = toldPath(given);
  const line = valueOf(standing, 'stanceLine');
  if (!told || line === undefined || told.perClosed <= 0) return null;
  const path = pathAfter(given, told, given.setup);
  const wanted = setbackOfLine(standing, line - path / told.perClosed);
  const quarter = quarterShoe(standing);
  if (path > 0)
    return wanted < 0
      ? doseFrom(Math.max(wanted, -MOST_AHEAD * given.setup.address.shoe.length), 'setback')
      : quarter * Math.round(wanted / quarter);
  const marks = Math.max(Math.round(wanted / quarter), nextMark(standing));
  // Where the next mark is beyond what can be played, as far as can be.
  const furthest = setbackOfLine(standing, MOST_LINE);
  return quarter * marks <= furthest ? quarter * marks : doseTo(furthest, 'setback');
}

/** As wide as these hips can stand and still post: as taught where that does it, and no wider than this student was found to. */
function forPosting(standing: Standing): number | null {
  const { given } = standing;
  const now = valueOf(standing, 'stanceWidth')!;
  const ends = endsOf(standing, 'stanceWidth');
  if (!ends) return null;
  const hips = given.build.hipBreadth.value;
  const bump = valueOf(standing, 'hipBump') ?? 0;
  const limit =
    given.widest ?? 2 * (postingLimit(given.club) * hips + bump) + hips - given.build.shoeBreadth.value;
  const taught = asTaught(standing, 'stanceWidth', ends);
  if (now > ends.high && taught <= limit) return taught;
  if (now > limit) return doseTo(Math.min(limit, taught), 'stanceWidth');
  return now > ends.low ? doseFrom(ends.low, 'stanceWidth') : null;
}

/** Why a row ends where it does for a case: a stance wider than this student was found to post on goes by that test. */
export function reasonFor(standing: Standing, { to, reason }: MoveRow): Reason {
  const { widest } = standing.given;
  if (to !== 'what the hips can post on' || widest === null) return reason;
  return valueOf(standing, 'stanceWidth')! > widest ? 'own test' : reason;
}

const SPARED_TO = 35;

/** A dose beyond what is taught, made once: a lead foot that is out so far already is left. */
function sparing(standing: Standing, figure: AdvisedFigure): number | null {
  if (figure !== 'leadFlare' && figure !== 'trailFlare') return null;
  const now = valueOf(standing, figure)!;
  const ends = endsOf(standing, figure);
  // What the method teaches, also where the student's own band has taken its place: it is made once.
  const taught = standing.given.bands.figures[figure]?.middle ?? 0;
  const beyond = Math.min(SPARED_TO, doseFrom(taught + oneDose(figure), figure));
  if (now >= beyond - oneDose(figure) / 2) return null;
  const limited = standing.given.cautions.some(({ limits }) =>
    limits.some(({ item, by }) => item === figure && by === 'more'),
  );
  // A little at a time where that is all that is asked, and as taught first where it is short of that.
  if (limited) return Math.min(beyond, doseTo(now + oneDose(figure), figure));
  return ends && now < ends.low ? ends.aim : beyond;
}

/**
 * Where a move of the table ends for a case.
 * @param standing the case
 * @param move the row
 * @returns mm, degrees or percent; null where it cannot be said or there is nothing to do
 */
export function targetOf(
  standing: Standing,
  { figure, by, to }: Pick<MoveRow, 'figure' | 'by' | 'to'>,
): number | null {
  const now = valueOf(standing, figure);
  if (now === undefined) return null;
  const value = (): number | null => {
    switch (to) {
      case 'as taught': {
        const ends = figure === 'leadHeelLift' ? null : endsOf(standing, itemOf(figure));
        return ends && asTaught(standing, figure, ends);
      }
      case 'as taught or usual': {
        const ends = figure === 'leadHeelLift' ? null : endsOrUsual(standing, figure);
        return ends && asTaught(standing, figure, ends);
      }
      case 'what the turn needs':
        return forTurn(standing, figure);
      case 'one dose further':
        return Math.max(
          endsOf(standing, itemOf(figure as 'leadFlare'))?.aim ?? 0,
          Math.min(MOST_FLARE, doseFrom(now + oneDose(figure), figure)),
        );
      case 'a quarter shoe back':
        return quarterBack(standing);
      case 'what the path asks':
        return forPath(standing);
      case 'an inch':
        return BUMP;
      case 'what the hips can post on':
        return forPosting(standing);
      case 'a dose beyond as taught':
        return sparing(standing, figure);
    }
  };
  const target = value();
  if (target === null) return null;
  return (by === 'more' ? target > now : target < now) ? target : null;
}
