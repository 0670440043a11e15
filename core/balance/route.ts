import { mean, sampleStandardDeviation } from 'simple-statistics';
import { PRESSURE_PATTERNS, type PressurePattern, type PressureRoute } from '../setup';
import { studentQuantile } from '../statistics';
import { alongOf, leadShareOf, type PressureFrame, type PressureRecording } from './frames';
import { SWING_MARKS, type SwingMark } from './names';
import { LOAD_BEFORE_CLUB, type SwingTimes } from './phases';
import { recordingOfTrace, type SwingTrace } from './trace';

/** Moments that a route is told at: those of the swing, and halfway back. */
export const ROUTE_MARKS = ['address', 'half back', 'top', 'early down', 'impact', 'finish'] as const;
export type RouteMark = (typeof ROUTE_MARKS)[number];

/** Where the load is at one moment, percent. */
export interface RoutePlace {
  leadShare: number;
  leadAlong: number;
  trailAlong: number;
  leadAcross: number;
  trailAcross: number;
  /** Along both soles together, each by its share. */
  along: number;
}

/** One swing's route: where the load was at each moment. */
export type SwingRoute = Record<RouteMark, RoutePlace>;

/** A place is the mean of so long a time about its moment, ms. */
const ABOUT_MS = 30;

const placeOf = (frame: PressureFrame): RoutePlace => ({
  leadShare: leadShareOf(frame),
  leadAlong: frame.lead.along,
  trailAlong: frame.trail.along,
  leadAcross: frame.lead.across,
  trailAcross: frame.trail.across,
  along: alongOf(frame),
});

const KEYS = ['leadShare', 'leadAlong', 'trailAlong', 'leadAcross', 'trailAcross', 'along'] as const;

function placeAt({ frames }: PressureRecording, at: number, about = ABOUT_MS): RoutePlace {
  const near = frames.filter((frame) => Math.abs(frame.at - at) <= about / 2);
  const nearest = frames.reduce((best, frame) =>
    Math.abs(frame.at - at) < Math.abs(best.at - at) ? frame : best,
  );
  const places = (near.length > 0 ? near : [nearest]).map(placeOf);
  return Object.fromEntries(
    KEYS.map((key) => [key, mean(places.map((each) => each[key]))]),
  ) as unknown as RoutePlace;
}

/** Standing before the swing is told by so long a time, ms. */
const STOOD_MS = 300;

/**
 * Where the load was at each moment of a swing.
 * @param recording that the swing is in
 * @param times of its moments
 * @returns percent
 */
export function routeOf(recording: PressureRecording, times: SwingTimes): SwingRoute {
  const half = (times.address + times.top) / 2;
  const at = (mark: SwingMark): RoutePlace => placeAt(recording, times[mark]);
  return {
    address: placeAt(recording, times.address - STOOD_MS / 2, STOOD_MS),
    'half back': placeAt(recording, half),
    // The load is furthest back before the club is: by the club's top it is on its way.
    top: placeAt(recording, times.top - LOAD_BEFORE_CLUB),
    'early down': at('early down'),
    impact: at('impact'),
    finish: at('finish'),
  };
}

/**
 * Where the load was at each moment of a kept swing.
 * @param trace the swing as it is kept
 * @returns percent
 */
export const routeOfTrace = (trace: SwingTrace): SwingRoute => routeOf(recordingOfTrace(trace), trace.times);

/** Moments that a coach may put elsewhere: they stay in order. */
export function withTime(times: SwingTimes, mark: SwingMark, at: number): SwingTimes {
  const place = SWING_MARKS.indexOf(mark);
  const [before, after] = [SWING_MARKS[place - 1], SWING_MARKS[place + 1]];
  const least = before ? times[before] + 1 : -Infinity;
  const most = after ? times[after] - 1 : Infinity;
  return { ...times, [mark]: Math.min(most, Math.max(least, at)) };
}

/**
 * How each route goes (common practice, no source): how much further toward the toes than at address both soles are halfway
 * back and the trail sole at the top, and where both are early on the way down, which does not depend on how somebody
 * stood, percent.
 */
