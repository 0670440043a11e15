import type { PressureRepair } from '@pedastance/core/balance';
import { plural } from '@pedastance/core/units';

const odd: Record<PressureRepair, string> = {
  'fill the gaps': 'Some frames are missing.',
  'swap the feet': 'The finish is on the trail foot: the feet look swapped.',
  'turn the mat round': 'The finish is on the trail heel: the mat looks turned round.',
  'halve the time': 'No swing at this rate. At twice the rate there is one.',
  'double the time': 'No swing at this rate. At half the rate there is one.',
};
const mend: Record<PressureRepair, string> = {
  'fill the gaps': 'Fill the gaps',
  'swap the feet': 'Swap the feet',
  'turn the mat round': 'Turn the mat round',
  'halve the time': 'Take twice the rate',
  'double the time': 'Take half the rate',
};

/** What bringing in a recording says. */
export const messages = {
  odd,
  mend,
  has: (seconds: number, rate: number, swings: number) =>
    `${seconds} s at ${rate} frames a second. ${swings === 0 ? 'No swing in it.' : `${swings} ${plural(swings, 'swing', 'swings')} in it.`}`,
  saturated: 'Some loads are at the end of what the mat can feel: they may be more.',
  take: 'Take the swings',
  leave: 'Leave it',
  notTaken: 'The file was not taken. Nothing has changed.',
  tooLarge: 'Expected a file of 40 MB at most. Nothing has changed.',
};
