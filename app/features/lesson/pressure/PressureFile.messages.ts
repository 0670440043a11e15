import type { PressureColumn, PressureMapping, PressureRepair } from '@pedastance/core/balance';
import { plural } from '@pedastance/core/units';

const odd: Record<PressureRepair, string> = {
  'swap the feet': 'The finish is on the trail foot: the feet look swapped.',
  'turn the mat round': 'The finish is on the trail heel: the mat looks turned round.',
  'halve the time': 'No swing at this rate. At twice the rate there is one.',
  'double the time': 'No swing at this rate. At half the rate there is one.',
};
const mend: Record<PressureRepair, string> = {
  'swap the feet': 'Swap the feet',
  'turn the mat round': 'Turn the mat round',
  'halve the time': 'Take twice the rate',
  'double the time': 'Take half the rate',
};

const columns: Record<PressureColumn, string> = {
  time: 'Time',
  'left load': 'Left foot load',
  'left along': 'Left foot heel to toe',
  'left across': 'Left foot inside to outside',
  'right load': 'Right foot load',
  'right along': 'Right foot heel to toe',
  'right across': 'Right foot inside to outside',
};
const times: Record<PressureMapping['time'], string> = { milliseconds: 'Milliseconds', seconds: 'Seconds' };
const places: Record<PressureMapping['places'], string> = {
  percent: 'Percent',
  share: '0 to 1',
  millimetres: 'Millimetres',
};

/** What bringing in a recording says. */
export const messages = {
  odd,
  mend,
  columns,
  times,
  places,
  setColumns: 'Set the columns right',
  sayColumns: 'Or say which column is which. It is remembered for files like this one.',
  column: (number: number) => `Column ${number}`,
  timeIn: 'Time is told in',
  placesIn: 'Places on the shoe are told in',
  lacking: (names: readonly string[]) => `Still to be said: ${names.join(', ')}.`,
  readIt: 'Read it so',
  has: (seconds: number, rate: number, swings: number) =>
    `${seconds} s at ${rate} frames a second. ${swings === 0 ? 'No swing in it.' : `${swings} ${plural(swings, 'swing', 'swings')} in it.`}`,
  leftOut: (swings: number) =>
    `${swings} ${plural(swings, 'swing is', 'swings are')} left out: frames are missing there.`,
  rounding: (ms: number) =>
    ms < 1
      ? 'Its times are in whole milliseconds: a moment may be half a millisecond off.'
      : `Its times are rounded: each moment may be ${ms} ms off.`,
  newest: (most: number) => `The last ${most} of them are taken: so many go together.`,
  saturated: 'Some loads are at the end of what the mat can feel: they may be more.',
  take: 'Take the swings',
  leave: 'Leave it',
  notTaken: 'The file was not taken. Nothing has changed.',
  tooLarge: 'Expected a file of 40 MB at most. Nothing has changed.',
};
