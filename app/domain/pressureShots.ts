import { sameClubAndShot, type ClubAndShot } from '@pedastance/core/club';
import type { LogEntry, PressureEntry } from '@pedastance/contract';
import { ownShots } from '@pedastance/contract/ownShots';
import { driftOf } from '@pedastance/contract/pathShots';
import { addressesIn, standingOf } from '@pedastance/contract/standing';
import type { DriftAndPath, SwingTrace } from '@pedastance/core/balance';

/** A shot of the log, by its entry and its place in it; no path where none was measured. */
export interface LessonShot {
  entryId: string;
  at: number;
  path: number | undefined;
}

/** The shots that a student hit in a lesson with a club, in time. */
export function shotsOfLesson(
  entries: readonly LogEntry[],
  { studentId, lessonId, ...played }: { studentId: string; lessonId: string } & ClubAndShot,
): LessonShot[] {
  const addresses = addressesIn(entries.filter((entry) => entry.studentId === studentId));
  return ownShots(entries, studentId)
    .shots.filter((entry) => {
      const address = addresses.get(entry.addressId);
      return entry.lessonId === lessonId && address && sameClubAndShot(address, played);
    })
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

/** Drift and path of the swings of a student that were kept with a club and shot, by mats of one kind. */
export const pairsKept = (
  entries: readonly LogEntry[],
  { studentId, source, ...played }: { studentId: string } & Pick<PressureEntry, 'club' | 'shot' | 'source'>,
): DriftAndPath[] =>
  standingOf(entries, 'pressure', studentId)
    .filter((entry) => sameClubAndShot(entry, played) && entry.source === source)
    .flatMap(({ swings }) => pairsIn(swings));

/** Drift and path of the swings that have a path. */
export const pairsIn = (swings: readonly SwingTrace[]): DriftAndPath[] =>
  swings.flatMap((swing) => (swing.path === null ? [] : [{ path: swing.path, drift: driftOf(swing) }]));
