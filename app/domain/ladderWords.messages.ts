import type { LadderName } from '@pedastance/core/ladder';
import type { Said } from './said';

const names: Record<LadderName, string> = {
  'trail flare': 'Trail flare',
  'lead flare': 'Lead flare',
  'easy lead flare': 'Lead flare, easy',
  width: 'Width',
};

/** What is said of a ladder wherever one is told. */
export const messages = {
  names,
  notWithin: 'Not within what was tried.',
  doubted: 'No figure to stand by.',
  found: (rung: Said, low: Said, high: Said) => `${rung}. Could be ${low} to ${high}.`,
};
