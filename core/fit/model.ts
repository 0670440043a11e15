import { measureAddress } from '../setup';
import { neededTurn, reachOf, TURN_PER_LIFT_MM } from '../turn';
import type { FitProblem, MoveName, Requirement } from './types';

/** What a coach can just notice, mm, degrees and percent (starting values). */
export const JUST_NOTICEABLE: Record<MoveName, number> = {
  stanceWidth: 10,
  leadFlare: 5,
  trailFlare: 5,
  setback: 10,
  ballAlong: 10,
  leadShare: 5,
  hipBump: 10,
  leadHeelLift: 10,
};

/** The steps in which answers are looked for (starting values). */
export const STEPS: Record<MoveName, number> = {
  stanceWidth: 5,
  leadFlare: 1,
  trailFlare: 1,
  setback: 5,
  ballAlong: 5,
  leadShare: 2.5,
  hipBump: 5,
  leadHeelLift: 5,
};

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

/** The problem as numbers, with some requirements relaxed by so much (mm, degrees, percent). */
export function modelOf(problem: FitProblem, relaxed: Partial<Record<Requirement, number>> = {}): FitModel {
  const { setup, bands, body, goal, naturalToeOut, pinned } = problem;
  const measures = measureAddress(setup.address);
  const bump = setup.posture?.figures.hipBump?.value;
  const give = (requirement: Requirement) => relaxed[requirement] ?? 0;
  const band = (question: 'stanceWidth' | 'stanceLine' | 'ballAlong' | 'leadShare' | 'hipBump'): Range =>
    wider(bands.figures[question] ?? ANY, give(question));
  // Toed in locks the turn, and a foot is not asked to point in from where it does by itself.
  const flare = (foot: 'lead' | 'trail'): Range => {
    const least = Math.min(MOST_FLARE, Math.max(0, naturalToeOut?.[foot] ?? 0));
    return wider({ low: least, high: MOST_FLARE }, give(foot === 'lead' ? 'leadFlare' : 'trailFlare'));
  };
  const trailBack = reachOf('trail back', body);
  const leadBack = reachOf('lead back', body);
  const leadThrough = reachOf('lead through', body);
  const back = neededTurn('back', body, goal).value - give('turn back');
  return {
    today: {
      stanceWidth: measures.stanceWidth,
      leadFlare: measures.leadFlare,
      trailFlare: measures.trailFlare,
      setback: measures.setback,
      ballAlong: measures.ballAlong,
      leadShare: setup.balance.leadShare,
      hipBump: bump ?? 0,
      leadHeelLift: 0,
    },
    shoeLength: setup.address.shoe.length,
    width: band('stanceWidth'),
    line: band('stanceLine'),
    leadFlare: flare('lead'),
    trailFlare: flare('trail'),
    ball: band('ballAlong'),
    share: band('leadShare'),
    // What was not looked at cannot be out of its band.
    bump: bump === undefined ? ANY : band('hipBump'),
    back: trailBack && leadBack && { trail: trailBack.value, lead: leadBack.value, needed: back },
    through: leadThrough && { lead: leadThrough.value, needed: goal.through - give('turn through') },
    movable: new Set(
      (Object.keys(STEPS) as MoveName[]).filter(
        (move) => !pinned.includes(move) && (move !== 'hipBump' || bump !== undefined),
      ),
    ),
  };
}

/** Where the turn back ends on these feet. */
export const backLimit = (
  { trail, lead }: NonNullable<FitModel['back']>,
  leadFlare: number,
  trailFlare: number,
  lift: number,
): number => Math.min(trail + trailFlare, lead - leadFlare + lift * TURN_PER_LIFT_MM);