const ALONG: Record<PressureRoute, { back: number; trailTop: number; downAt: number }> = {
  centred: { back: 0, trailTop: 0, downAt: 51 },
  'loaded heel': { back: -9, trailTop: -24, downAt: 42 },
  'long drive': { back: -9, trailTop: -24, downAt: 53 },
  'forward-posted': { back: 1, trailTop: 0, downAt: 62 },
};

/** A route that is taught, and where somebody's weight lies when it is in the middle of their feet, percent. */
interface TaughtRoute {
  route: PressureRoute;
  /** Their own settled middle where that was found. */
  middle: number;
}

/** The middle of the shoes, where no student's own was found. */
const MIDDLE = 50;

/** Where both soles are early on the way down, by this student's own middle. */
const downAt = ({ route, middle }: TaughtRoute): number => ALONG[route].downAt + middle - MIDDLE;

interface PatternDefinition {
  /** How far one swing goes that way, percent. */
  measure: (swing: SwingRoute, taught: TaughtRoute) => number;
  /** Which figure of which moments shows where it leaves the route, the first moment first. */
  leaves: { at: readonly RouteMark[]; place: keyof RoutePlace; usual: Usual };
  /** From how much on it is told (starting value), percent. */
  limit: number;
  /** Routes of which it is the point, or on which it says nothing. */
  notOn: readonly PressureRoute[];
  /** Another pattern that has it in it. */
  partOf?: PressurePattern;
}

/** Where a route has a figure at a moment, percent; what is not told of a route is where the swing had it before. */
type Usual = (swing: SwingRoute, at: RouteMark, taught: TaughtRoute) => number;

/** About four fifths of the load are on the trail foot at the top, half of the way there halfway back. */
const LEAD_AT_TOP = 20;
const halfWay = (at: RouteMark, from: number, to: number): number =>
  at === 'half back' ? (from + to) / 2 : to;

const DEFINITIONS: Record<PressurePattern, PatternDefinition> = {
  'toe-ward going back': {
    measure: ({ address, top }, { route }) => top.trailAlong - address.trailAlong - ALONG[route].trailTop,
    leaves: {
      at: ['half back', 'top'],
      place: 'trailAlong',
      usual: ({ address }, at, { route }) => address.trailAlong + halfWay(at, 0, ALONG[route].trailTop),
    },
    limit: 10,
    notOn: ['forward-posted'],
  },
  'toes early coming down': {
    measure: ({ 'early down': down }, taught) => down.along - downAt(taught),
    leaves: { at: ['early down'], place: 'along', usual: (_swing, _at, taught) => downAt(taught) },
    limit: 11,
    // The lead toe is where a long drive goes.
    notOn: ['long drive'],
    partOf: 'heel, then toes',
  },
  'heel, then toes': {
    measure: ({ address, 'half back': back, 'early down': down }, taught) =>
      Math.min(address.along + ALONG[taught.route].back - back.along, down.along - downAt(taught)),
    leaves: {
      at: ['half back'],
      place: 'along',
      usual: ({ address }, _at, { route }) => address.along + ALONG[route].back,
    },
    limit: 8,
    notOn: ['long drive'],
  },
  reverse: {
    measure: ({ top }) => top.leadShare - 50,
    leaves: {
      at: ['half back', 'top'],
      place: 'leadShare',
      usual: ({ address }, at) => halfWay(at, address.leadShare, LEAD_AT_TOP),
    },
    limit: 2,
    // Staying over the lead foot is what the forward-posted route is.
    notOn: ['forward-posted'],
  },
  'trail foot rolls outside': {
    measure: ({ address, top }) => top.trailAcross - address.trailAcross,
    leaves: { at: ['half back', 'top'], place: 'trailAcross', usual: ({ address }) => address.trailAcross },
    limit: 12,
    notOn: ['forward-posted'],
  },
  'falls back': {
    measure: ({ impact, finish }) => impact.leadShare - finish.leadShare,
    leaves: { at: ['finish'], place: 'leadShare', usual: ({ impact }) => impact.leadShare },
    limit: 4,
    notOn: [],
    partOf: 'reverse',
  },
};

