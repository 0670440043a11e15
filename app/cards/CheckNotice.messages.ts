import type { Said } from '../domain/said';

/** What this screen says. */
export const messages = {
  keptAsTheDeviceTold:
    'Kept as the device told it: its inputs or its version do not allow working it out again.',
  workedOutAgainThisComes: 'Worked out again, this comes out otherwise. Both are kept.',
  recordedWorkedOut: (place: Said, told: Said, computed: Said) =>
    `${place}: recorded ${told}, worked out ${computed}.`,
  andMore: (more: Said) => `And ${more} more.`,
};
