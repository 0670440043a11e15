import type { Said } from '../../domain/said';

/** What this screen says. */
export const messages = {
  leftFree: 'Left free.',
  bodiesOf: (question: Said, what: Said, named: Said, more: Said, whom: Said) =>
    `${question}: ${what}. ${named}${more}; bodies of ${whom}.`,
  unwiseForSome: 'Unwise for some',
  startOurOwn: 'Start our own from it',
  changeIt: 'Change it',
  takeIt: 'Take it as it is',
  saveAsAFile: 'Save as a file',
  thisMethod: 'This method is not on this device.',
  backToTheMethods: 'Back to the methods',
  aSchoolToStart: 'A school to start from',
  oursVersion: (version: Said) => `Ours, version ${version}`,
  version: 'Version',
  newest: (version: Said) => `${version}, newest`,
};
