import type { Said } from '../domain/said';

/** What this part says. */
export const messages = {
  ask: (on: Said) => `It hurts, ticked on ${on}. Ask first.`,
  noted: 'Note what hurts',
  nothing: 'It was nothing',
};
