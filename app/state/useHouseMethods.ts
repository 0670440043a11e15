import { withEveryQuestion, type HouseMethod } from '@pedastance/core/method';
import { useMemo } from 'react';
import { newestMethods, useRecords } from './records';

/** The academy's house methods, each in its newest version. */
export function useHouseMethods(): HouseMethod[] {
  const methods = useRecords((state) => state.methods);
  return useMemo(() => newestMethods(methods).map(withEveryQuestion), [methods]);
}
