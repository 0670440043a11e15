import type { Remedy } from '../body';
import { hasRemedy } from '../body/facts';
import { noNarrower, ownFlareDifference } from '../method';
import { neverAsked } from '../reading';
import {
  FIGURES,
  figureOf,
  measureSetup,
  uncertaintyOf,
  type FootName,
  type MeasuredSetup,
  type SetupFigure,
} from '../setup';
import { linesFor, neededTurn, reachOf, TURN_PER_LIFT_MM, unturnedPart } from '../turn';
import { degrees, radians } from '../units';
import { MOVES, type FitProblem, type MoveName, type Requirement } from './types';

/** So much flare starts to stop the turn again (common practice, no source), degrees. */
export const MOST_FLARE = 45;
/** Two ends that a figure has to lie between, in its own unit. */
export interface Ends {
  low: number;
  high: number;
}

const ANY: Ends = { low: -Infinity, high: Infinity };

/** A fit as plain numbers: today's values, and what each requirement lets them be. */
export interface FitModel {
  today: Record<MoveName, number>;
  shoeLength: number;
  width: Ends;
  line: Ends;
  leadFlare: Ends;
  trailFlare: Ends;
  ball: Ends;
  share: Ends;
  bump: Ends;
  /** Back: trail leg stops at trail + flare, lead leg at lead - flare + lift; null where not tested. */
  back: { trail: number; lead: number; needed: number } | null;
  through: { lead: number; needed: number } | null;
  /** Degrees of turn for a degree of closing that the feet did not turn with, 0 where the line was not measured. */
  closingGain: number;
  /** By how much the method itself has the trail foot further out, degrees. */
  ownDifference: number;
  movable: ReadonlySet<MoveName>;
}

const wider = ({ low, high }: Ends, by: number): Ends => ({ low: low - by, high: high + by });

/** How much further than today a figure may be asked for each way: not at all, one step, or as far as its band goes. */
interface Allowance {
  more: number;
  less: number;
}

/** A range that never asks for more of a figure, or less, than is allowed from today. */
function within({ low, high }: Ends, today: number, { more, less }: Allowance): Ends {
  const most = today + more;
  const least = today - less;
  // Where the band lies beyond what is allowed, what is allowed is all that is asked for.
  const spared = { low: Math.min(low, most), high: Math.min(high, Math.max(most, Math.min(low, most))) };
  const top = Math.max(spared.high, least);
  return { low: Math.max(spared.low, Math.min(least, top)), high: top };
}

/** What facts, hurt legs and posture allow of each item. */
function allowancesOf(problem: FitProblem) {
  const { barred, limited } = problem;
  const never = neverAsked(problem, barred);
  const allowed = (asked: Remedy) => {
    if (hasRemedy(never, asked)) return 0;
    return hasRemedy(limited, asked) ? FIGURES[asked.item].justNoticeable : Infinity;
  };
  return (item: Remedy['item']): Allowance => ({
    more: allowed({ item, by: 'more' }),
    less: allowed({ item, by: 'less' }),
  });
}

/** Toed in locks the turn, and a foot is not asked to point in from where it does by itself. */
const flareRange = (naturalToeOut: number | undefined): Ends => ({
  low: Math.min(MOST_FLARE, Math.max(0, naturalToeOut ?? 0)),
  high: MOST_FLARE,
});

/** Today's values of what may be moved; a lift that nobody agreed on is none. */
function todayOf(measured: MeasuredSetup): FitModel['today'] {
  const { setup, measures } = measured;
  const value = (name: Exclude<MoveName, 'leadHeelLift'>) => figureOf(setup, name, measures) ?? 0;
  return {
    stanceWidth: value('stanceWidth'),
    leadFlare: value('leadFlare'),
    trailFlare: value('trailFlare'),
    setback: value('setback'),
    ballAlong: value('ballAlong'),
    leadShare: value('leadShare'),
    hipBump: value('hipBump'),
    leadHeelLift: 0,
  };
}

/**
 * The problem as numbers.
 * @param problem what is asked, of whom, on which feet
 * @param relaxed how far some requirements are relaxed, mm, degrees or percent
 * @returns today's values, what each requirement lets them be, and what may be moved
 */
