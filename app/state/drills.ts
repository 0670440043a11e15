import type { NewDrill } from '@pedastance/contract';
import { inTime } from '@pedastance/contract/trialLog';
import { DRILL_LIBRARY, type Drill } from '@pedastance/core/card';
import { useEffect, useMemo } from 'react';
import { create } from 'zustand';
import { currentOwner } from './account';
import { api } from './api';
import { deviceDatabase, drillsKey, writeFor } from './database';
import { useOutbox } from './outbox';

interface OwnDrills {
  owner: string | null;
  drills: readonly NewDrill[];
}

const useKept = create<OwnDrills>(() => ({ owner: null, drills: [] }));

/** Shows the academy's drills as the device has them, then asks for the server's; with no server those stand. */
async function openDrills(owner: string): Promise<void> {
  if (useKept.getState().owner !== owner) {
    const kept = (await (await deviceDatabase()).get('device', drillsKey(owner))) as NewDrill[] | undefined;
    useKept.setState({ owner, drills: kept ?? [] });
  }
  try {
    const drills = await api.drills(owner);
    await writeFor(owner, [], async (transaction) => {
      await transaction.objectStore('device').put(drills, drillsKey(owner));
    });
    if (currentOwner() === owner) useKept.setState({ owner, drills });
  } catch {
    // Whatever keeps the server away is told in the strip; the drills are the last that were told.
  }
}

/** The academy's own drills, each in its newest form, those not sent yet among them. */
export function useOwnDrills(): Drill[] {
  const owner = currentOwner();
  const kept = useKept();
  const queue = useOutbox((state) => state.queue);
  const waiting = queue.filter(({ writing }) => writing.route === 'drill').length;
  useEffect(() => {
    if (owner) void openDrills(owner);
  }, [owner, waiting]);
  return useMemo(() => {
    const queued = queue.flatMap(({ writing }) => (writing.route === 'drill' ? [writing.body] : []));
    const known = kept.owner === owner ? kept.drills : [];
    const newest = new Map([...known, ...queued].sort(inTime).map((each) => [each.drill.id, each]));
    return [...newest.values()].filter(({ gone }) => !gone).map(({ drill }) => drill);
  }, [kept, owner, queue]);
}

/** Every drill that a card may carry: the academy's own first; one of its own takes the place of the library's. */
export function useDrills(): Drill[] {
  const own = useOwnDrills();
  return useMemo(() => {
    const ids = new Set(own.map(({ id }) => id));
    return [...own, ...DRILL_LIBRARY.filter(({ id }) => !ids.has(id))];
  }, [own]);
}
