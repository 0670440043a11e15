import { personalPath, type PersonalPath } from '@pedastance/core/path';
import { useMemo } from 'react';
import { useRecords } from './records';
import { pathShotsOf } from '../domain/pathShots';

/** What this student's setup does to the path, by every shot the log has of them. */
export function usePersonalPath(studentId: string, clubLengthInches: number): PersonalPath {
  const entries = useRecords((state) => state.entries);
  return useMemo(
    () => personalPath(pathShotsOf(Object.values(entries), studentId), clubLengthInches),
    [entries, studentId, clubLengthInches],
  );
}
