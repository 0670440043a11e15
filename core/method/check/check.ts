import {
  setupAsTaught,
  asPlayed,
  bandsFor,
  CLUBS_AND_SHOTS,
  FIGURE_QUESTION_NAMES,
  FIGURE_QUESTIONS,
  QUESTIONS,
  MOST_TRAVEL_WITH_WOODS,
  travelToPost,
  USUAL_TRAVEL,
  type Bands,
  type FigureQuestion,
  type HouseMethod,
  type Played,
  type RuleKind,
} from '..';
import { clubById } from '../../club';
import { measureAddress } from '../../setup';
import type { Body } from '../../turn';
import { figureWithUnit } from '../../units';
import { TRIED_BODIES, type TriedBody } from './bodies';

/** Something wrong with, or unwise in, a method, with the cases in which it is. */
export interface CheckCase {
  question: FigureQuestion;
  what: string;
  /** Clubs and bodies it was found for, in the order they were tried. */
  clubs: string[];
  bodies: string[];
  /** Least and greatest height it was found for, cm. */
  heightsCm: [number, number];
}

export interface MethodCheck {
  /** Cannot be met: the method is refused. */
  refusals: CheckCase[];
  /** Can be met and is unwise for some: the method is kept. */
  warnings: CheckCase[];
}

type Found = { question: FigureQuestion; what: string };

/** A stance this wide for a body's height cannot be stood in (starting value). */
const WIDEST_OF_HEIGHT = 0.55;
const CLOSED_PAST_A_SHOE = 1;

const cm = (mm: number): string => figureWithUnit(mm, 'mm', 'cm');

/** Middles outside what the figure can be at all. */
function outsideRange(bands: Bands): Found[] {
  return FIGURE_QUESTION_NAMES.flatMap((question) => {
    const band = bands.figures[question];
    const { range, unit } = FIGURE_QUESTIONS[question];
    if (!band || (band.middle >= range.least && band.middle <= range.most)) return [];
    const words = (value: number) => figureWithUnit(value, unit, 'cm');
    return [
      {
        question,
        what: `expected ${words(range.least)} to ${words(range.most)}, found ${words(band.middle)}`,
      },
    ];
  });
}

/** Feet that cannot be placed as the answers ask together. */
function cannotStand(method: HouseMethod, { build, legs }: Body, played: Played): Found[] {
  const { address } = setupAsTaught(method, { build, legs }, played);
  const { gap, setbackMarks, stanceWidth } = measureAddress(address);
  const widest = WIDEST_OF_HEIGHT * build.height.value;
  return [
    ...(gap < 0
      ? [{ question: 'stanceWidth' as const, what: `the shoes would stand on each other by ${cm(-gap)}` }]
      : []),
    ...(stanceWidth > widest
      ? [
          {
            question: 'stanceWidth' as const,
            what: `expected at most ${cm(widest)}, the widest that this height can stand, found ${cm(stanceWidth)}`,
          },
        ]
      : []),
    ...(Math.abs(setbackMarks) > CLOSED_PAST_A_SHOE
      ? [
          {
            question: 'stanceLine' as const,
            what: `the trail toe would stand ${Math.abs(setbackMarks).toFixed(1)} shoes ${setbackMarks > 0 ? 'behind' : 'ahead of'} the lead toe; expected at most one`,
          },
        ]
      : []),
  ];
}

/** What a stance asks of the way to the post; null while it is within half a hip breadth. */
function postingOf(travel: number, { club }: Played): string | null {
  if (travel <= USUAL_TRAVEL) return null;
  const wood = clubById(club).family === 'wood';
  if (!wood) return 'too wide to post: the lead hip has more than half a hip breadth to go';
  return travel > MOST_TRAVEL_WITH_WOODS
    ? 'too wide to post: the lead hip has more than two thirds of a hip breadth to go'
    : 'more than half a hip breadth to go to the post with a wood, where schools part';
}

const LARGE_FLARE = 45;

