import type { LogEntry } from '@pedastance/contract';
import type { PathShot } from '@pedastance/core/path';
import { ownShots } from './ownShots';
import { addressesIn } from './trials';

/** A student's own shots that have a path, each with the setup it was hit from, and the entries that have them; mishits and warm-ups are left out. */
export function pathShotsOf(
  entries: readonly LogEntry[],
  studentId: string,
): { shots: PathShot[]; shotIds: string[]; simulated: boolean } {
  const addresses = addressesIn(entries.filter((entry) => entry.studentId === studentId));
  const { shots: own, simulated } = ownShots(entries, studentId);
  const shots: PathShot[] = [];
  const shotIds: string[] = [];
  for (const { id, addressId, place, shots: hit } of own) {
    const address = addresses.get(addressId);
    if (!address || place?.warmUp) continue;
    const { setup, clubLengthInches } = address;
    const told = hit.flatMap(({ path, mishit }) => (path === undefined || mishit ? [] : [path]));
    shots.push(...told.map((path) => ({ setup, clubLengthInches, path })));
    if (told.length > 0) shotIds.push(id);
  }
  return { shots, shotIds, simulated };
}
