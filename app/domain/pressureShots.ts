import type { LogEntry, PressureEntry } from '@pedastance/contract';
import { downDrift, type DriftAndPath, type SwingTrace } from '@pedastance/core/balance';
import type { ClubId } from '@pedastance/core/club';
import type { PathShot } from '@pedastance/core/path';
import { ownShots } from './ownShots';
import { routeOfTrace } from './pressure';
import { standingOf } from './standing';
import { addressesIn } from './trials';

/** A shot of the log, by its entry and its place in it; no path where none was measured. */
export interface LessonShot {
  entryId: string;
  at: number;
  path: number | undefined;
}

/** The shots that a student hit in a lesson with a club, in time. */
export function shotsOfLesson(
  entries: readonly LogEntry[],
  { studentId, lessonId, club }: { studentId: string; lessonId: string; club: ClubId },
): LessonShot[] {
  const addresses = addressesIn(entries.filter((entry) => entry.studentId === studentId));
  return ownShots(entries, studentId)
    .shots.filter((entry) => entry.lessonId === lessonId && addresses.get(entry.addressId)?.club === club)
    .flatMap(({ id, shots }) => shots.map(({ path }, at) => ({ entryId: id, at, path })));
}

/** Swings as the shots that they were, in order: each has the path that was measured of it. */
export const joined = (swings: readonly SwingTrace[], shots: readonly LessonShot[]): SwingTrace[] =>
  swings.map((swing, place) => {
    const { entryId, at, path } = shots[place]!;
    return path === undefined ? swing : { ...swing, path, shot: { entryId, at } };
  });

/** Swings that are no shot of the log after all: what was taken of one goes with it. */
export const parted = (swings: readonly SwingTrace[]): SwingTrace[] =>
  swings.map((swing) => (swing.shot ? { ...swing, shot: null, path: null } : swing));

/** How far the load drifted to the toes coming down in a kept swing, percent. */
const driftOf = (swing: SwingTrace): number => downDrift(routeOfTrace(swing));

/** A student's swings on a mat that have a path, with their drift coming down. */
interface Drifted {
  /** Of shots in the log, by entry and place. */
  ofShots: ReadonlyMap<string, number>;
  /** Swings that are no shot of the log, each with the setup of its lesson. */
  alone: { entryId: string; source: PressureEntry['source']; shot: PathShot }[];
}

export const shotKey = (entryId: string, at: number): string => `${entryId} ${at}`;

/** The drifts of a student's swings on a mat; one that is no shot of the log needs an address of its lesson. */
export function driftsOf(entries: readonly LogEntry[], studentId: string): Drifted {
  const addresses = standingOf(entries, 'address', studentId).filter(({ standing }) => standing === 'today');
  const ofShots = new Map<string, number>();
  const alone: Drifted['alone'] = [];
  for (const { id, lessonId, club, source, swings } of standingOf(entries, 'pressure', studentId)) {
    const address = addresses.findLast((each) => each.lessonId === lessonId && each.club === club);
    for (const swing of swings) {
      if (swing.path === null) continue;
      const drift = driftOf(swing);
      if (swing.shot) ofShots.set(shotKey(swing.shot.entryId, swing.shot.at), drift);
      else if (address) {
        const { setup, clubLengthInches } = address;
        alone.push({ entryId: id, source, shot: { setup, clubLengthInches, path: swing.path, drift } });
      }
    }
  }
  return { ofShots, alone };
}

/** Drift and path of the swings of a student that were kept with a club, by mats of one kind. */
export const pairsKept = (
  entries: readonly LogEntry[],
  { studentId, club, source }: { studentId: string; club: ClubId; source: PressureEntry['source'] },
): DriftAndPath[] =>
  standingOf(entries, 'pressure', studentId)
    .filter((entry) => entry.club === club && entry.source === source)
    .flatMap(({ swings }) => pairsIn(swings));

/** Drift and path of the swings that have a path. */
export const pairsIn = (swings: readonly SwingTrace[]): DriftAndPath[] =>
  swings.flatMap((swing) => (swing.path === null ? [] : [{ path: swing.path, drift: driftOf(swing) }]));