export function modelOf(problem: FitProblem, relaxed: Partial<Record<Requirement, number>> = {}): FitModel {
  const { setup, bands, body, goal, pinned } = problem;
  const measured = measureSetup(setup);
  const today = todayOf(measured);
  const allowanceOf = allowancesOf(problem);
  const sure = (name: SetupFigure) => uncertaintyOf(measured, name);
  const give = (requirement: Requirement) => relaxed[requirement] ?? 0;
  // What was not measured cannot be out of its band.
  const band = (question: 'stanceWidth' | 'stanceLine' | 'ballAlong' | 'leadShare' | 'hipBump'): Ends => {
    const asked = bands.figures[question];
    const uncertainty = sure(question);
    const range = asked && uncertainty !== null ? wider(noNarrower(asked, uncertainty), give(question)) : ANY;
    const now = question === 'stanceLine' ? measured.measures.toeLine : today[question];
    return within(range, now, allowanceOf(question));
  };
  const flare = (foot: FootName): Ends => {
    const item = `${foot}Flare` as const;
    if (sure(item) === null) return ANY;
    const range = wider(flareRange(body.naturalToeOut?.[foot]), give(item));
    return within(range, today[item], allowanceOf(item));
  };
  const trailBack = reachOf('trail back', body);
  const leadBack = reachOf('lead back', body);
  const leadThrough = reachOf('lead through', body);
  const knowsLead = sure('leadFlare') !== null;
  const knowsBoth = knowsLead && sure('trailFlare') !== null;
  const back = neededTurn('back', body, goal).value - give('turn back');
  const free = (move: MoveName) => !pinned.includes(move) && (move === 'leadHeelLift' || sure(move) !== null);
  return {
    today,
    shoeLength: setup.address.shoe.length,
    width: band('stanceWidth'),
    line: band('stanceLine'),
    leadFlare: flare('lead'),
    trailFlare: flare('trail'),
    ball: band('ballAlong'),
    share: band('leadShare'),
    bump: band('hipBump'),
    back:
      knowsBoth && trailBack && leadBack
        ? { trail: trailBack.value, lead: leadBack.value, needed: back }
        : null,
    through:
      knowsLead && leadThrough
        ? { lead: leadThrough.value, needed: goal.through - give('turn through') }
        : null,
    closingGain: sure('stanceLine') === null ? 0 : Math.max(0, body.closing.value),
    ownDifference: ownFlareDifference(bands),
    movable: new Set(MOVES.filter(free)),
  };
}

/** What of the feet decides the turn, besides the toe line. */
export type TurnedOn = Pick<FitModel['today'], 'leadFlare' | 'trailFlare' | 'leadHeelLift'>;

/**
 * The toe line of feet that are told by their moves.
 * @param model its shoe
 * @param values mm and degrees
 * @returns degrees, closed positive
 */
export function toeLineOf(
  { shoeLength }: Pick<FitModel, 'shoeLength'>,
  values: Pick<FitModel['today'], 'leadFlare' | 'trailFlare' | 'stanceWidth' | 'setback'>,
): number {
  const { leadFlare, trailFlare, stanceWidth, setback } = values;
  const apart = stanceWidth + shoeLength * (Math.sin(radians(leadFlare)) + Math.sin(radians(trailFlare)));
  return degrees(Math.atan2(setback, apart));
}

/** What closing gives going back, and takes going through, degrees. */
const closingGives = (
  { closingGain, ownDifference }: FitModel,
  { leadFlare, trailFlare }: TurnedOn,
  toeLine: number,
): number =>
  closingGain === 0 ? 0 : closingGain * unturnedPart(toeLine, (trailFlare - leadFlare - ownDifference) / 2);

/**
 * Where the turn back ends on these feet.
 * @param model what each leg gives, and what closing gives
 * @param on the flares and the lift
 * @param toeLine degrees, closed positive
 * @returns degrees; endless where it cannot be judged
 */
export const backLimit = (model: FitModel, on: TurnedOn, toeLine: number): number =>
  model.back
    ? Math.min(
        model.back.trail + on.trailFlare + closingGives(model, on, toeLine),
        model.back.lead - on.leadFlare + on.leadHeelLift * TURN_PER_LIFT_MM,
      )
    : Infinity;

/**
 * Where the turn through ends on these feet.
 * @param model what each leg gives, and what closing gives
 * @param on the flares and the lift
 * @param toeLine degrees, closed positive
 * @returns degrees; endless where it cannot be judged
 */
export const throughLimit = (model: FitModel, on: TurnedOn, toeLine: number): number =>
  model.through ? model.through.lead + on.leadFlare - closingGives(model, on, toeLine) : Infinity;

const ROUNDING = 1e-9;

/**
 * The toe lines on which feet of these flares turn enough both ways; null where there are none.
 * @param model the problem in numbers
 * @param leadFlare degrees
 * @param trailFlare degrees
 * @returns the ends of the line, within its band, degrees
 */
export function turningLines(model: FitModel, leadFlare: number, trailFlare: number): Ends | null {
  const { back, through, closingGain, line } = model;
  const least = back ? back.needed - back.trail - trailFlare : -Infinity;
  const most = through ? through.lead + leadFlare - through.needed : Infinity;
  if (closingGain === 0) return least <= ROUNDING && most >= -ROUNDING ? line : null;
  // Enough on any line of the band: most feet are, and nothing more has to be worked out for them.
  if (least <= closingGain * Math.min(0, line.low) && most >= closingGain * Math.max(0, line.high))
    return line;
  const lines = linesFor(
    { flare: { lead: leadFlare, trail: trailFlare }, ownDifference: model.ownDifference },
    (least - ROUNDING) / closingGain,
    (most + ROUNDING) / closingGain,
  );
  const low = Math.max(line.low, lines.low);
  const high = Math.min(line.high, lines.high);
  return low <= high + ROUNDING ? { low, high } : null;
}

/**
 * The most that closing can give within the line's band, and the most that it can take.
 * @param model the problem in numbers
 * @returns degrees of turn: `back` what it gives at most going back, `through` what an open line gives going through
 */
export const closingAtMost = ({ closingGain, line }: FitModel): { back: number; through: number } => ({
  back: closingGain * Math.min(FURTHEST_LINE, Math.max(0, line.high)),
  through: closingGain * Math.min(FURTHEST_LINE, Math.max(0, -line.low)),
});

/** A stance line is looked for so far either way (starting value), degrees. */
const FURTHEST_LINE = 45;
