import type { Today } from '@pedastance/contract';
import { create } from 'zustand';
import { api } from './api';
import { deviceDatabase, todayKey, writeFor } from './database';

interface Day {
  owner: string | null;
  /** The coach's day as the server last told it; null where it never did. */
  today: Today | null;
}

export const useToday = create<Day>(() => ({ owner: null, today: null }));

/** Shows the day as it was last told, then asks for today's; with no server the last one stands. */
export async function openToday(owner: string): Promise<void> {
  if (useToday.getState().owner !== owner) {
    const kept = (await (await deviceDatabase()).get('device', todayKey(owner))) as Today | undefined;
    useToday.setState({ owner, today: kept ?? null });
  }
  try {
    const today = await api.today(owner);
    await writeFor(owner, [], async (transaction) => {
      await transaction.objectStore('device').put(today, todayKey(owner));
    });
    if (useToday.getState().owner === owner) useToday.setState({ today });
  } catch {
    // Whatever keeps the server away is told in the strip; the day is the last that was told.
  }
}

export const closeToday = (): void => useToday.setState({ owner: null, today: null });
