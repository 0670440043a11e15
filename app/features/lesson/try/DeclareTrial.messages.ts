import type { Said } from '../../../domain/said';

/** What this screen says. */
export const messages = {
  warmUpsExpected: (most: Said, found: Said) => `Warm-up shots: expected 0 to ${most}, found “${found}”`,
  gainAndScatterExpected: 'Smallest useful gain, and scatter: expected numbers above 0',
  otherFeetExpected: 'A and B: expected other feet, or another cue; found the same',
  illTap: 'I’ll tap it',
  illType: 'I’ll type it',
  fromItsFile: 'From its file',
  monitorSimulated: 'Monitor (simulated)',
  shotsAreSeen: 'Shots are seen by',
  noStudentHereSimulateOne: 'No student here? Simulate one',
  cueFor: 'Cue for A',
  cueForB: 'Cue for B',
  mishitsHereTheyAlwaysCount: 'Mishits (here they always count: it is about the strike)',
  mishitsFatOrThin: 'Mishits, fat or thin',
  smallestUsefulGain: 'Smallest useful gain',
  scatterShotToShot: 'Scatter, shot to shot',
  oneStandardDeviationFromShots: (ownShots: Said, sourceWords: Said) =>
    `One standard deviation, from ${ownShots} ${sourceWords} shots.`,
  oneStandardDeviationAStarting:
    'One standard deviation; a starting value until this student has shots of their own.',
  changesAtOnceNobodyKnows: (changes: Said) => `${changes} changes at once: nobody knows which one helped`,
  tryThemTogether: 'Try them together',
  takeThemApart: 'Take them apart',
  shotsInBlocksOfTwo: (shots: Said) =>
    `${shots} shots in blocks of two: every way of making some of the changes and not the others, as often as each other. One look at the end says what each does by itself.`,
  warmUpShotsASitting: 'Warm-up shots a sitting, which count for nothing',
  theSetupChanges: 'The setup changes',
  everyShotAtRandom: 'every shot, at random',
  everyTwoShotsAtRandom: 'every two shots, at random',
  moreCuesMishits: 'More: cues, mishits',
  isTheChangeReal: 'Is the change real?',
  aIsHowTheStudent: 'A is how the student stands today; B is what you agreed on.',
  theFeetAreTheSame: 'The feet are the same: two cues can be tried against each other.',
  howManyShots: 'How many shots',
  fiveAndFive: '5 and 5',
  fullTrialToEach: 'Full trial, 12 to 24 each',
  whatCounts: 'What counts',
  start: 'Start',
  nothingOfThisCan:
    'Nothing of this can be changed after the first shot. Space behind and beside, nobody ahead of the line.',
};
