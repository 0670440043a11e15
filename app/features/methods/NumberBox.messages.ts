import type { Said } from '../../domain/said';

/** What this screen says. */
export const messages = {
  expectedFound: (label: Said, expected: Said, nextWords: Said) =>
    `${label}: expected ${expected}, found ${nextWords}`,
};
