import { noNarrower } from '../method';
import {
  figureOf,
  measureSetup,
  uncertaintyOf,
  type FootName,
  type MeasuredSetup,
  type SetupFigure,
} from '../setup';
import { neededTurn, reachOf, TURN_PER_LIFT_MM } from '../turn';
import { MOVES, type FitProblem, type MoveName, type Requirement } from './types';

/** So much flare starts to stop the turn again (common practice, no source), degrees. */
const MOST_FLARE = 45;
interface Range {
  low: number;
  high: number;
}

const ANY: Range = { low: -Infinity, high: Infinity };

/** A fit as plain numbers: today's values, and what each requirement lets them be. */
export interface FitModel {
  today: Record<MoveName, number>;
  shoeLength: number;
  width: Range;
  line: Range;
  leadFlare: Range;
  trailFlare: Range;
  ball: Range;
  share: Range;
  bump: Range;
  /** Back: trail leg stops at trail + flare, lead leg at lead - flare + lift; null where not tested. */
  back: { trail: number; lead: number; needed: number } | null;
  through: { lead: number; needed: number } | null;
  movable: ReadonlySet<MoveName>;
}

const wider = ({ low, high }: Range, by: number): Range => ({ low: low - by, high: high + by });

/** Toed in locks the turn, and a foot is not asked to point in from where it does by itself. */
const flareRange = (naturalToeOut: number | undefined): Range => ({
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
  const { setup, bands, body, goal, naturalToeOut, pinned } = problem;
  const measured = measureSetup(setup);
  const sure = (name: SetupFigure) => uncertaintyOf(measured, name);
  const give = (requirement: Requirement) => relaxed[requirement] ?? 0;
  // What was not measured cannot be out of its band.
  const band = (question: 'stanceWidth' | 'stanceLine' | 'ballAlong' | 'leadShare' | 'hipBump'): Range => {
    const asked = bands.figures[question];
    const uncertainty = sure(question);
    return asked && uncertainty !== null ? wider(noNarrower(asked, uncertainty), give(question)) : ANY;
  };
  const flare = (foot: FootName): Range =>
    sure(`${foot}Flare`) === null ? ANY : wider(flareRange(naturalToeOut?.[foot]), give(`${foot}Flare`));
  const trailBack = reachOf('trail back', body);
  const leadBack = reachOf('lead back', body);
  const leadThrough = reachOf('lead through', body);
  const knowsLead = sure('leadFlare') !== null;
  const knowsBoth = knowsLead && sure('trailFlare') !== null;
  const back = neededTurn('back', body, goal).value - give('turn back');
  const free = (move: MoveName) => !pinned.includes(move) && (move === 'leadHeelLift' || sure(move) !== null);
  return {
    today: todayOf(measured),
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
    movable: new Set(MOVES.filter(free)),
  };
}

/**
 * Where the turn back ends on these feet.
 * @param stops what each leg gives, degrees
 * @param leadFlare degrees
 * @param trailFlare degrees
 * @param lift degrees of turn that the lead heel’s lift gives
 * @returns degrees
 */
export const backLimit = (
  { trail, lead }: NonNullable<FitModel['back']>,
  leadFlare: number,
  trailFlare: number,
  lift: number,
): number => Math.min(trail + trailFlare, lead - leadFlare + lift * TURN_PER_LIFT_MM);
