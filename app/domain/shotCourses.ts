import type { LogEntry } from '@pedastance/contract';
import { firstOfEachClubAndShot, sameClubAndShot, type ClubAndShot } from '@pedastance/core/club';
import { ownShots } from '@pedastance/contract/ownShots';
import { addressesIn } from '@pedastance/contract/standing';

/** Figures of shots that are followed from day to day, and what can just be noticed of them (starting values). */
export const FOLLOWED = { path: { noticeable: 1 }, clubSpeed: { noticeable: 0.5 } } as const;
export type Followed = keyof typeof FOLLOWED;

/** A figure of the shots with a club, full ones or pitches, day by day, oldest first. */
export interface ShotCourse extends ClubAndShot {
  figure: Followed;
  simulated: boolean;
  /** The mean of the day's shots. */
  points: { madeAt: string; value: number; shots: number }[];
}

const FIGURES_FOLLOWED = Object.keys(FOLLOWED) as Followed[];

type Points = ShotCourse['points'];

/** Adds a shot to the mean of its day. */
function noteShot(points: Points, madeAt: string, value: number): void {
  const last = points.at(-1);
  if (last?.madeAt.slice(0, 10) !== madeAt.slice(0, 10)) points.push({ madeAt, value, shots: 1 });
  else {
    last.value += (value - last.value) / (last.shots + 1);
    last.shots += 1;
  }
}

/** A student's shots that count, one by one in time, with the club and shot they were hit with. */
function countedShots(entries: readonly LogEntry[], studentId: string) {
  const addresses = addressesIn(entries.filter((entry) => entry.studentId === studentId));
  const { shots, simulated } = ownShots(entries, studentId);
  const counted = shots.flatMap(({ addressId, madeAt, place, shots: hit }) => {
    const address = addresses.get(addressId);
    if (!address || place?.warmUp) return [];
    const played = { club: address.club, shot: address.shot };
    return hit.flatMap((figures) => (figures.mishit ? [] : [{ played, madeAt, figures }]));
  });
  return { counted, simulated };
}

/** How a student's shots went from day to day with each club and shot, where there are two days at least; the newest first. */
export function shotCoursesOf(entries: readonly LogEntry[], studentId: string): ShotCourse[] {
  const { counted, simulated } = countedShots(entries, studentId);
  const courses = firstOfEachClubAndShot(counted, ({ played }) => played).flatMap(({ played }) =>
    FIGURES_FOLLOWED.map((figure): ShotCourse => {
      const points: Points = [];
      for (const { played: own, madeAt, figures } of counted) {
        const value = figures[figure];
        if (sameClubAndShot(own, played) && value !== undefined) noteShot(points, madeAt, value);
      }
      return { ...played, figure, simulated, points };
    }),
  );
  return courses
    .filter(({ points }) => points.length > 1)
    .sort((a, b) => b.points.at(-1)!.madeAt.localeCompare(a.points.at(-1)!.madeAt));
}
