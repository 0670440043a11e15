import type { Said } from '../domain/said';

/** What this screen says. */
export const messages = {
  mishitAndLeftOut: (left: Said) => `, ${left} mishit and left out`,
  everyShotAB: (a: Said, b: Said) => `Every shot. A: ${a}. B: ${b}.`,
};
