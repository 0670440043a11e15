import { withEveryQuestion, type HouseMethod } from '@pedastance/core/method';
import { PRESETS } from '@pedastance/core/method/presets';
import { useEffect, useMemo } from 'react';
import { currentOwner } from './account';
import { refreshVersions, useRecords } from './records';

/** Presets as methods to look at: they have no version until an academy makes one its own. */
export const PRESET_METHODS: readonly HouseMethod[] = PRESETS.map(({ key, contents }) => ({
  id: key,
  version: 0,
  ...contents,
}));

export const isPreset = (method: Pick<HouseMethod, 'version'>): boolean => method.version === 0;

/** Brings all versions of an academy's own method to the device, of which it otherwise has the newest alone; none where no id is given. */
export function useAllVersions(id: string | undefined): void {
  const loaded = useRecords((state) => state.loaded);
  useEffect(() => {
    const owner = currentOwner();
    const preset = PRESET_METHODS.some((method) => method.id === id);
    if (owner && loaded && id !== undefined && !preset) void refreshVersions(owner, id);
  }, [id, loaded]);
}

/** The versions of a method, newest first: an academy's own, or a preset as it stands. */
export function useVersions(id: string): HouseMethod[] {
  const methods = useRecords((state) => state.methods);
  return useMemo(() => {
    const own = methods
      .filter((method) => method.id === id)
      .sort((a, b) => b.version - a.version)
      .map(withEveryQuestion);
    return own.length > 0 ? own : PRESET_METHODS.filter((method) => method.id === id);
  }, [methods, id]);
}
