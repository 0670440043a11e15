import { personalPath, type PathShot, type PersonalPath } from '@pedastance/core/path';
import type { LogEntry } from '@pedastance/contract';
import { useMemo } from 'react';
import { useRecords } from '../../state/records';
import { addressesIn, standingShots } from './trials';

/** Shots of a student that tell of the path, each with the setup it was hit from; mishits tell nothing of it. */
function pathShotsOf(entries: readonly LogEntry[], studentId: string): PathShot[] {
  const own = entries.filter((entry) => entry.studentId === studentId);
  const addresses = addressesIn(own);
  return standingShots(own).flatMap(({ addressId, place, shots }) => {
    const address = addresses.get(addressId);
    if (!address || place?.warmUp) return [];
    const { setup, clubLengthInches } = address;
    return shots.flatMap(({ path, mishit }) =>
      path === undefined || mishit ? [] : [{ setup, clubLengthInches, path }],
    );
  });
}

/** What this student's setup does to the path, by every shot the log has of them. */
export function usePersonalPath(studentId: string, clubLengthInches: number): PersonalPath {
  const entries = useRecords((state) => state.entries);
  return useMemo(
    () => personalPath(pathShotsOf(Object.values(entries), studentId), clubLengthInches),
    [entries, studentId, clubLengthInches],
  );
}
