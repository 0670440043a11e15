/**
 * What stops a student: one mechanism with a sign and its evidence each. Figures that are out of their bands come first
 * within a concern, from the ground up; what the feet do not show, but legs, swing or shots do, comes behind them.
 */
import { postingLimit, travelToPost } from '../method';
import { MORE_TURN } from '../reading';
import { FIGURES, ITEMS, type Item, type TellTale } from '../setup';
import { TURN_STEP } from './allowed';
import { BUMP, USUAL } from './moves';
import { faceFirst, type ToldPath } from './pathTold';
import { askedAbout, inOrder } from './signs';
import { comesAlong, faultOf, figureOfItem, valueOf, type Fault, type Standing } from './standing';
import { TURNS, type StopName, type Turn } from '../turn';
import { asksTurn, shortTurns } from './turns';
import type { CauseName, Concern, ToldCause } from './types';

/** A cause with what it is about, and what else goes by it. */
export interface Cause extends ToldCause {
  concern: Concern;
  /** Everything that it may be the answer to. */
  answers: readonly Concern[];
  /** The item that is out; null where none is. */
  item: Item | null;
  /** Degrees of turn that are missing, where a leg stops it. */
  missing: number;
  /** A stop that rests on a starting give alone. */
  onGive: boolean;
  /** All the faults of a stance that is put right as one. */
  faults: readonly Fault[];
}

/** What a plan has already answered, so that it is not a cause any more. */
export interface Answered {
  causes: readonly CauseName[];
  tellTales: readonly TellTale[];
  /** Items that were moved: where they end is the plan's, and no fault of its own. */
  items: readonly Item[];
}

export const NOTHING_ANSWERED: Answered = { causes: [], tellTales: [], items: [] };

/** What a figure out of its band may be the answer to, besides its own part of the body (common practice, no source). */
const ANSWERS: Partial<Record<Item, Partial<Record<'more' | 'less', readonly Concern[]>>>> = {
  stanceWidth: { more: ['posting'] },
  leadFlare: { less: ['turn through'], more: ['turn back'] },
  trailFlare: { less: ['turn back'], more: ['too much turn'] },
  stanceLine: { less: ['turn back', 'path'], more: ['turn through', 'too much turn', 'path'] },
  ballAlong: { more: ['ball', 'path'], less: ['ball', 'path'] },
  leadHeelToe: { more: ['path'] },
  trailHeelToe: { more: ['turn back'] },
  hipBump: { more: ['posting'], less: ['posting'] },
  trailKneeInside: { less: ['posting'] },
  shoulderLine: { less: ['path'], more: ['path'] },
  clubFace: { less: ['path'], more: ['path'] },
  trailKneeBack: { less: ['turn back'] },
};

/** Where an item is looked at when it answers nothing else: its part, and for load and ball their own. */
const ownConcern = (item: Item): Concern => {
  if (item === 'leadShare' || item === 'leadHeelToe' || item === 'trailHeelToe') return 'load';
  return item === 'ballAlong' || item === 'ballOut' ? 'ball' : FIGURES[item].part;
};

/** What finding causes takes along. */
interface Looking {
  standing: Standing;
  asked: ReadonlySet<Concern>;
  told: ToldPath | null;
  tellTales: readonly TellTale[];
  /** From so much on a turn counts as short: less where the student came for it. */
  least: number;
}

const sees = ({ tellTales }: Looking, ...any: readonly TellTale[]): boolean =>
  any.some((tale) => tellTales.includes(tale));

/** The path only goes with a figure that bends it the way it goes. */
function bendsPath({ item, off }: Fault, told: ToldPath | null): boolean {
  if (!told) return false;
  if (item === 'clubFace') return true;
  const across = item === 'leadHeelToe' ? off === 'more' : off === 'less';
  return told.value < 0 === across;
}

/** What a fault may be the answer to in this case. */
function answersOf(fault: Fault, { told, standing }: Looking): Concern[] {
  const turns = asksTurn(standing.given);
  const listed = ANSWERS[fault.item]?.[fault.off] ?? [];
  return listed.filter((concern) => {
    if (concern === 'path') return bendsPath(fault, told);
    return turns || !(concern === 'turn back' || concern === 'turn through');
  });
}

