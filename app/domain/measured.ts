import { measureSetup, type MeasuredSetup, type Setup } from '@pedastance/core/setup';

const cache = new WeakMap<Setup, MeasuredSetup>();

/** A setup with its ground measured: once for each setup, whoever asks. */
export function measuredOf(setup: Setup): MeasuredSetup {
  const known = cache.get(setup);
  if (known) return known;
  const measured = measureSetup(setup);
  cache.set(setup, measured);
  return measured;
}
