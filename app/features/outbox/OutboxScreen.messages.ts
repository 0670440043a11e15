import type { Said } from '../../domain/said';

/** What this screen says. */
export const messages = {
  plays: 'Plays',
  note: 'Note',
  facts: 'Facts',
  yearOfBirth: 'Year of birth',
  dayOfBirth: 'Day of birth',
  nowYours: (field: Said, now: Said, yours: Said) => `${field}: now “${now}”, yours “${yours}”`,
  yoursCanStandBeside:
    'Yours can stand beside it as a method of its own; what was read with it on this device goes along.',
  keepMineAsAMethod: 'Keep mine as a method of its own',
  putMineOver: 'Put mine over it',
  sendAgain: 'Send again',
  yesThrowItAway: 'Yes, throw it away',
  throwAway: 'Throw away …',
  notSentYet: 'Not sent yet',
  everythingHasBeenSent: 'Everything has been sent.',
  allOfThisIsKept: (awayReason: Said) =>
    `${awayReason} All of this is kept on this device and goes out by itself, in this order, each once.`,
  accessHasEnded: (academy: Said) =>
    `An owner of ${academy} has ended your access. What stands here is on this device alone and cannot be sent. Copy down what the academy needs, hand it to an owner, then sign out.`,
  goingOutInThisOrder: 'Going out in this order, each once.',
  sending: 'Sending …',
  tryNow: 'Try now',
};
