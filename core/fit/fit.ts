import { type Setup, withFigure, FIGURES } from '../setup';
import { backLimit, modelOf, throughLimit, toeLineOf, type FitModel, type TurnedOn } from './model';
import { search, type Found } from './search';
import {
  MOVES,
  REQUIREMENTS,
  type Fit,
  type FitAnswer,
  type FitKind,
  type FitProblem,
  type Move,
  type Relaxation,
  type Requirement,
  type MoveName,
} from './types';
import { turnsSpared } from '../turn';
import type { Unit } from '../units';

/** How far beyond what is needed the turn goes, the worse way. */
const margin = (model: FitModel, on: TurnedOn, toeLine: number): number =>
  Math.min(
    backLimit(model, on, toeLine) - (model.back?.needed ?? 0),
    throughLimit(model, on, toeLine) - (model.through?.needed ?? 0),
  );

/** No more than one to three moves make an answer that a student can take home. */
const MOST_MOVES = 3;

/** The order in which an answer's moves are made: flares with their toes kept, trail foot alone, straight back. */
const MADE_IN_ORDER = [
  'leadFlare',
  'trailFlare',
  'stanceWidth',
  'setback',
  'ballAlong',
  'leadShare',
  'hipBump',
] as const satisfies readonly MoveName[];

/** A setup with an answer's values; what the answer leaves alone stays as it stands. */
const setupWith = (setup: Setup, today: FitModel['today'], values: Found['values']): Setup =>
  MADE_IN_ORDER.filter((move) => values[move] !== today[move]).reduce(
    (moved, move) => withFigure(moved, move, values[move]),
    setup,
  );

function answerOf(
  kind: FitKind,
  problem: FitProblem,
  model: FitModel,
  found: Found,
  unmet: Relaxation[] = [],
): FitAnswer {
  const { today, back, through } = model;
  const moves = MOVES.flatMap((move): Move[] => {
    const from = today[move];
    const to = found.values[move];
    return from === to ? [] : [{ move, from, to, size: Math.abs(to - from) / FIGURES[move].justNoticeable }];
  });
  const lines = { from: toeLineOf(model, today), to: toeLineOf(model, found.values) };
  const ends = (limit: typeof backLimit, needed: number) => ({
    from: limit(model, today, lines.from),
    to: limit(model, found.values, lines.to),
    needed,
  });
  return {
    kind,
    moves,
    size: found.size,
    setup: setupWith(problem.setup, today, found.values),
    unmet,
    leadHeelLift: found.values.leadHeelLift,
    back: back && ends(backLimit, back.needed),
    through: through && ends(throughLimit, through.needed),
  };
}

/** Two answers are one when no move of theirs differs by what can be noticed. */
const same = (a: Found, b: Found): boolean =>
  MOVES.every((move) => Math.abs(a.values[move] - b.values[move]) < FIGURES[move].justNoticeable);

/** The up to three answers that differ in kind: least change, most turn, easiest on the knees. */
function answersFor(problem: FitProblem, model: FitModel): FitAnswer[] {
  const least = search(model, { mostTogether: 5 });
  if (!least) return [];
  const mostTogether = Math.max(least.count, MOST_MOVES);
  const most = search(model, {
    primary: (on, toeLine) => -margin(model, on, model.closingGain === 0 ? 0 : toeLine()),
    mostTogether,
  });
  const easiest = search(model, {
    // The further out the lead foot is, the less it has to come round under the knee.
    primary: ({ leadFlare }) => -leadFlare,
    neverSquarer: true,
    mostTogether,
  });
  const kinds: [FitKind, Found | null][] = [
    ['fewest moves', least],
    ['most turn', most],
    ['easiest on the knees', easiest],
  ];
  const told: Found[] = [];
  return kinds.flatMap(([kind, found]) => {
    // The least change is told however many moves it takes; another kind is no use with more still.
    const tooMany = found !== least && (found?.count ?? 0) > MOST_MOVES + 1;
    if (!found || tooMany || told.some((each) => same(each, found))) return [];
    told.push(found);
    return [answerOf(kind, problem, model, found)];
  });
}

/**
 * The least change alone; null where nothing meets all of it.
 * @param problem the feet, body, goal, bands and pins
 * @returns the answer with its moves
 */
