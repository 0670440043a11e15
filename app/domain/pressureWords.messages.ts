import { plural } from '@pedastance/core/units';

/** What is said of pressure under the feet wherever it is told. */
export const messages = {
  name: 'Pressure',
  kept: (swings: number) => `${swings} ${plural(swings, 'swing', 'swings')} kept, no habit named.`,
};
