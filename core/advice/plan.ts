import { hasRemedy } from '../body/facts';
import { isByMat, withFigure, type Item, type Setup, type SetupFigure, type TellTale } from '../setup';
import {
  costsTurn,
  GOES_ALONG,
  forbiddenIn,
  madeWorse,
  mayMove,
  setbackOfLine,
  type Forbidden,
  type ReasonedMove,
} from './allowed';
import { causesOf, NOTHING_ANSWERED, type Answered, type Cause } from './causes';
import { nearestDose, oneDose } from './doses';
import { asTaught, CUES, MOVE_TABLE, reasonFor, targetOf, THING_OF_FIGURE, type MoveRow } from './moves';
import { toldAfter, toldPath, type ToldPath } from './pathTold';
import { faultOf, itemOf, standingOf, valueOf, type Fault, type Standing } from './standing';
import type { AdvisedMove, Case, CauseName, Thing } from './types';

/** A thing to do about a cause, with the moves it makes. */
export interface Step {
  cause: Cause;
  thing: Thing;
  moves: readonly ReasonedMove[];
}

/** Made in this order: flares with their toes kept, then the trail foot, then all that bears on nothing else. */
const MADE_FIRST: readonly string[] = ['leadFlare', 'trailFlare', 'stanceWidth', 'setback'];

const place = ({ figure }: AdvisedMove): number => {
  const at = MADE_FIRST.indexOf(figure);
  return at < 0 ? MADE_FIRST.length : at;
};

/**
 * A setup with moves made.
 * @param setup the setup to begin from
 * @param moves to which values, mm, degrees and percent
 * @returns the new setup; a lift of the heel is no part of it
 */
export const setupWith = (setup: Setup, moves: readonly AdvisedMove[]): Setup =>
  moves
    .filter(({ figure }) => figure !== 'leadHeelLift')
    .sort((a, b) => place(a) - place(b))
    .reduce((made, { figure, to }) => withFigure(made, figure as SetupFigure, to), setup);

/** A case with steps done. */
export function caseWith(given: Case, moves: readonly AdvisedMove[]): Case {
  const lift = moves.find(({ figure }) => figure === 'leadHeelLift')?.to ?? given.leadHeelLift;
  return { ...given, setup: setupWith(given.setup, moves), leadHeelLift: lift };
}

/** The items that moves are made for; a line that is only kept where it was is none. */
const itemsMoved = (moves: readonly ReasonedMove[]): Item[] =>
  moves.flatMap(({ figure, reason }) =>
    figure === 'leadHeelLift' || reason === 'kept' ? [] : [itemOf(figure)],
  );

/** What looking for a step takes along. */
interface Looking {
  standing: Standing;
  forbidden: Forbidden;
  /** The path is not worked at beside the pressure. */
  pathWaits: boolean;
  /** The case before the plan, and what the plan has moved of it: no step adds to a fault of another. */
  before: Standing;
  moved: readonly Item[];
}

/** A fault put right as taught. */
function putRight({ standing }: Looking, { figure, ends, item }: Fault): ReasonedMove {
  return {
    figure,
    from: valueOf(standing, item === 'stanceLine' ? 'setback' : figure)!,
    to: asTaught(standing, figure, ends),
    reason: 'taught',
  };
}

/** The moves that may be made of several, each by itself. */
const allowedOf = ({ standing, forbidden }: Looking, moves: readonly ReasonedMove[]): ReasonedMove[] =>
  moves.filter((move) => mayMove(standing, forbidden, move));

/** The move that keeps the line where it was, on feet that would take it along. */
function lineKept({ standing, before }: Looking, after: Standing): ReasonedMove | null {
  if (standing.given.pinned.includes('setback')) return null;
  const from = valueOf(standing, 'setback')!;
  const to = nearestDose(setbackOfLine(after, valueOf(before, 'stanceLine')!), 'setback');
  return { figure: 'setback', from, to, reason: 'kept' };
}