/** What can be stood in and is still unwise for this body. */
function unwise(bands: Bands, body: Body, played: Played): Found[] {
  const { stanceWidth, hipBump, leadFlare, trailFlare } = bands.figures;
  const full = played.shot === 'full';
  const travel = stanceWidth ? travelToPost(body.build, stanceWidth.middle, hipBump?.middle ?? 0) : 0;
  const posting = full ? postingOf(travel, played) : null;
  const flares = [
    ['leadFlare', leadFlare],
    ['trailFlare', trailFlare],
  ] as const;
  return [
    ...(posting ? [{ question: 'stanceWidth' as const, what: posting }] : []),
    ...flares.flatMap(([question, band]): Found[] => [
      ...(full && band && band.middle < 0
        ? [{ question, what: 'toed in with a full swing: it locks the turn' }]
        : []),
      ...(band && band.middle > LARGE_FLARE
        ? [{ question, what: `more than ${LARGE_FLARE}° out: so much flare starts to stop the turn again` }]
        : []),
    ]),
  ];
}

/** Gathers what is found, one case for the same thing said of the same question. */
class Cases {
  private readonly cases = new Map<string, CheckCase & { seen: Set<string> }>();

  /** `sameAs` is what makes two findings one case: figures differ from body to body. */
  add({ question, what }: Found, sameAs: string, played: Played, { name, heightCm }: TriedBody): void {
    const key = `${question} ${sameAs}`;
    const found = this.cases.get(key) ?? {
      question,
      what,
      clubs: [],
      bodies: [],
      heightsCm: [heightCm, heightCm],
      seen: new Set<string>(),
    };
    const club = `${clubById(played.club).name}${played.shot === 'pitch' ? ', pitch' : ''}`;
    for (const [list, value] of [
      [found.clubs, club],
      [found.bodies, name],
    ] as const) {
      if (!found.seen.has(value)) list.push(value);
      found.seen.add(value);
    }
    found.heightsCm = [Math.min(found.heightsCm[0], heightCm), Math.max(found.heightsCm[1], heightCm)];
    this.cases.set(key, found);
  }

  all(): CheckCase[] {
    return [...this.cases.values()].map(({ seen: _seen, ...found }) => found);
  }
}

/** What is found without its figures, which differ from body to body. */
const withoutFigures = (what: string): string => what.replace(/[\d.\u2212]+/g, '');

const LEG_RULES: readonly RuleKind[] = ['leg test', 'what the legs lack'];

/** Legs are tried only on a method that asks for them: to any other they make no difference. */
function bodiesFor(method: HouseMethod): readonly TriedBody[] {
  const rules = QUESTIONS.flatMap((question) =>
    method.questions[question].answers.map(({ rule }) => rule.kind),
  );
  if (rules.some((kind) => LEG_RULES.includes(kind))) return TRIED_BODIES;
  return TRIED_BODIES.filter(({ body }) => body.legs === null);
}

/**
 * Tries a method on bodies from 140 to 205 cm with every club and shot: what cannot be met, and
 * what is unwise, each with the cases it was found for.
 * @param method the house method
 * @param bodies the bodies to try; by default with tested legs where its rules ask for them
 * @returns refusals and warnings
 */
export function checkMethod(
  method: HouseMethod,
  bodies: readonly TriedBody[] = bodiesFor(method),
): MethodCheck {
  const refusals = new Cases();
  const warnings = new Cases();
  for (const tried of bodies) {
    for (const each of CLUBS_AND_SHOTS) {
      const played = asPlayed(each);
      const bands = bandsFor(method, tried.body, played);
      const impossible = outsideRange(bands);
      const wrong = impossible.length > 0 ? impossible : cannotStand(method, tried.body, played);
      for (const found of wrong) refusals.add(found, withoutFigures(found.what), played, tried);
      for (const found of unwise(bands, tried.body, played)) warnings.add(found, found.what, played, tried);
    }
  }
  return { refusals: refusals.all(), warnings: warnings.all() };
}