/** So few swings tell no pattern. */
export const LEAST_SWINGS = 3;
/** It is told where it is beyond its limit at nine of ten such means. */
const IN_ONE_TAIL = 0.1;

/** A pattern over several swings, percent. */
export interface PatternTold {
  pattern: PressurePattern;
  /** How far they go that way on average, and the 90% limit below. */
  by: number;
  atLeast: number;
  /** The first moment at which they are off the route beyond their scatter, where they are then, and where it is. */
  leaves: { at: RouteMark; found: number; usual: number };
}

/** What else is known: a reverse is one only where the trunk hangs back, and a student's own middle is their middle. */
export interface KnownOfSwing {
  hangsBack?: boolean | null;
  middle?: number | null;
}

/** The mean of several swings, and the 90% limit below it. */
function meanOf(values: readonly number[]): { by: number; atLeast: number } {
  const by = mean([...values]);
  const error = sampleStandardDeviation([...values]) / Math.sqrt(values.length);
  return { by, atLeast: by - studentQuantile(IN_ONE_TAIL, values.length - 1) * error };
}

/** The first moment that is off the route, the same way as the last, by half of the pattern's limit at least. */
function leavesAt(
  { leaves: { at: moments, place, usual }, limit }: PatternDefinition,
  swings: readonly SwingRoute[],
  taught: TaughtRoute,
): PatternTold['leaves'] {
  const last = moments[moments.length - 1]!;
  const offAt = (at: RouteMark) => swings.map((swing) => swing[at][place] - usual(swing, at, taught));
  const way = Math.sign(mean(offAt(last)));
  const isOff = (at: RouteMark) => meanOf(offAt(at).map((off) => way * off)).atLeast > limit / 2;
  const at = moments.find(isOff) ?? last;
  return {
    at,
    found: mean(swings.map((swing) => swing[at][place])),
    usual: mean(swings.map((swing) => usual(swing, at, taught))),
  };
}

function toldOf(
  pattern: PressurePattern,
  swings: readonly SwingRoute[],
  taught: TaughtRoute,
): PatternTold | null {
  const definition = DEFINITIONS[pattern];
  const { by, atLeast } = meanOf(swings.map((swing) => definition.measure(swing, taught)));
  return atLeast > definition.limit
    ? { pattern, by, atLeast, leaves: leavesAt(definition, swings, taught) }
    : null;
}

/**
 * The patterns that several swings show beyond their scatter. The lead foot's outer heel at the strike is right, and is none.
 * @param swings of one setup, at least three
 * @param route that is taught: what is a fault on one is the point of another
 * @param known whether the trunk was noted to hang back, and the student's own settled middle; null where nobody looked
 * @returns the patterns, in the order they come in a swing; none of fewer swings
 */
export function patternsIn(
  swings: readonly SwingRoute[],
  route: PressureRoute,
  { hangsBack = null, middle = null }: KnownOfSwing = {},
): PatternTold[] {
  if (swings.length < LEAST_SWINGS) return [];
  const taught = { route, middle: middle ?? MIDDLE };
  const told = PRESSURE_PATTERNS.filter((pattern) => !DEFINITIONS[pattern].notOn.includes(route))
    .filter((pattern) => pattern !== 'reverse' || hangsBack !== false)
    .flatMap((pattern) => toldOf(pattern, swings, taught) ?? []);
  const names = told.map(({ pattern }) => pattern);
  return told.filter(({ pattern }) => {
    const { partOf } = DEFINITIONS[pattern];
    return partOf === undefined || !names.includes(partOf);
  });
}

/** The mean of several swings' routes, percent. */
export const meanRoute = (swings: readonly SwingRoute[]): SwingRoute =>
  Object.fromEntries(
    ROUTE_MARKS.map((mark) => [
      mark,
      Object.fromEntries(KEYS.map((key) => [key, mean(swings.map((swing) => swing[mark][key]))])),
    ]),
  ) as unknown as SwingRoute;
