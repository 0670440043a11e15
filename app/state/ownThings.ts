import type { NewDrill, NewOwnLadder } from '@pedastance/contract';
import { inTime } from '@pedastance/contract/trialLog';
import { DRILL_LIBRARY, type Drill } from '@pedastance/core/card';
import type { OwnLadder } from '@pedastance/core/ladder';
import { useEffect, useMemo } from 'react';
import { create } from 'zustand';
import { currentOwner } from './account';
import { api } from './api';
import { deviceDatabase, ownKey, writeFor } from './database';
import { useOutbox } from './outbox';

/** What an academy has of its own beside the library, as each write of it is kept. */
interface Written {
  drill: NewDrill;
  ladder: NewOwnLadder;
}
type Kind = keyof Written;
interface Kept<Name extends Kind> {
  owner: string | null;
  things: readonly Written[Name][];
}

const store = <Name extends Kind>() => create<Kept<Name>>(() => ({ owner: null, things: [] }));
const STORES = { drill: store<'drill'>(), ladder: store<'ladder'>() };

/** Shows the academy's own as the device has it, then asks for the server's; with no server that stands. */
async function open<Name extends Kind>(kind: Name, owner: string): Promise<void> {
  const kept = STORES[kind] as ReturnType<typeof store<Name>>;
  const key = ownKey(kind, owner);
  if (kept.getState().owner !== owner) {
    const things = (await (await deviceDatabase()).get('device', key)) as Written[Name][] | undefined;
    kept.setState({ owner, things: things ?? [] });
  }
  try {
    const things = await api.own<Written[Name]>(kind, owner);
    await writeFor(owner, [], async (transaction) => {
      await transaction.objectStore('device').put(things, key);
    });
    if (currentOwner() === owner) kept.setState({ owner, things });
  } catch {
    // Whatever keeps the server away is told in the strip; what was told last stands.
  }
}

/** Every write that is known of one kind, those not sent yet among them, the newest of each thing. */
function useWritten<Name extends Kind>(
  kind: Name,
  idOf: (written: Written[Name]) => string,
): Written[Name][] {
  const owner = currentOwner();
  const kept = (STORES[kind] as ReturnType<typeof store<Name>>)();
  const queue = useOutbox((state) => state.queue);
  const waiting = queue.filter(({ writing }) => writing.route === kind).length;
  useEffect(() => {
    if (owner) void open(kind, owner);
  }, [kind, owner, waiting]);
  return useMemo(() => {
    const queued = queue.flatMap(({ writing }) =>
      writing.route === kind ? [writing.body as Written[Name]] : [],
    );
    const known = kept.owner === owner ? kept.things : [];
    const newest = new Map([...known, ...queued].sort(inTime).map((each) => [idOf(each), each]));
    return [...newest.values()].filter(({ gone }) => !gone);
  }, [kept, owner, queue, kind, idOf]);
}

const drillId = ({ drill }: NewDrill): string => drill.id;
const ladderId = ({ ladder }: NewOwnLadder): string => ladder.id;

/** The academy's own drills, each in its newest form. */
export function useOwnDrills(): Drill[] {
  const written = useWritten('drill', drillId);
  return useMemo(() => written.map(({ drill }) => drill), [written]);
}

/** The academy's own ladders, each in its newest form. */
export function useOwnLadders(): OwnLadder[] {
  const written = useWritten('ladder', ladderId);
  return useMemo(() => written.map(({ ladder }) => ladder), [written]);
}

/** Every drill that a card may carry: the academy's own first; one of its own takes the place of the library's. */
export function useDrills(): Drill[] {
  const own = useOwnDrills();
  return useMemo(() => {
    const ids = new Set(own.map(({ id }) => id));
    return [...own, ...DRILL_LIBRARY.filter(({ id }) => !ids.has(id))];
  }, [own]);
}
