import type { Said } from '../../domain/said';

/** What this screen says. */
export const messages = {
  theTurn: 'The turn',
  legsAndTrunk: 'Legs and trunk are not tested: nobody knows what stops the turn.',
  legsTestedRecordAFull: 'Legs tested. Record a full swing’s feet to see the turn.',
  onTheFeet: (agreedWords: Said, club: Said, day: Said) =>
    `On the feet ${agreedWords} with the ${club} on ${day}.`,
};
