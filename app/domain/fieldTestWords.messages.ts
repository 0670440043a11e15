import type { StripePattern } from '@pedastance/core/balance';
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

const stripes: Record<StripePattern, string> = {
  'toe-ward going back': 'The trail foot goes to its toes going back.',
  'toes early coming down': 'The lead foot is on its toes early coming down.',
};

/** What field tests beside the ladders are called, and what they found. */
export const messages = {
  rungs,
  stripes,
  names: {
    stripe: 'Stripe on the shoes',
    broomstick: 'Broomstick',
    lift: 'Lift the trail foot',
    setback: 'Set back',
    'low point': 'Low point',
    settled: 'Rock and settle',
    finish: 'Finish held',
  },
  setback: (rung: Said, held: number, of: number) => `${rung}: ${held} of ${of} held.`,
  inside: (low: Said, high: Said) => `Lowest ${low} to ${high} inside the lead heel.`,
  about: (inside: Said, outside: Said) => `Lowest ${inside} inside to ${outside} outside the lead heel.`,
  outside: (low: Said, high: Said) => `Lowest ${low} to ${high} outside the lead heel.`,
  low: 'Most are struck low: tee it higher, or play the ball further forward.',
  high: 'Most are struck high: tee it lower.',
  settled: (place: Said, low: Said, high: Said) =>
    `Weight comes to rest: ${place}. Could be ${low} to ${high} from the heel.`,
  stripe: (pattern: Said, seen: number, of: number) => `${pattern} Seen in ${seen} of ${of}.`,
  stripeKept: 'No stripe went where it should stay.',
  broomstick: (place: Said, times: number, of: number) => `Felt under the ${place}, ${times} of ${of}.`,
  lift: (held: number, of: number) => `Lifted ${held} of ${of}.`,
  finish: (held: number, of: number) => `Held ${held} of ${of}.`,
};