/** How much of a turn a leg leaves short, where the judgement goes by it; 0 where it is enough. */
const shortBy = ({ standing, least }: Looking, turn: Turn, name: StopName): number =>
  shortTurns(standing, turn, least).find((each) => each.name === name)?.missing ?? 0;

/** Whether a turn back is worked at at all: it was asked about, or a leg stops it. */
const worksBack = ({ standing, asked, least }: Looking): boolean =>
  asksTurn(standing.given) && (asked.has('turn back') || shortTurns(standing, 'back', least).length > 0);

/** A mechanism that a figure out of its band is evidence of, and when. */
interface Named {
  cause: CauseName;
  when: (looking: Looking) => boolean;
  /** The leg that it is about. */
  leg?: readonly [Turn, StopName];
}

/** What each figure out of its band is, by which way it is out, where there is evidence of a mechanism. */
const NAMES: Readonly<Record<string, Named>> = {
  'trailFlare less': { cause: 'trail leg back', when: () => true, leg: ['back', 'trail back'] },
  'leadFlare more': { cause: 'lead leg back', when: () => true, leg: ['back', 'lead back'] },
  'leadFlare less': { cause: 'lead leg through', when: () => true, leg: ['through', 'lead through'] },
  'stanceLine less': {
    cause: 'open line',
    when: (looking) => worksBack(looking) && valueOf(looking.standing, 'stanceLine')! < 0,
  },
  'stanceLine more': {
    cause: 'closed line',
    when: ({ standing }) => valueOf(standing, 'stanceLine')! > 0,
    leg: ['through', 'lead through'],
  },
  'stanceWidth more': {
    cause: 'too wide to post',
    when: (looking) =>
      tooFarToPost(looking.standing) || sees(looking, 'falls back', 'slides without turning', 'sways'),
  },
  'hipBump less': {
    cause: 'hips central',
    when: (looking) => sees(looking, 'sways', 'slides without turning'),
  },
  'hipBump more': { cause: 'hips pushed', when: () => true },
  'trailKneeInside less': {
    cause: 'trail knee outside',
    when: (looking) => sees(looking, 'sways', 'slides without turning', 'trail foot rolls outside'),
  },
  'trailHeelToe more': {
    cause: 'trail toes loaded',
    when: ({ standing, asked }) => asked.has('turn back') && asksTurn(standing.given),
  },
  'trailKneeBack less': { cause: 'trail knee stuck', when: ({ asked }) => asked.has('turn back') },
};

/** The name of a fault: a mechanism where there is evidence of one, else that it is out of its band. */
function nameOf({ item, off }: Fault, looking: Looking): { cause: CauseName; missing: number } {
  const named = NAMES[`${item} ${off}`];
  const missing = named?.leg ? shortBy(looking, ...named.leg) : 0;
  const is = named && named.when(looking) && (!named.leg || missing > 0);
  return { cause: is ? named.cause : 'out of band', missing };
}

/** Of what a fault may answer, the concern it is looked at under: one that was asked about, else a turn that is short. */
function concernOf(
  cause: CauseName,
  answers: readonly Concern[],
  own: Concern,
  asked: ReadonlySet<Concern>,
): Concern {
  const order = inOrder(asked);
  const first = [...answers]
    .filter((each) => asked.has(each))
    .sort((a, b) => order.indexOf(a) - order.indexOf(b))[0];
  if (first && !(asked.has(own) && order.indexOf(own) < order.indexOf(first))) return first;
  return MECHANISM_CONCERN[cause] ?? own;
}

/** Mechanisms by their own name stand under these; the rest under the part that is out. */
const MECHANISM_CONCERN: Partial<Record<CauseName, Concern>> = {
  'trail leg back': 'turn back',
  'lead leg back': 'turn back',
  'open line': 'turn back',
  'trail knee stuck': 'turn back',
  'trail toes loaded': 'turn back',
  'stiff joint': 'turn back',
  'lead leg through': 'turn through',
  'closed line': 'turn through',
  'lead foot spins out': 'turn through',
  'trail heel stuck': 'turn through',
  'sore joint': 'sparing',
  'too wide to post': 'posting',
  'hips central': 'posting',
  'trail knee outside': 'posting',
  'turns too far': 'too much turn',
  'load felt': 'load',
  pressure: 'pressure',
  path: 'path',
  // What is out of its band is put right first: that may be all.
  'face first': 'swing',
  'too much loft': 'loft',
};

