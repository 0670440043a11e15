import type { PressureMapping } from '@pedastance/core/balance';
import type { ColumnSource } from '@pedastance/core/formats';
import type { FootWords } from '@pedastance/core/phrases';
import type { ShotFigure } from '@pedastance/core/trial';
import type { Units } from '@pedastance/core/units';
import { create } from 'zustand';
import type { StudentMapping } from '../domain/studentFile';
import { deviceDatabase } from './database';
import type { Viewpoint } from '../plan/frame';

export type Light = 'paper' | 'dusk' | 'as the device';

interface Preferences extends Units {
  feet: FootWords;
  viewpoint: Viewpoint;
  light: Light;
  /** The house method that lessons begin with; null is the academy's first. */
  methodId: string | null;
  /** How files of shots were mapped, by their header. */
  shotFiles: Record<string, ColumnSource[]>;
  /** How lists of students were mapped, by their header. */
  studentLists: Record<string, StudentMapping>;
  /** How recordings of pressure were mapped, by their header. */
  pressureFiles: Record<string, PressureMapping>;
  /** Which figures of a shot are typed, as this coach’s monitor shows them. */
  shotColumns: ShotFigure[];
}

export const usePreferences = create<Preferences>(() => ({
  length: 'cm',
  distance: 'metres',
  speed: 'metres a second',
  feet: 'left and right',
  viewpoint: 'coach',
  light: 'paper',
  methodId: null,
  shotFiles: {},
  studentLists: {},
  pressureFiles: {},
  shotColumns: ['path', 'startLine', 'carry'],
}));

const KEPT = 'preferences';

/** Before each quantity had its own unit, yards and miles an hour went with inches, metres and metres a second with centimetres. */
const oneSystem = ({ length }: Partial<Preferences>): Partial<Preferences> =>
  length === 'inches'
    ? { distance: 'yards', speed: 'miles an hour' }
    : { distance: 'metres', speed: 'metres a second' };

export async function startPreferences(): Promise<void> {
  const kept = (await (await deviceDatabase()).get('device', KEPT)) as Partial<Preferences> | undefined;
  if (kept) usePreferences.setState({ ...oneSystem(kept), ...kept });
}

export function prefer(preference: Partial<Preferences>): void {
  usePreferences.setState(preference);
  void deviceDatabase().then((database) => database.put('device', usePreferences.getState(), KEPT));
}
