import type { Remedy } from '../body';
import { hasRemedy } from '../body/facts';
import { MORE_TURN, neverAsked } from '../reading';
import { FIGURES, figureOf, MOST_FLARE, toePoint, type Item } from '../setup';
import { TURNS, type Turn } from '../turn';
import { degrees, radians } from '../units';
import { toldPath } from './pathTold';
import { againstSigns } from './signs';
import { asksTurn } from './turns';
import { endsOf, faultOf, furtherOut, itemOf, knownStops, valueOf, type Standing } from './standing';
import type { AdvisedFigure, AdvisedMove, Case, PinnedFigure, Reason } from './types';

/**
 * A playable line: the trail toe back to the middle of the lead shoe, or a touch ahead of it (common practice, no
 * source), shoe lengths; and no line brought further from square than this (starting value), degrees.
 */
const MOST_BACK = 0.5;
export const MOST_AHEAD = 0.15;
export const MOST_LINE = 10;
/** A stance is made narrower than its band by so much at most, for a body that cannot post on it (starting value), mm. */
const BELOW_BAND = 120;

/** Rounding of figures that are computed. */
const ROUNDING = 1e-6;

/** A move with why it ends where it does. */
export interface ReasonedMove extends AdvisedMove {
  reason: Reason;
}

const remedyOf = ({ figure, from, to }: AdvisedMove): Remedy | null =>
  figure === 'leadHeelLift' ? null : { item: itemOf(figure), by: to > from ? 'more' : 'less' };

/** Ways that the path must not be bent further. */
function againstPath(given: Case): Remedy[] {
  const told = toldPath(given);
  if (!told || Math.abs(told.value) < 1) return [];
  const by = told.value < 0 ? 'less' : 'more';
  return [
    { item: 'stanceLine', by },
    { item: 'shoulderLine', by },
  ];
}

/** Where an unstraightened trail knee is asked for, a knee or a back that must not straighten it says no. */
function withKnee(remedies: readonly Remedy[]): Remedy[] {
  const straighter = hasRemedy(remedies, { item: 'trailKneeFlex', by: 'less' });
  return [...remedies, ...(straighter ? [{ item: 'trailKneeBack' as const, by: 'more' as const }] : [])];
}

/** What this case must not be asked for, whatever it would bring. */
export interface Forbidden {
  never: readonly Remedy[];
  /** Only by one noticeable step. */
  limited: readonly Remedy[];
}

/**
 * What facts, hurt legs, posture, the path, what is seen, and earlier advice forbid.
 * @param standing the case
 * @returns remedies left out, and those kept small
 */
export function forbiddenIn(standing: Standing): Forbidden {
  const { given } = standing;
  const { cautions, setup, dropped } = given;
  const losesIt = setup.posture?.tellTales?.includes('loses the club at the top') ?? false;
  const turnsTooFar = losesIt || given.cameFor.includes('turns too far');
  const barred = cautions.flatMap(({ withholds }) => withholds);
  const isOverdone = ({ item, by }: Remedy) => faultOf(standing, item)?.off === by;
  return {
    never: withKnee([
      ...neverAsked(given, barred),
      ...(turnsTooFar ? MORE_TURN : []),
      ...againstSigns(given, isOverdone),
      ...againstPath(given),
      ...dropped,
    ]),
    limited: cautions.flatMap(({ limits }) => limits),
  };
}

/** The ends that no move of a figure goes beyond, or further beyond than it stands. */
function documentedEnds(standing: Standing, figure: AdvisedFigure): { low: number; high: number } {
  const { given } = standing;
  const { length } = given.setup.address.shoe;
  switch (figure) {
    case 'leadFlare':
    case 'trailFlare': {
      const ends = endsOf(standing, figure);
      return { low: Math.min(0, ends?.low ?? 0), high: MOST_FLARE };
    }
    case 'setback': {
      const taught = endsOf(standing, 'stanceLine');
      const toLine = (line: number) => setbackOfLine(standing, line);
      return {
        low: Math.max(-MOST_AHEAD * length, toLine(Math.min(-MOST_LINE, taught?.aim ?? 0))),
        high: Math.min(
          Math.max(MOST_BACK * length, toLine(taught?.aim ?? 0)),
          toLine(Math.max(MOST_LINE, taught?.aim ?? 0)),
        ),
      };
    }
    case 'stanceWidth': {
      const ends = endsOf(standing, 'stanceWidth');
      return ends ? { low: ends.low - BELOW_BAND, high: ends.high } : { low: -Infinity, high: Infinity };
    }
    default:
      return { low: -Infinity, high: Infinity };
  }
}

/** How far apart the toes stand along the target line, mm. */
const toesApart = ({ setup: { address } }: Case): number =>
  toePoint(address, 'lead').x - toePoint(address, 'trail').x;