/** How far the lead hip has to go beyond what it should, or the feet stand wider than this student was found to post. */
export function tooFarToPost(standing: Standing): boolean {
  const { given } = standing;
  const width = valueOf(standing, 'stanceWidth');
  if (width === undefined || given.shot === 'pitch') return false;
  if (given.widest !== null) return width > given.widest + FIGURES.stanceWidth.justNoticeable;
  const bump = valueOf(standing, 'hipBump') ?? 0;
  return travelToPost(given.build, width, bump) > postingLimit(given.club);
}

const NO_FIGURE = { figure: null, off: null, item: null, missing: 0, onGive: false, faults: [] } as const;

/** A mechanism that no figure out of its band shows. */
const mechanism = (cause: CauseName, over: Partial<Cause> = {}): Cause => {
  const concern = over.concern ?? MECHANISM_CONCERN[cause]!;
  return { cause, concern, answers: [concern], ...NO_FIGURE, ...over };
};

/** What of a stance under a pitch is a full swing's: wide, the trail foot out, the weight not forward. */
const FULL_SWING_PARTS: readonly [Item, 'more' | 'less'][] = [
  ['stanceWidth', 'more'],
  ['trailFlare', 'more'],
  ['leadShare', 'less'],
];

/** What a pitch that is struck badly is asked about. */
const STRIKE: readonly Concern[] = ['posting', 'load', 'ball'];

const isFullSwing = ({ item, off }: Fault): boolean =>
  FULL_SWING_PARTS.some(([each, way]) => each === item && way === off);

const onPitch = ({ given }: Standing, fault: Fault): boolean => given.shot === 'pitch' && isFullSwing(fault);

/** The faults of a case, from the ground up, those that come along with another left out. */
const faultsIn = (standing: Standing): Fault[] =>
  ITEMS.flatMap((item) => faultOf(standing, item) ?? []).filter((fault) => !comesAlong(standing, fault));

const told = ({ item, figure, off }: Fault) => ({ item, figure, off });

/** Two faults or more of a full swing's stance under a pitch are one cause, and put right as one. */
function pitchCauses(faults: readonly Fault[]): { packaged: Cause[]; rest: readonly Fault[] } {
  const parts = faults.filter(isFullSwing);
  if (parts.length < 2) return { packaged: [], rest: faults };
  const { item, figure, off } = parts[0]!;
  const cause = mechanism('pitch stance', { concern: 'feet', item, figure, off, faults: parts });
  return {
    packaged: [{ ...cause, answers: [...STRIKE, 'feet'] }],
    rest: faults.filter((each) => !parts.includes(each)),
  };
}

/** Figures that are out of their bands, as causes. */
function faultCauses(looking: Looking, moved: readonly Item[]): Cause[] {
  const { standing, asked } = looking;
  const all = faultsIn(standing).filter(({ item }) => !moved.includes(item));
  const { packaged, rest } = standing.given.shot === 'pitch' ? pitchCauses(all) : { packaged: [], rest: all };
  const singles = rest.map((fault): Cause => {
    const { cause, missing } = nameOf(fault, looking);
    const answers = [...answersOf(fault, looking), ...(onPitch(standing, fault) ? STRIKE : [])];
    const own = ownConcern(fault.item);
    const concern = concernOf(cause, answers, own, asked);
    return {
      ...mechanism(cause, { concern, missing }),
      ...told(fault),
      answers: [...answers, own, concern],
      faults: [fault],
    };
  });
  return [...packaged, ...together(singles)];
}

/** Loads along both feet that are off the same way are one cause: both feet are rocked. */
function together(causes: readonly Cause[]): Cause[] {
  const lead = causes.find(({ item }) => item === 'leadHeelToe');
  const trail = causes.find(({ item }) => item === 'trailHeelToe');
  if (!lead || !trail || lead.off !== trail.off) return [...causes];
  const both: Cause = {
    ...lead,
    cause: trail.cause,
    concern: trail.concern === 'turn back' ? trail.concern : lead.concern,
    answers: [...lead.answers, ...trail.answers],
    faults: [...lead.faults, ...trail.faults],
  };
  return causes.flatMap((each) => (each === lead ? both : each === trail ? [] : each));
}

