import type { ColumnSource } from '@pedastance/core/formats';
import type { FootWords } from '@pedastance/core/phrases';
import type { LengthUnit } from '@pedastance/core/units';
import { create } from 'zustand';
import { deviceDatabase } from './database';
import type { Viewpoint } from '../plan/frame';

export type Light = 'paper' | 'dusk' | 'as the device';

interface Preferences {
  length: LengthUnit;
  feet: FootWords;
  viewpoint: Viewpoint;
  light: Light;
  /** The house method that lessons begin with; null is the academy's first. */
  methodId: string | null;
  /** How files of shots were mapped, by their header. */
  shotFiles: Record<string, ColumnSource[]>;
}

export const usePreferences = create<Preferences>(() => ({
  length: 'cm',
  feet: 'lead and trail',
  viewpoint: 'coach',
  light: 'paper',
  methodId: null,
  shotFiles: {},
}));

const KEPT = 'preferences';

export async function startPreferences(): Promise<void> {
  const kept = (await (await deviceDatabase()).get('device', KEPT)) as Partial<Preferences> | undefined;
  if (kept) usePreferences.setState(kept);
}

export function prefer(preference: Partial<Preferences>): void {
  usePreferences.setState(preference);
  void deviceDatabase().then((database) => database.put('device', usePreferences.getState(), KEPT));
}
