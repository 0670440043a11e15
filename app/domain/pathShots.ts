import type { LogEntry } from '@pedastance/contract';
import type { PathShot } from '@pedastance/core/path';
import { addressesIn, standingShots } from './trials';

/** Shots of a student that tell of the path, each with the setup it was hit from; mishits tell nothing of it. */
export function pathShotsOf(entries: readonly LogEntry[], studentId: string): PathShot[] {
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
