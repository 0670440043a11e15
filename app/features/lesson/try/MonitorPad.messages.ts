import type { Said } from '../../../domain/said';

/** What this screen says. */
export const messages = {
  theMonitorDoesNotAnswer: 'The monitor does not answer: no connection. What was hit is kept; try again.',
  simulatedThisStudent: 'Simulated: this student and this launch monitor are stand-ins.',
  swinging: 'Swinging …',
  letTheSimulatedStudentHit: (shots: Said) => `Let the simulated student hit ${shots}`,
};
