import type { SetbackRung } from '@pedastance/core/ladder';
import type { Said } from './said';

const rungs: Record<SetbackRung, string> = {
  'fully forward': 'Fully forward',
  together: 'Feet together',
  rearward: 'On the trail foot',
  middle: 'Middle of the shoe',
  'heel pad': 'Heel pad',
  heel: 'Heel',
};

/** What field tests beside the ladders are called, and what they found. */
export const messages = {
  rungs,
  names: { setback: 'Set back', 'low point': 'Low point', settled: 'Rock and settle', finish: 'Finish held' },
  setback: (rung: Said, held: number, of: number) => `${rung}: ${held} of ${of} held.`,
  inside: (low: Said, high: Said) => `Lowest ${low} to ${high} inside the lead heel.`,
  about: (inside: Said, outside: Said) => `Lowest ${inside} inside to ${outside} outside the lead heel.`,
  outside: (low: Said, high: Said) => `Lowest ${low} to ${high} outside the lead heel.`,
  low: 'Most are struck low: tee it higher, or play the ball further forward.',
  high: 'Most are struck high: tee it lower.',
  settled: (place: Said, low: Said, high: Said) =>
    `Weight comes to rest: ${place}. Could be ${low} to ${high} from the heel.`,
  finish: (held: number, of: number) => `Held ${held} of ${of}.`,
};
