/**
 * The laws that every judgement keeps, each as a check of one drawn case: it answers with what is broken, and nothing where
 * the law holds. The tests draw some hundreds of each, the bench thousands.
 */
import {
  BAG,
  bandsFor,
  canPitch,
  cautionsOf,
  evenLegs,
  FIGURES,
  figureOf,
  ITEMS,
  JOINTS,
  judge,
  MEASURED_BEFORE,
  NOT_LOOKED_AT,
  personalPath,
  PLACED_FIGURES,
  seeded,
  setupAsTaught,
  usualBody,
  USUAL_GOAL,
  withFigure,
  withMeasured,
  type Case,
  type CautionFact,
  type Item,
  type Judgement,
  type Setup,
  type TellTale,
} from '..';
import { caseOf, measuredAgain, NOTHING_MORE, setupWith, type Judged } from '../advice';
import { endsOf, furtherOut, standingOf, valueOf } from '../advice/standing';
import { clubById } from '../club';
import { agreedFigures, questionOf, taughtFigure, type AgreedFigure, type HouseMethod } from '../method';
import { PRESETS } from '../method/presets';
import { normals } from '../statistics';
import { drawnJudged, methodNamed } from './adviceCases';
import { notSo } from './adviceWords';

export type Random = () => number;

/** A judgement of a case without drawn chances; the laws are tried on broken ones too. */
export type Judging = (given: Case) => Judgement;

const JUDGED: Judging = (given) => judge(given, 0);

export const pick = <Value>(random: Random, values: readonly Value[]): Value =>
  values[Math.floor(random() * values.length)]!;

const METHODS: readonly HouseMethod[] = PRESETS.map(({ key }) => methodNamed(key));

/** A usual body standing at every taught figure of a school with a club, all of it taped, and what is known of it. */
export interface TaughtCase {
  judged: Judged;
  name: string;
}

/** Every figure at what its band asks for, feet and posture, taped. */
function standAsTaught(method: HouseMethod, judged: Pick<Judged, 'build' | 'legs' | 'played'>): Setup {
  const body = { build: judged.build, legs: judged.legs };
  const { figures } = bandsFor(method, body, judged.played);
  const feet = withMeasured(
    { ...setupAsTaught(method, body, judged.played), measured: MEASURED_BEFORE },
    PLACED_FIGURES,
    'tape',
  );
  return ITEMS.filter(
    (item) => (item in FIGURES && FIGURES[item].part !== 'feet') || item === 'hipGap',
  ).reduce((setup, item) => {
    const band = figures[questionOf(item)];
    return band ? withFigure(setup, item, taughtFigure(band)) : setup;
  }, feet);
}

export function drawnTaught(random: Random, fullOnly = false): TaughtCase {
  const method = pick(random, METHODS);
  const club = pick(random, BAG).id;
  const shot = !fullOnly && canPitch(club) && random() < 0.3 ? ('pitch' as const) : ('full' as const);
  const played = { club, shot, clubLengthInches: clubById(club).lengthInches };
  const heightCm = Math.round(150 + 50 * random());
  const legs = { ...evenLegs(40, 45, 0), naturalToeOut: null };
  const { build } = usualBody(heightCm, pick(random, ['man', 'woman'] as const), legs);
  const hand = pick(random, ['right', 'left'] as const);
  const setup = standAsTaught(method, { build, legs, played });
  return {
    judged: {
      ...NOTHING_MORE,
      setup,
      played,
      method,
      build,
      legs,
      hand,
      facts: [],
      cautions: [],
      goal: USUAL_GOAL,
      cameFor: [],
      path: personalPath([], played.clubLengthInches),
      pathSimulated: false,
    },
    name: `${method.name}, ${club} ${shot}, ${heightCm} cm, ${hand}-handed`,
  };
}

const told = ({ before, things, waits, lookNext }: Judgement): string =>
  [
    ...before,
    ...things.map(
      ({ thing, cause, moves }) =>
        `${thing} for ${cause} (${moves.map(({ figure, from, to }) => `${figure} ${from.toFixed(1)} to ${to.toFixed(1)}`).join(', ')})`,
    ),
    ...waits.map(({ cause, figure }) => `waits: ${cause} ${figure ?? ''}`),
    ...(lookNext ? [`look: ${lookNext}`] : []),
  ].join('; ') || 'nothing';

