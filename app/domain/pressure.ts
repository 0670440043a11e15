import type { LogEntry, Logged, PressureEntry } from '@pedastance/contract';
import {
  recordingOfTrace,
  routeOf,
  withTime,
  type StoodStill,
  type SwingMark,
  type SwingRoute,
  type SwingTrace,
} from '@pedastance/core/balance';
import type { ClubId, ShotType } from '@pedastance/core/club';
import { answerFor, type HouseMethod } from '@pedastance/core/method';
import { PRESSURE_ROUTES, type PressureRoute, type Setup } from '@pedastance/core/setup';
import { standingOf } from './standing';

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

/** The pressure that was kept last of a student with a club; null where none was. */
export function lastPressure(
  entries: readonly LogEntry[],
  studentId: string,
  club: ClubId,
): Logged<PressureEntry> | null {
  return standingOf(entries, 'pressure', studentId).findLast((entry) => entry.club === club) ?? null;
}

/** Where the load was at each moment of a kept swing. */
export const routeOfTrace = (trace: SwingTrace): SwingRoute => routeOf(recordingOfTrace(trace), trace.times);

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
