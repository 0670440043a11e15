import type { Setup } from '@pedastance/core/setup';
import type { Played } from '@pedastance/core/method';

/** Feet to set methods on: where they are from, and what was played from them. */
export interface Feet {
  setup: Setup;
  played: Played;
  from: string;
}
