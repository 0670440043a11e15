import { personalPath, type PersonalPath } from '@pedastance/core/path';
import { useMemo } from 'react';
import { useMadeUp } from './account';
import { useRecords } from './records';
import { pathShotsOf } from '@pedastance/contract/pathShots';

/** What the setup does to a student's path, by which entries, and whether they are simulated shots alone. */
export interface StudentPath extends PersonalPath {
  simulated: boolean;
  shotIds: readonly string[];
}

/** What this student's setup does to the path with a club, by every shot of their own that the log has. */
export function usePersonalPath(studentId: string, clubLengthInches: number): StudentPath {
  const entries = useRecords((state) => state.entries);
  const madeUp = useMadeUp();
  return useMemo(() => {
    const { shots, shotIds, simulated } = pathShotsOf(Object.values(entries), studentId, madeUp);
    return { ...personalPath(shots, clubLengthInches), simulated, shotIds };
  }, [entries, studentId, clubLengthInches, madeUp]);
}
