import type { LogEntry, Logged, PressureEntry } from '@pedastance/contract';
import type { Case } from '@pedastance/core/advice';
import {
  feltUnder,
  LEAST_SWINGS,
  patternsIn,
  routeOfTrace,
  seenWithoutMat,
  withTime,
  type StoodStill,
  type SwingMark,
  type SwingTrace,
} from '@pedastance/core/balance';
import { sameClubAndShot, type ClubAndShot, type ClubId, type ShotType } from '@pedastance/core/club';
import { answerFor, type BandException, type HouseMethod } from '@pedastance/core/method';
import { PRESSURE_ROUTES, type PatternSeen, type PressureRoute, type Setup } from '@pedastance/core/setup';
import { newestTest, triesIn, type TestTries, type TryOf } from './fieldTests';
import { standingOf } from '@pedastance/contract/standing';

/** Swings with pressure of the open lesson. */
export interface PressureDraft {
  source: PressureEntry['source'];
  swings: readonly SwingTrace[];
  hangsBack: boolean | null;
}

/** The route that a method teaches with a club; centred where it has no view. */
export function taughtRoute(method: HouseMethod, club: ClubId, shot: ShotType): PressureRoute {
  const { rule } = answerFor(method, 'pressureRoute', club, shot);
  const wanted: readonly string[] = rule.kind === 'choice' ? rule.choices : [];
  return PRESSURE_ROUTES.find((route) => wanted.includes(route)) ?? 'centred';
}

/** The pressure that was kept last of a student with a club and shot; null where none was. */
export function lastPressure(
  entries: readonly LogEntry[],
  studentId: string,
  played: ClubAndShot,
): Logged<PressureEntry> | null {
  return (
    standingOf(entries, 'pressure', studentId).findLast((entry) => sameClubAndShot(entry, played)) ?? null
  );
}

/** What was seen of a student's weight with a club, as a judgement takes it. */
export type WeightSeen = Pick<Case, 'pressure' | 'feltUnder'>;

/** So long after it was seen a habit is taken to be there still (starting value), days. */
const SEEN_FOR_DAYS = 30;
const DAY_MS = 86_400_000;

/** With whom and what the weight is looked at, and what the open lesson has of it. */
export interface WeightLooked {
  entries: readonly LogEntry[];
  studentId: string;
  club: ClubId;
  shot: ShotType;
  route: PressureRoute;
  now: Date;
  draft?: { pressure?: PressureDraft | null; tests?: TestTries };
  /** The student's own bands that hold with the club. */
  exceptions: readonly BandException[];
  /** The student is made up: what a stand-in mat simulates counts. */
  madeUp: boolean;
}

const isFresh = ({ madeAt }: { madeAt: string }, now: Date): boolean =>
  now.getTime() - Date.parse(madeAt) <= SEEN_FOR_DAYS * DAY_MS;

/** What was tried of a test, in the open lesson or within the days it counts for. */
function triesOf<Name extends 'stripe' | 'finish' | 'lift' | 'broomstick'>(
  test: Name,
  { entries, studentId, club, now, draft }: WeightLooked,
): readonly TryOf<Name>[] {
  const today = triesIn(draft?.tests, test, club);
  if (today.length > 0) return today;
  const kept: { madeAt: string; tries: unknown } | null = newestTest<
    'stripe' | 'finish' | 'lift' | 'broomstick'
  >(entries, studentId, { test, club });
  return kept && isFresh(kept, now) ? (kept.tries as readonly TryOf<Name>[]) : [];
}

/** A student's own settled middle, percent from the heel; null where it was not found. */
export function ownMiddle(exceptions: readonly BandException[]): number | null {
  const own = exceptions.find(({ item }) => item === 'heelToe');
  return own ? (own.low + own.high) / 2 : null;
}

/** The first pattern of swings on a mat; null where they keep to the route. */
function patternOn(
  { swings, hangsBack, source }: Pick<PressureDraft, 'swings' | 'hangsBack' | 'source'>,
  { route, exceptions }: Pick<WeightLooked, 'route' | 'exceptions'>,
): PatternSeen | null {
  const middle = ownMiddle(exceptions);
  const [first] = patternsIn(swings.map(routeOfTrace), route, { hangsBack, middle });
  return first ? { pattern: first.pattern, way: source } : null;
}

/**
 * What was seen of a student's weight with a club: by the swings of the open lesson, by those that were kept of late, and
 * where no mat told anything by what an eye saw without one.
 */
export function weightSeen(looked: WeightLooked): WeightSeen {
  const { entries, studentId, route, now, draft, madeUp } = looked;
  const tells = ({ swings, source }: Pick<PressureDraft, 'swings' | 'source'>) =>
    swings.length >= LEAST_SWINGS && (madeUp || source !== 'simulated mat');
  const kept = standingOf(entries, 'pressure', studentId).findLast(
    (entry) => sameClubAndShot(entry, looked) && tells(entry) && isFresh(entry, now),
  );
  const onMat = draft?.pressure && tells(draft.pressure) ? draft.pressure : kept;
  const stripes = triesOf('stripe', looked);
  const finishes = [...triesOf('finish', looked), ...triesOf('lift', looked)];
  const felt = feltUnder(triesOf('broomstick', looked));
  return {
    pressure: onMat ? patternOn(onMat, looked) : seenWithoutMat({ stripes, finishes }, route),
    feltUnder: felt === 'middle' ? null : felt,
  };
}

/** A swing with one of its moments put elsewhere, ms from its start; it stays within the trace. */
export function withMoment(trace: SwingTrace, mark: SwingMark, at: number): SwingTrace {
  const last = (1000 * (trace.share.length - 1)) / trace.rate;
  const within = Math.round(Math.min(last, Math.max(0, at)));
  return { ...trace, times: withTime(trace.times, mark, within) };
}

/** Today's setup with how somebody stood on the mat, each figure as sure as it scattered. */
export function stoodOnMat(setup: Setup, { leadShare, leadHeelToe, trailHeelToe }: StoodStill): Setup {
  const figures = { leadShare, leadHeelToe, trailHeelToe };
  const measured = { ...setup.measured };
  const balance = { ...setup.balance };
  for (const name of ['leadShare', 'leadHeelToe', 'trailHeelToe'] as const) {
    const { value, uncertainty } = figures[name];
    balance[name] = Math.round(value);
    measured[name] = { way: 'mat', uncertainty: Math.round(10 * uncertainty) / 10 };
  }
  return { ...setup, balance, measured };
}