/** 1. A usual body that stands as taught is left as it is. */
export function asTaughtIsLeft(random: Random, judging: Judging = JUDGED): string | null {
  const { judged, name } = drawnTaught(random);
  const said = told(judging(caseOf(judged)));
  return said === 'nothing' ? null : `${name}: ${said}`;
}

/** Two steps beyond a band, by unit. */
const TWO_STEPS = { mm: 20, degrees: 10, percent: 10 } as const;

/** Items that a coach sets. */
const SET: readonly Item[] = ITEMS.filter((item) => !['hipGap', 'hipTurn', 'shoulderTurn'].includes(item));

/** A setup with one item put somewhere and the line and the ball set again to where they were. */
function withOneWrong(setup: Setup, item: Item, value: number): Setup {
  const kept = (['stanceLine', 'ballAlong', 'ballOut'] as const).filter((each) => each !== item);
  return kept.reduce(
    (made, each) => withFigure(made, each, figureOf(setup, each)!),
    withFigure(setup, item, value),
  );
}

const moved = (item: Item): string => (item === 'stanceLine' ? 'setback' : item);

/** A dose of each figure, within which a move ends. */
const doseOf = (item: Item): number => (item === 'stanceLine' ? 2 : FIGURES[item].unit === 'mm' ? 10 : 5);

/** 2. One figure out by two steps is that figure, toward its band, ending at what is taught, and nothing else. */
export function oneWrongIsThatOne(random: Random, judging: Judging = JUDGED): string | null {
  const { judged, name } = drawnTaught(random);
  const given = caseOf(judged);
  const item = pick(
    random,
    SET.filter((each) => endsOf(standingOf(given), each)),
  );
  const { low, high, aim } = endsOf(standingOf(given), item)!;
  const up = random() < 0.5;
  const value = up ? high + TWO_STEPS[FIGURES[item].unit] : low - TWO_STEPS[FIGURES[item].unit];
  const { least, most } = FIGURES[item].range;
  if (value < least || value > most) return null;
  const setup = withOneWrong(judged.setup, item, value);
  const judgement = judging(caseOf({ ...judged, setup }));
  const [thing, ...others] = judgement.things;
  const move = thing?.moves[0];
  const ends = figureOf(judgement.setup, item)!;
  const right =
    judgement.before.length === 0 &&
    others.length === 0 &&
    judgement.waits.length === 0 &&
    thing?.moves.length === 1 &&
    move?.figure === moved(item) &&
    Math.abs(ends - aim) <= doseOf(item) + 1e-6;
  return right
    ? null
    : `${name}: ${item} at ${value.toFixed(1)} of ${low.toFixed(1)} to ${high.toFixed(1)}: ${told(judgement)}`;
}

/** What is seen, and which way its remedies go. */
const SIGNS: Partial<Record<TellTale, readonly [Item, 1 | -1][]>> = {
  sways: [
    ['stanceWidth', -1],
    ['hipBump', 1],
    ['trailKneeInside', 1],
  ],
  'slides without turning': [
    ['stanceWidth', -1],
    ['hipBump', 1],
    ['trailKneeInside', 1],
  ],
  'falls back': [['stanceWidth', -1]],
  'stands up': [
    ['leadHeelToe', -1],
    ['trailHeelToe', -1],
  ],
  'lead foot spins out': [['leadFlare', 1]],
  'shoulders tip down, arms lift': [
    ['trailFlare', 1],
    ['stanceLine', 1],
  ],
  'loses the club at the top': [
    ['trailFlare', -1],
    ['stanceLine', -1],
  ],
};

