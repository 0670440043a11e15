import type { Part } from '@pedastance/core/setup';

/** What the parts of the body are headed with, from the ground up. */
export const PART_NAMES: Record<Part, string> = {
  feet: 'Feet',
  knees: 'Knees',
  hips: 'Hips',
  shoulders: 'Shoulders',
  hands: 'Arms and hands',
  swing: 'The turn and the swing',
};
