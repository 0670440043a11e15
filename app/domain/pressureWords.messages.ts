import type { PressurePattern } from '@pedastance/core/balance';
import { plural } from '@pedastance/core/units';

const patterns: Record<PressurePattern, string> = {
  'toe-ward going back': 'The weight goes to the toes going back.',
  'toes early coming down': 'The weight is on the toes early coming down.',
  'heel, then toes': 'Heels going back, toes coming down.',
  reverse: 'The weight goes to the lead foot going back.',
  'trail foot rolls outside': 'The trail foot rolls to its outside.',
  'falls back': 'The weight falls back after the strike.',
};

/** What is said of pressure under the feet wherever it is told. */
export const messages = {
  patterns,
  name: 'Pressure',
  kept: (swings: number) => `${swings} ${plural(swings, 'swing', 'swings')} kept, no habit named.`,
};
