import type { Said } from '../../../domain/said';

/** What this screen says. */
export const messages = {
  notTakenBackThisDevice: (message: Said) => `Not taken back: this device could not keep it (${message})`,
};
