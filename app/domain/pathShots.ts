import type { LogEntry } from '@pedastance/contract';
import type { PathShot } from '@pedastance/core/path';
import { isSimulated, ownShots } from './ownShots';
import { driftsOf, shotKey } from './pressureShots';
import { addressesIn } from './trials';

/** A student's shots with a path, the entries that have them, and whether they are simulated ones alone. */
interface StudentShots {
  shots: PathShot[];
  shotIds: string[];
  simulated: boolean;
}

/**
 * A student's own shots that have a path, each with the setup it was hit from, its drift where a mat saw it too, and the
 * entries that have them; mishits and warm-ups are left out. Swings on a mat with a path that are no shot of the log are
 * shots as well. Simulated ones are left out wherever there are others.
 */
export function pathShotsOf(entries: readonly LogEntry[], studentId: string): StudentShots {
  const addresses = addressesIn(entries.filter((entry) => entry.studentId === studentId));
  const { ofShots, alone } = driftsOf(entries, studentId);
  const onMat = alone.filter(({ source }) => source === 'file');
  const { shots: all, simulated: allSimulated } = ownShots(entries, studentId);
  const own = onMat.length > 0 ? all.filter((each) => !isSimulated(each)) : all;
  const shots: PathShot[] = [];
  const shotIds: string[] = [];
  for (const { id, addressId, place, shots: hit } of own) {
    const address = addresses.get(addressId);
    if (!address || place?.warmUp) continue;
    const { setup, clubLengthInches } = address;
    const told = hit.flatMap(({ path, mishit }, at): PathShot[] => {
      if (path === undefined || mishit) return [];
      const drift = ofShots.get(shotKey(id, at));
      return [{ setup, clubLengthInches, path, ...(drift !== undefined && { drift }) }];
    });
    shots.push(...told);
    if (told.length > 0) shotIds.push(id);
  }
  // A swing on a simulated mat counts where there is nothing but simulated shots.
  const simulated = onMat.length === 0 && (allSimulated || own.length === 0);
  const swings = simulated ? alone : onMat;
  shots.push(...swings.map(({ shot }) => shot));
  shotIds.push(...new Set(swings.map(({ entryId }) => entryId)));
  return { shots, shotIds, simulated: simulated && shots.length > 0 };
}
