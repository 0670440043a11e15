import type { Said } from '../domain/said';

/** What this screen says. */
export const messages = {
  dashed: (words: Said, say: Said) => `Dashed: ${words}, ${say}.`,
};
