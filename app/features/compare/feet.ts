import type { CameFor } from '@pedastance/core/body';
import type { Setup } from '@pedastance/core/setup';
import type { Played } from '@pedastance/core/method';

/** Feet to compare methods on: where they come from, and with which club and shot. */
export interface Feet {
  setup: Setup;
  played: Played;
  /** What the student came for when they were stood on. */
  cameFor: readonly CameFor[];
  from: string;
}
