import { downDrift, routeOfTrace, type SwingTrace } from '@pedastance/core/balance';
import { sameClubAndShot } from '@pedastance/core/club';
import type { PathShot } from '@pedastance/core/path';
import type { LogEntry } from './lessons';
import { isSimulated, ownShots } from './ownShots';
import type { PressureEntry } from './pressure';
import { addressesIn, standingOf } from './standing';

/** A student's shots with a path, the entries that have them, and whether they are simulated ones alone. */
export interface StudentShots {
  shots: PathShot[];
  shotIds: string[];
  simulated: boolean;
}

/** How far the load drifted to the toes coming down in a kept swing, percent. */
export const driftOf = (swing: SwingTrace): number => downDrift(routeOfTrace(swing));

/** A student's swings on a mat that have a path, with their drift coming down. */
interface Drifted {
  /** Of shots in the log, by entry and place. */
  ofShots: ReadonlyMap<string, { drift: number; entryId: string }>;
  /** Swings that are no shot of the log, each with the setup of its lesson. */
  alone: { entryId: string; source: PressureEntry['source']; shot: PathShot }[];
}

const shotKey = (entryId: string, at: number): string => `${entryId} ${at}`;

/** The drifts of a student's swings on a mat; one that is no shot of the log needs an address of its lesson. */
function driftsOf(entries: readonly LogEntry[], studentId: string): Drifted {
  const addresses = standingOf(entries, 'address', studentId).filter(({ standing }) => standing === 'today');
  const ofShots = new Map<string, { drift: number; entryId: string }>();
  const alone: Drifted['alone'] = [];
  for (const kept of standingOf(entries, 'pressure', studentId)) {
    const { id, lessonId, source, swings } = kept;
    const address = addresses.findLast((each) => each.lessonId === lessonId && sameClubAndShot(each, kept));
    for (const swing of swings) {
      if (swing.path === null) continue;
      const drift = driftOf(swing);
      if (swing.shot) ofShots.set(shotKey(swing.shot.entryId, swing.shot.at), { drift, entryId: id });
      else if (address) {
        const { setup, clubLengthInches } = address;
        alone.push({ entryId: id, source, shot: { setup, clubLengthInches, path: swing.path, drift } });
      }
    }
  }
  return { ofShots, alone };
}

/**
 * A student's own shots that have a path, each with the setup it was hit from, its drift where a mat saw it too, and the
 * entries that have them; mishits and warm-ups are left out. Swings on a mat with a path that are no shot of the log are
 * shots as well. Simulated ones are left out wherever there are others, and count for made-up students alone.
 */
export function pathShotsOf(entries: readonly LogEntry[], studentId: string, madeUp: boolean): StudentShots {
  const addresses = addressesIn(entries.filter((entry) => entry.studentId === studentId));
  const { ofShots, alone } = driftsOf(entries, studentId);
  const onMat = alone.filter(({ source }) => source === 'file');
  const { shots: all, simulated: allSimulated } = ownShots(entries, studentId);
  const own = onMat.length > 0 || !madeUp ? all.filter((each) => !isSimulated(each)) : all;
  const shots: PathShot[] = [];
  const shotIds = new Set<string>();
  for (const { id, addressId, place, shots: hit } of own) {
    const address = addresses.get(addressId);
    if (!address || place?.warmUp) continue;
    const { setup, clubLengthInches } = address;
    const told = hit.flatMap(({ path, mishit }, at): PathShot[] => {
      if (path === undefined || mishit) return [];
      const drifted = ofShots.get(shotKey(id, at));
      if (drifted) shotIds.add(drifted.entryId);
      return [{ setup, clubLengthInches, path, ...(drifted && { drift: drifted.drift }) }];
    });
    shots.push(...told);
    if (told.length > 0) shotIds.add(id);
  }
  // A swing on a simulated mat counts where there is nothing but simulated shots.
  const simulated = madeUp && onMat.length === 0 && (allSimulated || own.length === 0);
  const swings = simulated ? alone : onMat;
  shots.push(...swings.map(({ shot }) => shot));
  swings.forEach(({ entryId }) => shotIds.add(entryId));
  return { shots, shotIds: [...shotIds], simulated: simulated && shots.length > 0 };
}