/** What each leg that stops a turn is called, and how its foot stands for it. */
const LEG_STOPS = {
  'trail back': { cause: 'trail leg back', figure: 'trailFlare', off: 'less' },
  'lead back': { cause: 'lead leg back', figure: 'leadFlare', off: 'more' },
  'lead through': { cause: 'lead leg through', figure: 'leadFlare', off: 'less' },
} as const;

/** Legs that stop a turn with feet in their bands. */
const legCauses = ({ standing, least }: Looking): Cause[] =>
  TURNS.flatMap((turn) =>
    shortTurns(standing, turn, least).map(({ name, missing, onGive }) => {
      const { cause, figure, off } = LEG_STOPS[name as keyof typeof LEG_STOPS];
      return mechanism(cause, { missing, onGive, item: figure, figure, off });
    }),
  );

/** A figure that a mechanism is about. */
const about = (item: Item, off: 'more' | 'less'): Partial<Cause> => ({
  item,
  figure: figureOfItem(item),
  off,
});

/** A sway or a slide with the hips left in the middle. */
function hipsCentral(looking: Looking): Cause[] {
  const hips = valueOf(looking.standing, 'hipBump');
  const drifts = sees(looking, 'sways', 'slides without turning');
  const central = hips !== undefined && BUMP - hips >= FIGURES.hipBump.justNoticeable;
  return drifts && central ? [mechanism('hips central', about('hipBump', 'less'))] : [];
}

/** A trail knee outside its foot where somebody sways, slides or rolls; unmeasured it is only said of a sway or a roll. */
function kneeOutside(looking: Looking): Cause[] {
  const knee = valueOf(looking.standing, 'trailKneeInside');
  const rolls = sees(looking, 'trail foot rolls outside');
  const drifts = sees(looking, 'sways', 'slides without turning');
  const outside = knee === undefined ? rolls || sees(looking, 'sways') : knee < USUAL.trailKneeInside.low;
  if (!outside || !(rolls || drifts)) return [];
  const concern = rolls && !drifts ? ({ concern: 'knees' } as const) : {};
  return [
    mechanism('trail knee outside', {
      ...(knee !== undefined && about('trailKneeInside', 'less')),
      ...concern,
    }),
  ];
}

/** A trail knee that stays bent going back, where the student came for the turn. */
function kneeStuck({ standing, asked }: Looking): Cause[] {
  const back = valueOf(standing, 'trailKneeBack');
  const stuck = back !== undefined && back < USUAL.trailKneeBack.low && asked.has('turn back');
  return stuck ? [mechanism('trail knee stuck', about('trailKneeBack', 'less'))] : [];
}

/** Somebody who falls back, or drifts from a stance that is too far to post on. */
function tooWide(looking: Looking): Cause[] {
  const drifts = tooFarToPost(looking.standing) && sees(looking, 'sways', 'slides without turning');
  return drifts || sees(looking, 'falls back')
    ? [mechanism('too wide to post', about('stanceWidth', 'more'))]
    : [];
}

/** What is seen in the swing and no figure out of its band shows yet. */
const seenCauses = (looking: Looking): Cause[] => [
  ...kneeStuck(looking),
  ...(sees(looking, 'trail heel stuck down') ? [mechanism('trail heel stuck')] : []),
  ...(sees(looking, 'lead foot spins out')
    ? [mechanism('lead foot spins out', about('leadFlare', 'less'))]
    : []),
  ...tooWide(looking),
  ...kneeOutside(looking),
  ...hipsCentral(looking),
];

/** Where the student was found to stand no wider, and does. */
const ownTestCauses = ({ standing }: Looking): Cause[] =>
  standing.given.widest !== null && tooFarToPost(standing)
    ? [mechanism('too wide to post', about('stanceWidth', 'more'))]
    : [];

/** How far the observed turn is beyond what the method has: something that is seen, or said. */
function turnsTooFar({ standing, tellTales }: Looking): boolean {
  const { bands, cameFor } = standing.given;
  const over = (['hipTurn', 'shoulderTurn'] as const).some((turn) => {
    const seen = valueOf(standing, turn);
    const band = bands.figures[turn];
    return seen !== undefined && !!band && seen - band.high >= TURN_STEP;
  });
  return over || cameFor.includes('turns too far') || tellTales.includes('loses the club at the top');
}

