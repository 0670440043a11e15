import type { Said } from '../domain/said';

/** What this screen says. */
export const messages = {
  aSimulatedStudentHitThese: 'A simulated student hit these shots, and a simulated monitor measured them.',
  decidesAWithoutTheChange: (name: Said) =>
    `${name} decides. A: without the change; B: with it, the others made and not alike.`,
  notSeenInTheseShots: 'Not seen in these shots.',
  saidBeforehandBlocksOfTwo: (mishits: Said, unit: Said) =>
    `Said beforehand: 16 blocks of two shots, every way of combining the changes as often, in an order drawn at random; mishits are ${mishits}; unit ${unit}. Whether two changes help or hinder each other is not looked at.`,
};
