import type { Build, BuildFigureName } from '../body';
import { arcOf, pathOnArc } from '../club';
import { SD_IN_95_PERCENT } from '../statistics/normalInterval';
import type { Body } from '../turn';
import { reachOf as legReachOf } from '../turn/stops';
import { InputError, degrees, radians } from '../units';
import type { Played } from './coverage';
import type { FigureQuestion } from './questions';
import type { Rule } from './rules';
import type { Answer } from './types';

/** What a finding is held against, in the question's own unit. */
export interface Band {
  low: number;
  middle: number;
  high: number;
  /** Build figures that are only estimated and made the band wider than the method's own. */
  widenedBy: BuildFigureName[];
  /** The legs decide the middle and have not been tested: a stand-in decides it. */
  untested: boolean;
  /** The ends are the student's own, tested or agreed; the middle is still the method's. Absent where they are the method's. */
  own?: true;
}

/**
 * What a band asks for: the figure that the method teaches, or the middle of a student's own band.
 * @param band low, middle and high, in the question's unit
 * @returns the figure, in the same unit
 * @example taughtFigure({ low: 25, middle: 30, high: 45, widenedBy: [], untested: false }) // 30
 */
export const taughtFigure = ({ low, middle, high, own }: Band): number => (own ? (low + high) / 2 : middle);

/**
 * The band a measured figure is held against: no narrower than what the measuring can tell apart.
 * @param band the method's band
 * @param uncertainty of the figure, in the band's unit
 * @returns the band with its ends at least so far from its middle
 */
export const noNarrower = (band: Band, uncertainty: number): Band => ({
  ...band,
  low: Math.min(band.low, taughtFigure(band) - uncertainty),
  high: Math.max(band.high, taughtFigure(band) + uncertainty),
});

/** A rule's middle as a weighted sum of build figures and a constant, so its error can follow. */
interface Middle {
  constant: number;
  weights?: Partial<Record<BuildFigureName, number>>;
  untested?: boolean;
}

/** What a rule may ask while it is evaluated; other questions' middles are worked out once. */
export interface RuleInput extends Played {
  body: Body;
  middleOf: (question: FigureQuestion) => number;
}

/** A value that moves with club length: linear between the marks, the nearest mark's beyond them. */
function alongMarks(marks: readonly { lengthInches: number; value: number }[], lengthInches: number): number {
  const first = marks[0]!;
  const last = marks[marks.length - 1]!;
  if (lengthInches <= first.lengthInches) return first.value;
  if (lengthInches >= last.lengthInches) return last.value;
  const upper = marks.findIndex((mark) => mark.lengthInches >= lengthInches);
  const from = marks[upper - 1]!;
  const to = marks[upper]!;
  const share = (lengthInches - from.lengthInches) / (to.lengthInches - from.lengthInches);
  return from.value + share * (to.value - from.value);
}

const MM_PER_INCH = 25.4;

/** The line through toes `marks` of the lead shoe apart in depth, at the method's own width and flares. */
function lineAtMarks(marks: number, { body, middleOf }: RuleInput): number {
  const { value: length } = body.build.shoeLength;
  const sine = (question: FigureQuestion) => Math.sin(radians(middleOf(question)));
  const apart = middleOf('stanceWidth') + length * (sine('leadFlare') + sine('trailFlare'));
  const back = marks * length * Math.cos(radians(middleOf('leadFlare')));
  return degrees(Math.atan2(back, apart));
}

const within = (value: number, least: number, most: number): number => Math.min(most, Math.max(least, value));

/** Closing that gives less than this asks for no line at all that could be stood in (starting value). */
const LEAST_CLOSING = 0.05;

/** How far the trail leg lets the hips turn back on a square foot: as measured turns have told, else its test and the give. */
function trailReach({ legs }: Body, give: number): number | null {
  if (!legs) return null;
  if (legs.reaches['trail back']) return legReachOf('trail back', legs)!.value;
  const test = legs.legs.turnIn.trail;
  return test && test.value + give;
}

type MiddleOf = { [Kind in Rule['kind']]: (rule: Extract<Rule, { kind: Kind }>, input: RuleInput) => Middle };

const noFigure = (): never => {
  throw new Error('a rule without a figure has no middle');
};

