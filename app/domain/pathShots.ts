import type { LogEntry } from '@pedastance/contract';
import type { PathShot } from '@pedastance/core/path';
import { ownShots } from './ownShots';
import { addressesIn } from './trials';

/** A student's own shots that have a path, each with the setup it was hit from; mishits and warm-ups are left out. */
export function pathShotsOf(
  entries: readonly LogEntry[],
  studentId: string,
): { shots: PathShot[]; simulated: boolean } {
  const addresses = addressesIn(entries.filter((entry) => entry.studentId === studentId));
  const { shots: own, simulated } = ownShots(entries, studentId);
  const shots = own.flatMap(({ addressId, place, shots: hit }) => {
    const address = addresses.get(addressId);
    if (!address || place?.warmUp) return [];
    const { setup, clubLengthInches } = address;
    return hit.flatMap(({ path, mishit }) =>
      path === undefined || mishit ? [] : [{ setup, clubLengthInches, path }],
    );
  });
  return { shots, simulated };
}
