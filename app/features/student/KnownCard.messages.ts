import { plural } from '@pedastance/core/units';
import type { Said } from '../../domain/said';

/** What this screen says. */
export const messages = {
  turnsMeasured: (turns: number) => `; ${turns} ${plural(turns, 'turn', 'turns')} measured`,
  ofItsTestsCarriedOver: (carried: Said, day: Said) =>
    `, ${carried} of its tests carried over from ${day} on`,
  knownSoFar: 'Known so far',
  legsAndTrunkTested: (day: Said, since: Said, measured: Said) =>
    `Legs and trunk: tested ${day}${since}${measured}.`,
  legsAndTrunkNotTested: 'Legs and trunk: not tested yet.',
  shotsTheLast: (hit: Said, simulatedWords: Said, day: Said) =>
    `Shots: ${hit}${simulatedWords}, the last on ${day}.`,
  shotsNoneYet: 'Shots: none yet.',
};