/** 3. What is seen in the swing has a remedy with a direction, and no move goes the other way. */
export function signsAgree(random: Random, judging: Judging = JUDGED): string | null {
  const { judged, name } = drawnTaught(random, true);
  const tale = pick(random, Object.keys(SIGNS) as TellTale[]);
  const between = (least: number, most: number) => least + (most - least) * random();
  const feet = [
    ['stanceWidth', figureOf(judged.setup, 'stanceWidth')! + between(-80, 140)],
    ['leadFlare', between(0, 35)],
    ['trailFlare', between(0, 35)],
    ['hipBump', between(-20, 30)],
    ['trailKneeInside', between(-40, 30)],
    ['leadHeelToe', between(30, 75)],
    ['trailHeelToe', between(30, 75)],
  ] as const;
  const drawn = feet.reduce(
    (setup, [item, value]) => (random() < 0.5 ? withFigure(setup, item, value) : setup),
    judged.setup,
  );
  const setup = {
    ...drawn,
    posture: { ...(drawn.posture ?? NOT_LOOKED_AT), tellTales: [tale] },
  };
  const given = caseOf({ ...judged, setup });
  const judgement = judging(given);
  const figures = judgement.things.flatMap(({ moves }) => moves.map(({ figure }) => isLine(figure)));
  const against = SIGNS[tale]!.filter(([item, sign]) => {
    if (!figures.includes(item)) return false;
    // A line is closed or opened by the trail foot; what else is moved turns it a little.
    const figure = item === 'stanceLine' ? 'setback' : item;
    const [from, to] = [figureOf(given.setup, figure), figureOf(judgement.setup, figure)];
    const ends = item === 'stanceLine' ? null : endsOf(standingOf(given), item);
    // What is beyond its band on the remedy's far side has been overdone.
    const overdone = ends && from !== undefined && (sign > 0 ? from > ends.high : from < ends.low);
    const by = from === undefined || to === undefined ? 0 : (to - from) * sign;
    return !overdone && by < -FIGURES[item].justNoticeable / 2;
  });
  return against.length === 0
    ? null
    : `${name}, ${tale}: ${against.map(([item]) => item).join(', ')} the other way: ${told(judgement)}`;
}

/** Moves of a judgement as items, with where each ends. */
const itemsIn = (given: Case, judgement: Judgement) =>
  ITEMS.flatMap((item) => {
    const [from, to] = [valueOf(standingOf(given), item), figureOf(judgement.setup, item)];
    return from === undefined || to === undefined || Math.abs(to - from) < 1e-6 ? [] : [{ item, from, to }];
  });

/** 4. No figure leaves its band or goes further out but as a choice that is told; width serves no line, path or turn. */
export function makesNoFault(random: Random, judging: Judging = JUDGED): string | null {
  const given = caseOf(drawnJudged(random));
  const judgement = judging(given);
  const standing = standingOf(given);
  const choices = new Set<string>(judgement.partings.map(({ item }) => item));
  const out = itemsIn(given, judgement).filter(({ item, from, to }) => {
    const ends = endsOf(standing, item);
    const much = item === 'stanceLine' ? 1 : 0.5 * FIGURES[item].justNoticeable;
    return ends && furtherOut(from, to, ends) > much && !choices.has(item);
  });
  const width = judgement.things.filter(
    ({ cause, moves }) =>
      moves.some(({ figure }) => figure === 'stanceWidth') &&
      !['too wide to post', 'pitch stance', 'out of band'].includes(cause),
  );
  const line = figureOf(judgement.setup, 'stanceLine')!;
  const lineWas = figureOf(given.setup, 'stanceLine')!;
  const { low = 0, high = 0 } = endsOf(standing, 'stanceLine') ?? {};
  const furthest = Math.max(10, Math.abs(low), Math.abs(high), Math.abs(lineWas)) + 1;
  const flares = (['leadFlare', 'trailFlare'] as const).filter((foot) => {
    const [from, to] = [figureOf(given.setup, foot)!, figureOf(judgement.setup, foot)!];
    return to > Math.max(45, from) + 1e-6;
  });
  const faults = [
    ...out.map(
      ({ item, from, to }) =>
        `${item} from ${from.toFixed(1)} to ${to.toFixed(1)} is a fault of its own: ${told(judgement)}`,
    ),
    ...width.map(({ cause }) => `width for ${cause}`),
    ...(Math.abs(line) > furthest ? [`line to ${line.toFixed(1)}: ${told(judgement)}`] : []),
    ...flares.map((foot) => `${foot} past its end`),
  ];
  return faults[0] ?? null;
}