export function leastChange(problem: FitProblem): FitAnswer | null {
  const model = modelOf(problem);
  const found = search(model, { mostTogether: 5 });
  return found && answerOf('fewest moves', problem, model, found);
}

/** Relaxations are looked for in these steps and up to these, mm, degrees and percent (starting values). */
const RELAXED_BY: Record<Unit, { step: number; most: number }> = {
  mm: { step: 5, most: 400 },
  degrees: { step: 1, most: 60 },
  percent: { step: 2.5, most: 50 },
};

const unitOf = (requirement: Requirement): Unit =>
  requirement === 'turn back' || requirement === 'turn through' ? 'degrees' : FIGURES[requirement].unit;

/** What is relaxed, by requirement, mm, degrees or percent. */
type Relaxed = Partial<Record<Requirement, number>>;

/**
 * The least that one requirement has to give beside what is relaxed already; 0 where it need give
 * nothing, null where no answer is there even when it gives the most.
 */
function leastGiven(problem: FitProblem, requirement: Requirement, beside: Relaxed = {}): number | null {
  const { step, most } = RELAXED_BY[unitOf(requirement)];
  const possible = (steps: number) => {
    const model = modelOf(problem, { ...beside, [requirement]: steps * step });
    return search(model, { mostTogether: 5, any: true }) !== null;
  };
  if (possible(0)) return 0;
  let no = 0;
  let yes = Math.round(most / step);
  if (!possible(yes)) return null;
  // More room never takes an answer away, so the least is found by halving.
  while (yes - no > 1) {
    const middle = Math.floor((no + yes) / 2);
    if (possible(middle)) yes = middle;
    else no = middle;
  }
  return yes * step;
}

/**
 * What has to give together where nothing by itself would do: from all of it given, each requirement
 * is held to again as far as it can be, the turn last, since that is what a student can do without.
 */
function givenTogether(problem: FitProblem): Relaxed {
  const relaxed: Relaxed = Object.fromEntries(
    REQUIREMENTS.map((requirement) => [requirement, RELAXED_BY[unitOf(requirement)].most]),
  );
  for (const requirement of [...REQUIREMENTS].reverse()) {
    const { [requirement]: most, ...others } = relaxed;
    relaxed[requirement] = leastGiven(problem, requirement, others) ?? most!;
  }
  return relaxed;
}

const relaxationsOf = (relaxed: Relaxed): Relaxation[] =>
  REQUIREMENTS.flatMap((requirement) => {
    const by = relaxed[requirement] ?? 0;
    return by > 0 ? [{ requirement, by }] : [];
  });

/** The least change to the feet that come nearest to what is asked; null where pins leave none. */
function nearestOf(problem: FitProblem, least: Relaxation | undefined): FitAnswer | null {
  const relaxed = least ? { [least.requirement]: least.by } : givenTogether(problem);
  const found = search(modelOf(problem, relaxed), { mostTogether: 5 });
  return found && answerOf('the nearest to it', problem, modelOf(problem), found, relaxationsOf(relaxed));
}

const inNoticeable = ({ requirement, by }: Relaxation): number =>
  by / (unitOf(requirement) === 'mm' ? 10 : 5);

/** What a fit tells while it is at work: how much of the looking is done, 0 to 1. */
export type FitProgress = (done: number) => void;

/**
 * The least change that frees the turn: up to three answers that differ in kind, each with its
 * moves; or, where there is none, which requirement stands in the way, the least it would have to
 * give, and the feet that come nearest.
 * @param problem the feet, body, goal, bands and pins
 * @param progress told how much of the looking is done, 0 to 1
 * @returns the answers, or what would have to give
 */
export function fit(problem: FitProblem, progress: FitProgress = () => undefined): Fit {
  const model = modelOf(problem);
  const spared = turnsSpared(problem.body);
  const answers = answersFor(problem, model);
  if (answers.length > 0) return { answers, relaxations: [], nearest: null, spared };
  const relaxations = REQUIREMENTS.flatMap((requirement, at): Relaxation[] => {
    progress((at + 1) / (REQUIREMENTS.length + 2));
    const by = leastGiven(problem, requirement);
    return by === null ? [] : [{ requirement, by }];
  }).sort((a, b) => inNoticeable(a) - inNoticeable(b));
  return { answers, relaxations, nearest: nearestOf(problem, relaxations[0]), spared };
}
