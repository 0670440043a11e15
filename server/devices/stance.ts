import { measureAddress, type Setup } from '@pedastance/core/setup';
import type { Stance } from './types';

/** How somebody stands in a setup, as the simulated student feels it. */
export function stanceOf({ setup, clubLengthInches }: { setup: Setup; clubLengthInches: number }): Stance {
  const { toeLine, leadFlare, trailFlare, stanceWidth, ballAlong } = measureAddress(setup.address);
  return {
    closed: toeLine,
    leadFlare,
    trailFlare,
    width: stanceWidth,
    toeward: setup.balance.leadHeelToe - 50,
    ballInside: ballAlong,
    clubLengthInches,
  };
}