/** A step that may be made and makes no fault of its own; null where there is none. */
function stepOf(looking: Looking, cause: Cause, thing: Thing, moves: readonly ReasonedMove[]): Step | null {
  const { standing, before, moved } = looking;
  const allowed = allowedOf(looking, moves);
  if (allowed.length === 0) return null;
  const after = standingOf(caseWith(standing.given, allowed));
  const worse = madeWorse(before, after, [...moved, ...itemsMoved(allowed)]);
  if (worse.length === 0) return costsTurn(standing, after) ? null : { cause, thing, moves: allowed };
  const kept = worse.includes('stanceLine') ? lineKept(looking, after) : null;
  if (!kept) return null;
  const all = [...allowed, kept];
  const then = standingOf(caseWith(standing.given, all));
  const fault = madeWorse(before, then, [...moved, ...itemsMoved(all)]).length > 0;
  return fault || costsTurn(standing, then) ? null : { cause, thing, moves: all };
}

/** A flare that is turned for the turn: as far as it needs, else as far as costs nothing that is short. */
function reached(looking: Looking, cause: Cause, row: MoveRow, target: number): Step | null {
  const from = valueOf(looking.standing, row.figure)!;
  const flares = row.figure === 'leadFlare' || row.figure === 'trailFlare';
  const reason = reasonFor(looking.standing, row);
  const least = flares && reason !== 'taught' ? from + oneDose(row.figure) : target;
  for (let to = target; ; to -= oneDose(row.figure)) {
    const step = stepOf(looking, cause, row.thing, [{ figure: row.figure, from, to, reason }]);
    if (step || row.by === 'less' || to - oneDose(row.figure) < least) return step;
  }
}

/** The rows of a cause; of a stiff or a sore joint those that its cautions prefer, the line first where they say it first. */
function rowsOf({ given }: Standing, { cause }: Cause): MoveRow[] {
  const rows = MOVE_TABLE.filter((row) => row.cause === cause);
  if (cause !== 'stiff joint' && cause !== 'sore joint') return rows;
  const preferred = given.cautions.flatMap(({ prefers }) => prefers);
  const isPreferred = ({ figure, by }: MoveRow) =>
    figure !== 'leadHeelLift' && hasRemedy(preferred, { item: itemOf(figure), by });
  const lineFirst = preferred[0]?.item === 'stanceLine';
  const isLine = ({ figure }: MoveRow) => figure === 'setback';
  return rows
    .filter(isPreferred)
    .sort((a, b) => (lineFirst ? 1 : -1) * (Number(isLine(b)) - Number(isLine(a))));
}

/** A stop that rests on a starting give alone, on feet that stand as taught: the turn is measured before a foot is moved. */
const isForMeasuring = (standing: Standing, { onGive }: Cause): boolean =>
  onGive &&
  !(['stanceWidth', 'leadFlare', 'trailFlare', 'stanceLine'] as const).some((item) =>
    faultOf(standing, item),
  );

/** What a cause is put right by as a whole: a pitch's stance, or figures out of their bands. */
function faultStep(looking: Looking, cause: Cause): Step | null {
  const moves = cause.faults.map((fault) => putRight(looking, fault));
  const thing = cause.cause === 'pitch stance' ? 'pitch' : THING_OF_FIGURE[cause.faults[0]!.figure];
  const step = stepOf(looking, cause, thing, moves);
  const single = step && thing === 'pitch' && step.moves.length === 1;
  return single ? { ...step, thing: THING_OF_FIGURE[step.moves[0]!.figure] } : step;
}

const PUT_RIGHT_WHOLE: readonly CauseName[] = ['pitch stance', 'out of band'];

/** What a coach may do about a cause, in the order in which it is thought of; what may not be done is left out. */
export function* stepsFor(looking: Looking, cause: Cause): Generator<Step> {
  const { standing } = looking;
  if (PUT_RIGHT_WHOLE.includes(cause.cause) || cause.faults.length > 1) {
    const step = faultStep(looking, cause);
    if (step) yield step;
    return;
  }
  for (const row of rowsOf(standing, cause)) {
    const target = targetOf(standing, row);
    const step = target === null ? null : reached(looking, cause, row, target);
    if (step) yield step;
  }
  const cue = CUES[cause.cause];
  const said =
    cue &&
    !standing.given.cued.includes(cue) &&
    (cause.cause !== 'trail knee outside' || cause.item === null);
  if (said) yield { cause, thing: cue, moves: [] };
  const step = cause.faults.length > 0 ? faultStep(looking, cause) : null;
  if (step) yield step;
}

/** Whether a coach may do anything about a cause. */
const mayBeHelped = (looking: Looking, cause: Cause): boolean =>
  !isForMeasuring(looking.standing, cause) && stepsFor(looking, cause).next().done !== true;