/**
 * The setback that makes a toe line on these feet.
 * @param standing the case
 * @param line closed positive, degrees
 * @returns mm
 */
export function setbackOfLine({ given }: Standing, line: number): number {
  return toesApart(given) * Math.tan(radians(line));
}

/**
 * The toe line that a setback makes on these feet.
 * @param standing the case
 * @param setback mm
 * @returns closed positive, degrees
 */
export function lineOfSetback({ given }: Standing, setback: number): number {
  return degrees(Math.atan2(setback, toesApart(given)));
}

/** What was agreed is not taken back: a figure ends on the side it was agreed to, and goes no further the same day. */
function keepsAgreed({ given }: Standing, move: AdvisedMove, toItem: number): boolean {
  const item = itemOf(move.figure);
  const agreed = given.agreed.findLast((each) => each.item === item);
  if (!agreed) return true;
  const half = item === 'leadHeelLift' ? 1 : FIGURES[item].justNoticeable / 2;
  const beyond = agreed.by === 'more' ? toItem - agreed.to : agreed.to - toItem;
  return beyond >= -half && (!agreed.today || beyond <= half);
}

/** How much a turn of tested legs is short on these feet, degrees; one that norms decide, or nobody asks for, is not counted. */
const missingOf = (standing: Standing, turn: Turn): number =>
  !asksTurn(standing.given)
    ? 0
    : Math.max(0, ...knownStops(standing).map((stop) => (stop.turn === turn ? stop.missing : 0)));

/** So much of a turn is a step (starting value), degrees. */
export const TURN_STEP = 5;

/** Whether a turn that was enough is short by a step after, or one that was short is shorter by half of one. */
export const costsTurn = (before: Standing, after: Standing): boolean =>
  TURNS.some((turn) => {
    const [was, is] = [missingOf(before, turn), missingOf(after, turn)];
    return is >= TURN_STEP - ROUNDING && is - was > TURN_STEP / 2;
  });

/** So far outside its band, in what can just be noticed, that it is a fault that was made. */
const MADE_FAULT = 0.5;

/** What may go along with a foot that is moved. */
export const GOES_ALONG = [
  'stanceWidth',
  'leadFlare',
  'trailFlare',
  'stanceLine',
  'ballAlong',
  'ballOut',
] as const;

/** Items besides those moved that leave their band, or go further out. */
export const madeWorse = (before: Standing, after: Standing, moved: readonly Item[]): Item[] =>
  GOES_ALONG.filter((item) => {
    const ends = moved.includes(item) ? null : endsOf(before, item);
    if (!ends) return false;
    const was = valueOf(before, item)!;
    const is = figureOf(after.given.setup, item, after.measured.measures)!;
    return furtherOut(was, is, ends) > MADE_FAULT * FIGURES[item].justNoticeable;
  });

/** Reasons that may take a figure where the method would not have it; it is told as the choice it is. */
const AGAINST_METHOD: readonly Reason[] = ['turn', 'path', 'own test', 'seen', 'caution'];

/** Whether a move ends within its band, or no further out than it was, unless a reason takes it there. */
function staysInBand(standing: Standing, move: ReasonedMove, toItem: number): boolean {
  if (move.figure === 'leadHeelLift' || AGAINST_METHOD.includes(move.reason)) return true;
  const item = itemOf(move.figure);
  const ends = endsOf(standing, item);
  const from = valueOf(standing, item);
  if (!ends || from === undefined) return true;
  return furtherOut(from, toItem, ends) <= ROUNDING;
}

/**
 * Whether a move may be made: it was measured, nothing forbids it, and it stays within its ends.
 * @param standing the case
 * @param forbidden what this case must not be asked for
 * @param move the move, with its reason
 * @returns true where it may
 */
export function mayMove(standing: Standing, forbidden: Forbidden, move: ReasonedMove): boolean {
  const { figure, from, to } = move;
  const { given } = standing;
  const noticeable = FIGURES[figure].justNoticeable;
  if (given.pinned.includes(figure as PinnedFigure)) return false;
  const asked = remedyOf(move);
  const kept = asked !== null && hasRemedy(forbidden.limited, asked);
  const by = figure === 'setback' ? lineOfSetback(standing, to) - lineOfSetback(standing, from) : to - from;
  const step = figure === 'setback' ? FIGURES.stanceLine.justNoticeable : noticeable;
  if (Math.abs(by) < (kept ? step / 2 : step) - ROUNDING) return false;
  if (asked && hasRemedy(forbidden.never, asked)) return false;
  if (kept && Math.abs(by) > step + ROUNDING) return false;
  const { low, high } = documentedEnds(standing, figure);
  if (to < Math.min(low, from) - ROUNDING || to > Math.max(high, from) + ROUNDING) return false;
  const toItem = figure === 'setback' ? lineOfSetback(standing, to) : to;
  return keepsAgreed(standing, move, toItem) && staysInBand(standing, move, toItem);
}