/** Weight that was felt at one end of the shoes, or that a tell-tale speaks of, and no figure says where it is. */
function loadCauses(looking: Looking): Cause[] {
  const { standing } = looking;
  const unknown =
    valueOf(standing, 'leadHeelToe') === undefined && valueOf(standing, 'trailHeelToe') === undefined;
  const told = sees(looking, 'stands up', 'flat, then steep', 'flips the hands');
  return unknown && (told || standing.given.feltUnder !== null) ? [mechanism('load felt')] : [];
}

/** What hurts and prefers a change of its own. */
function sparingCauses({ standing }: Looking): Cause[] {
  const { cautions, shot } = standing.given;
  const prefers = cautions.some(
    ({ withholds, limits, prefers: wanted }) =>
      (withholds.length > 0 || limits.length > 0) && wanted.length > 0,
  );
  return prefers && shot !== 'pitch' && !asksTurn(standing.given) ? [mechanism('sore joint')] : [];
}

/** A joint that is stiff and no more, where the student came for a turn or a tested leg stops it. */
function stiffCauses({ standing, asked }: Looking): Cause[] {
  const { cautions } = standing.given;
  const prefers = cautions.some(({ prefers: wanted }) =>
    wanted.some(({ item, by }) => MORE_TURN.some((each) => each.item === item && each.by === by)),
  );
  return prefers && asksTurn(standing.given) && asked.has('turn back') ? [mechanism('stiff joint')] : [];
}

/** Fat and thin pitches with a lofted club: less loft is the plainer choice. */
function loftCauses({ standing }: Looking): Cause[] {
  const { cameFor, shot, club } = standing.given;
  const lofted = club === 'gap-wedge' || club === 'sand-wedge' || club === 'lob-wedge';
  const struck = cameFor.includes('fat') || cameFor.includes('thin');
  return shot === 'pitch' && lofted && struck
    ? [{ ...mechanism('too much loft'), answers: [...STRIKE, 'loft'] as const }]
    : [];
}

/** What shots, a mat or the flight tell. */
function pathCauses({ standing, told: path }: Looking): Cause[] {
  const { given } = standing;
  const off = path && Math.abs(path.value) >= 1;
  return [
    ...(off
      ? [mechanism('path', { item: 'stanceLine', figure: 'setback', off: path.value < 0 ? 'less' : 'more' })]
      : []),
    ...(faceFirst(given, path) ? [mechanism('face first')] : []),
    ...(given.pressure ? [mechanism('pressure')] : []),
  ];
}

/** On a pitch the goals reverse on purpose: what is of the full swing is no cause of one. */
const NOT_ON_PITCHES: readonly Concern[] = [
  'turn back',
  'turn through',
  'posting',
  'too much turn',
  'pressure',
  'path',
];

/**
 * What stops a student, what they came for first, then from the ground up.
 * @param standing the case
 * @param path as it is told, with what a plan has bent of it already
 * @param answered what a plan has answered already
 * @returns the causes in the order in which they are worked at
 */
export function causesOf(
  standing: Standing,
  path: ToldPath | null,
  { causes: done, tellTales: gone, items: moved }: Answered = NOTHING_ANSWERED,
): Cause[] {
  const { given } = standing;
  const asked = askedAbout(given, path !== null);
  const looking: Looking = {
    standing,
    asked,
    told: path,
    tellTales: (given.setup.posture?.tellTales ?? []).filter((tale) => !gone.includes(tale)),
    least: asked.has('turn back') || asked.has('turn through') ? TURN_STEP / 2 : TURN_STEP,
  };
  const faults = faultCauses(looking, moved);
  const behind = [
    ...seenCauses(looking),
    ...legCauses(looking),
    ...stiffCauses(looking),
    ...sparingCauses(looking),
    ...ownTestCauses(looking),
    ...(turnsTooFar(looking) ? [mechanism('turns too far')] : []),
    ...loadCauses(looking),
    ...pathCauses(looking),
    ...loftCauses(looking),
  ].filter(({ cause }) => !faults.some((fault) => fault.cause === cause));
  const order = inOrder(asked);
  const left =
    given.shot === 'pitch' ? behind.filter(({ concern }) => !NOT_ON_PITCHES.includes(concern)) : behind;
  return [...faults, ...left]
    .filter(({ cause }) => !done.includes(cause) || cause === 'out of band')
    .sort((a, b) => order.indexOf(a.concern) - order.indexOf(b.concern));
}