/** A case as it is looked at for what may be done: what it must not be asked for is worked out once. */
export function lookingAt(standing: Standing, told: ToldPath | null): Looking {
  return {
    standing,
    forbidden: forbiddenIn(standing),
    pathWaits: pathWaits(standing.given, told),
    before: standing,
    moved: [],
  };
}

/** Causes that stay until what they measure is enough; the others are answered by one thing. */
const MEASURED: readonly CauseName[] = ['trail leg back', 'lead leg back', 'lead leg through', 'out of band'];
/** What is seen in the swing that a move answers, whatever it was made for. */
const ANSWERED_BY: Partial<Record<string, readonly TellTale[]>> = {
  'stanceWidth less': ['falls back', 'sways', 'slides without turning'],
  'leadFlare more': ['lead foot spins out'],
};

/** Path and pressure drag each other: where a mat told the one and shots the other, they are worked at one at a time. */
const pathWaits = (given: Case, told: ToldPath | null): boolean =>
  !!given.pressure && isByMat(given.pressure) && !given.cued.includes('pressure') && told !== null;

/** A plan with the causes that are left once it is done. */
export interface Plan {
  steps: readonly Step[];
  /** What stops the student today, in order. */
  causes: readonly Cause[];
  left: readonly Cause[];
  /** A turn is measured before a foot is moved for it. */
  measureTurn: boolean;
}

const NO_STEPS: readonly Step[] = [];

function answeredBy(answered: Answered, { cause: { cause }, moves }: Step): Answered {
  const tales = moves.flatMap(
    ({ figure, from, to }) => ANSWERED_BY[`${figure} ${to > from ? 'more' : 'less'}`] ?? [],
  );
  return {
    causes: MEASURED.includes(cause) ? answered.causes : [...answered.causes, cause],
    tellTales: [...answered.tellTales, ...tales],
    items: [...answered.items, ...itemsMoved(moves)],
  };
}

const sharesFigure = (steps: readonly Step[], { moves, thing }: Step): boolean =>
  steps.some(
    (done) =>
      done.thing === thing || done.moves.some(({ figure }) => moves.some((move) => move.figure === figure)),
  );

/** The next step of a plan; null where nothing is left that may be done. */
function nextStep(looking: Looking, causes: readonly Cause[], steps: readonly Step[]): Step | null {
  for (const cause of causes) {
    if (cause.cause === 'path' && looking.pathWaits) continue;
    if (isForMeasuring(looking.standing, cause)) continue;
    for (const step of stepsFor(looking, cause)) if (!sharesFigure(steps, step)) return step;
  }
  return null;
}

/** No more than two changes at once: of more nobody knows which one helped. */
const MOST_STEPS = 2;

/** Whether a cause is left: a figure that is out, a turn that is short, or something that may be done about it. */
const isOpen = (looking: Looking, cause: Cause): boolean =>
  cause.missing > 0 || cause.faults.length > 0 || mayBeHelped(looking, cause);

/**
 * A plan of one or two things: what is done about the cause that comes first, then about what that leaves short of it, else
 * about the next cause.
 * @param given the case
 * @param most steps; with one alone it is not looked for what is left
 * @returns the steps, today's causes and those that are left
 */
export function planOf(given: Case, most: number = MOST_STEPS): Plan {
  const standing = standingOf(given);
  const path = toldPath(given);
  const rules = lookingAt(standing, path);
  const causes = causesOf(standing, path);
  let steps = NO_STEPS;
  let answered = NOTHING_ANSWERED;
  let now = standing;
  let left: readonly Cause[] = causes;
  while (steps.length < most) {
    const step = nextStep({ ...rules, standing: now, moved: answered.items }, left, steps);
    if (!step) break;
    steps = [...steps, step];
    if (most === 1) break;
    answered = answeredBy(answered, step);
    now = standingOf(
      caseWith(
        given,
        steps.flatMap(({ moves }) => moves),
      ),
    );
    // What goes along with a foot that is moved is no new fault.
    const along = GOES_ALONG.filter((item) => !faultOf(standing, item));
    const items = [...answered.items, ...along];
    left = causesOf(now, toldAfter(given, path, now.given.setup), { ...answered, items });
  }
  return {
    steps,
    causes,
    left:
      most === 1
        ? []
        : left.filter((cause) => isOpen({ ...rules, standing: now, moved: answered.items }, cause)),
    measureTurn: causes.some((cause) => isForMeasuring(standing, cause)),
  };
}