/** 5. What hurts is asked for no more than today. */
export function sparesWhatHurts(random: Random, judging: Judging = JUDGED): string | null {
  const joint = pick(random, JOINTS);
  const facts: CautionFact[] = [
    {
      joint,
      side: pick(random, ['left', 'right', 'both'] as const),
      state: 'pain',
      since: '',
      clearedBy: '',
      notedOn: '2026-05-01',
      status: 'stands',
    },
  ];
  const drawn = drawnJudged(random);
  const judged = { ...drawn, facts, cautions: cautionsOf(facts, drawn.hand, false) };
  const given = caseOf(judged);
  const judgement = judging(given);
  const barred = given.cautions.flatMap(({ withholds }) => withholds);
  const asked = itemsIn(given, judgement).filter(({ item, from, to }) =>
    barred.some(
      (each) =>
        each.item === item &&
        (each.by === 'more' ? to - from : from - to) > (item === 'stanceLine' ? 1 : 1e-6),
    ),
  );
  const turns = judgement.things.filter(({ reason }) => reason === 'turn');
  const faults = [
    ...asked.map(({ item }) => `asks ${item}`),
    ...turns.map(({ thing }) => `${thing} for more turn`),
    ...(judgement.back || judgement.through ? ['a turn is asked'] : []),
    ...(judgement.before[0] === 'see a doctor' ? [] : ['no doctor first']),
  ];
  return faults.length === 0 ? null : `${joint} hurts: ${faults.join(', ')}: ${told(judgement)}`;
}

/** So many lessons are looked at one after the other: two figures each, and some to come to rest. */
const LESSONS = 12;

const isLine = (figure: string): Item => (figure === 'setback' ? 'stanceLine' : (figure as Item));

/** The first figure that a lesson moves against the way it was moved before; notes the ways of the others. */
function takenBack(
  { things, setup, leadHeelLift }: Judgement,
  taken: Setup,
  agreed: AgreedFigure[],
  ways: Map<string, number>,
): string | null {
  for (const { figure, from, to } of things.flatMap((thing) => thing.moves)) {
    const item = isLine(figure);
    const known = agreed.find((each) => each.item === item);
    const ends = figure === 'leadHeelLift' ? leadHeelLift : figureOf(setup, item)!;
    // A foot that is set so that the line stays where it was takes nothing anywhere.
    if (figure === 'setback' && Math.abs(ends - figureOf(taken, 'stanceLine')!) < 1) continue;
    // Brought back to what was agreed is not taken back.
    if (known && Math.abs(ends - known.to) <= doseOf(item)) continue;
    if ((ways.get(figure) ?? 0) * (to - from) < 0) return figure;
    ways.set(figure, Math.sign(to - from));
  }
  return null;
}

/** 6. Done, measured again within its ±, kept, and judged in the next lesson: nothing is taken back, and it ends. */
export function lessonAfterLesson(random: Random, judging: Judging = JUDGED): string | null {
  const first = drawnJudged(random);
  let { setup } = first;
  let tellTales = setup.posture?.tellTales;
  let agreed: AgreedFigure[] = [];
  const way = new Map<string, number>();
  const log: string[] = [];
  for (let lesson = 0; lesson < LESSONS; lesson += 1) {
    const seen = tellTales && setup.posture ? { ...setup, posture: { ...setup.posture, tellTales } } : setup;
    const taken =
      lesson === 0 ? seen : measuredAgain(caseOf({ ...first, setup: seen }), () => 2 * random() - 1).setup;
    const given = caseOf({ ...first, setup: taken, agreed });
    const judgement = judging(given);
    log.push(told(judgement));
    const moves = judgement.things.flatMap((thing) => thing.moves);
    const wrong = takenBack(judgement, taken, agreed, way);
    if (wrong) return `takes back ${wrong}: ${log.join(' | ')}`;
    if (moves.length === 0) return null;
    const lift = { from: given.leadHeelLift, to: judgement.leadHeelLift };
    const made = agreedFigures(taken, judgement.setup, lift, false);
    agreed = [...agreed.filter(({ item }) => !made.some((each) => each.item === item)), ...made];
    const { measured } = setup;
    setup = { ...setupWith(setup, moves), measured };
    // What was answered is not seen again.
    tellTales = tellTales && [];
  }
  return `does not end: ${log.join(' | ')}`;
}