const MIDDLES: MiddleOf = {
  fixed: ({ value }) => ({ constant: value }),
  'by club': ({ values }, { club }) => {
    const value = values[club];
    if (value === undefined) throw new InputError(`values.${club}`, 'a figure for the club', 'nothing');
    return { constant: value };
  },
  'by club length': ({ marks }, { clubLengthInches }) => ({ constant: alongMarks(marks, clubLengthInches) }),
  'shoulders by club length': ({ marks, place }, { clubLengthInches, middleOf }) => {
    const asValues = marks.map(({ lengthInches, soleBreadths }) => ({ lengthInches, value: soleBreadths }));
    const soles = alongMarks(asValues, clubLengthInches);
    if (place === undefined) return { constant: 0, weights: { shoulderBreadth: 1, shoeBreadth: soles } };
    const [lead, trail] = [radians(middleOf('leadFlare')), radians(middleOf('trailFlare'))];
    return {
      constant: 0,
      weights: {
        shoulderBreadth: 1,
        shoeBreadth: (soles * (Math.cos(lead) + Math.cos(trail))) / 2,
        shoeLength: -place * (Math.sin(lead) + Math.sin(trail)),
      },
    };
  },
  hips: ({ share }) => ({ constant: 0, weights: { hipBreadth: share } }),
  'gap in club heads': ({ heads, headBreadth }) => ({
    constant: heads * headBreadth,
    weights: { shoeBreadth: 1 },
  }),
  'gap between shoes': ({ gap }) => ({ constant: gap, weights: { shoeBreadth: 1 } }),
  'leg test': ({ neededTurn, give, untested }, { body, middleOf }) => {
    const reach = trailReach(body, give);
    if (reach === null) return { constant: untested, untested: true };
    const lead = middleOf('leadFlare');
    const natural = Math.min(body.legs?.naturalToeOut?.trail ?? 0, lead);
    return { constant: within(neededTurn - reach, natural, lead) };
  },
  'what the legs lack': ({ neededTurn, give, most, untested }, { body, middleOf }) => {
    const reach = trailReach(body, give);
    if (reach === null) return { constant: untested, untested: true };
    const lacks = neededTurn - reach - middleOf('trailFlare');
    // The foot is dropped with its flare kept: a degree of that line is worth what closing gives, not one.
    const worth = Math.max(LEAST_CLOSING, body.legs!.closing.value);
    return { constant: within(lacks / worth, 0, most) };
  },
  'by the arc': ({ lowPointInside, pathPerDegree }, { clubLengthInches, middleOf }) => ({
    constant: -pathOnArc(arcOf(clubLengthInches), lowPointInside - middleOf('ballAlong')) / pathPerDegree,
  }),
  'marks of the lead shoe': ({ marks }, input) => ({ constant: lineAtMarks(marks, input) }),
  'share of the club': ({ share }, { clubLengthInches }) => ({
    constant: share * clubLengthInches * MM_PER_INCH,
  }),
  choice: noFigure,
  'no view': noFigure,
};

const middleOfRule = (rule: Rule, input: RuleInput): Middle =>
  (MIDDLES[rule.kind] as (rule: Rule, input: RuleInput) => Middle)(rule, input);

/** The 95% reach of the build figures behind a middle. */
function reachOf(used: readonly [BuildFigureName, number][], build: Build): number {
  const sd = Math.hypot(...used.map(([name, weight]) => weight * build[name].uncertainty));
  return SD_IN_95_PERCENT * sd;
}

/**
 * The band of an answer for a body and a club: the rule's middle, and the method's tolerance or
 * the 95% reach of the build figures behind the middle where that is wider. Ends are in the
 * question's unit and may lie beyond its human range: `bandsFor` keeps them within it.
 * @param answer the method’s rule and tolerance
 * @param input the body, club and shot
 * @returns low, middle and high, in the question’s unit
 */
export function bandOf(answer: Answer, input: RuleInput): Band {
  const { constant, weights = {}, untested = false } = middleOfRule(answer.rule, input);
  const { build } = input.body;
  const used = Object.entries(weights) as [BuildFigureName, number][];
  const middle = used.reduce((sum, [name, weight]) => sum + weight * build[name].value, constant);
  const reach = reachOf(used, build);
  const { below, above } = answer.tolerance;
  const wider = reach > below || reach > above;
  return {
    low: middle - Math.max(below, reach),
    middle,
    high: middle + Math.max(above, reach),
    untested,
    widenedBy: wider
      ? used
          .filter(([name, weight]) => weight !== 0 && build[name].source === 'estimated')
          .map(([name]) => name)
      : [],
  };
}
