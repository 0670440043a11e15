import type { Said } from './said';

/** What several screens say alike. */
export const common = {
  notKept: (why: Said) => `Not kept: this device could not keep it (${why})`,
  less: 'Less',
  studentNotHere: 'This student is not on this device.',
  working: 'Working …',
  couldNotBeWorkedOut: 'This could not be worked out.',
  tryAgain: 'Try again',
  club: 'Club',
  cancel: 'Cancel',
  undo: 'Undo',
  read: 'Read',
  keep: 'Keep',
  takeIt: 'Take it',
  close: 'Close',
  legsAndTrunk: 'Legs and trunk',
  madeUp: ' · made up',
  madeUpStudents: ' · made-up students',
  backTo: (name: Said) => `Back to ${name}`,
  no: 'No',
  warmUpShotHit: 'Warm-up shot hit',
  takeTheLastShotBack: 'Take the last shot back',
  name: 'Name',
  needsServer: 'This needs a connection to the server.',
  copied: 'Copied.',
};