/** 7. A left-hander is the same, in words too. */
export function mirrored(random: Random, judging: Judging = JUDGED): string | null {
  const judged = drawnJudged(random);
  const swapped = judged.hand === 'right' ? ('left' as const) : ('right' as const);
  const facts = judged.facts.map((fact) => ({
    ...fact,
    side: fact.side === 'left' ? ('right' as const) : fact.side === 'right' ? ('left' as const) : fact.side,
  }));
  const cameFor = judged.cameFor.map(
    (each) =>
      (each === 'starts left'
        ? 'starts right'
        : each === 'starts right'
          ? 'starts left'
          : each) as typeof each,
  );
  const growing = judged.cautions.some(({ caution }) => caution.startsWith('Junior'));
  const other = { ...judged, hand: swapped, facts, cameFor, cautions: cautionsOf(facts, swapped, growing) };
  const [one, two] = [told(judging(caseOf(judged))), told(judging(caseOf(other)))];
  return one === two ? null : `${judged.hand}: ${one}; ${swapped}: ${two}`;
}

/** 10. Where nothing was measured, measuring comes first, and nothing is moved, shots or not. */
export function nothingKnown(random: Random, judging: Judging = JUDGED): string | null {
  const judged = drawnJudged(random);
  const setup: Setup = { address: judged.setup.address, balance: judged.setup.balance, measured: {} };
  const judgement = judging(
    caseOf({
      ...judged,
      setup,
      pathSimulated: true,
      facts: [],
      cautions: [],
      cameFor: judged.cameFor.filter((each) => each !== 'sore'),
    }),
  );
  const moves = judgement.things.flatMap((thing) => thing.moves);
  const right = judgement.before[0] === 'measure the feet' && moves.length === 0;
  return right ? null : told(judgement);
}

/** 8. Measured again within its ±, legs too: whether the first thing stays, or was called a close call. */
export function staysOrIsClose(given: Case, random: Random): 'stays' | 'close call' | 'flips' {
  const firstOf = ({ before, things }: Judgement) => before[0] ?? things[0]?.thing ?? 'nothing';
  const now = judge(given);
  if (firstOf(judge(measuredAgain(given, normals(random)), 0)) === firstOf(now)) return 'stays';
  return now.closeCall ? 'close call' : 'flips';
}

/** 9. Every figure and every claim of a sentence is so. */
export function wordsAreSo(random: Random, judging: Judging = JUDGED): string | null {
  const given = caseOf(drawnJudged(random));
  const judgement = judging(given);
  const wrong = notSo(given, judgement);
  return wrong.length === 0 ? null : `${wrong.join(' ')} ${told(judgement)}`;
}

/** Each law by its number, as a check of one drawn case. */
export const LAWS: Readonly<Record<string, (random: Random, judging?: Judging) => string | null>> = {
  '1: a usual body that stands as taught is left as it is': asTaughtIsLeft,
  '2: one figure wrong is that figure, as taught, and nothing else': oneWrongIsThatOne,
  '3: what is seen in the swing has a remedy with a direction': signsAgree,
  '4: no fault is made, no end passed, and width serves no line, path or turn': makesNoFault,
  '5: what hurts is asked for no more than today': sparesWhatHurts,
  '6: lesson after lesson nothing is taken back, and it ends': lessonAfterLesson,
  '7: a left-hander is the same': mirrored,
  '9: every figure and claim of a sentence is so': wordsAreSo,
  '10: where nothing is known measuring comes first': nothingKnown,
};

const SEED = 20_261_201;

/** The drawn cases of a law that break it, always the same ones. */
export function broken(law: string, cases: number, judging?: Judging): string[] {
  const random = seeded(SEED);
  return Array.from({ length: cases }, () => LAWS[law]!(random, judging)).filter((each) => each !== null);
}
