import type { LogEntry, Logged } from './lessons';
import { standingShots } from './trialLog';
import type { ShotsEntry } from './trials';

export const isSimulated = ({ source }: Pick<ShotsEntry, 'source'>): boolean =>
  source === 'simulated monitor';

export interface OwnShots {
  shots: Logged<ShotsEntry>[];
  /** The student has no shots but simulated ones. */
  simulated: boolean;
}

/** A student's own shots, oldest first. Simulated ones are left out wherever there are others. */
export function ownShots(entries: readonly LogEntry[], studentId: string): OwnShots {
  const standing = standingShots(entries.filter((entry) => entry.studentId === studentId));
  const own = standing.filter((shots) => !isSimulated(shots));
  return own.length > 0
    ? { shots: own, simulated: false }
    : { shots: standing, simulated: standing.length > 0 };
}
