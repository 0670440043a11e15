import type { Said } from '../domain/said';

/** What a growing student's figures ask for. */
export const messages = {
  measureAgain: (last: Said) => `Still growing: measure height and shoes again. The last time was ${last}.`,
};
