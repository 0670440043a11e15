import type { Said } from '../../domain/said';

/** What this screen says. */
export const messages = {
  recorded: (recorded: Said) => `Recorded: ${recorded}.`,
  onThisDeviceNotSent: (unsent: Said) =>
    `On this device; ${unsent} not sent yet, and going out by themselves.`,
  onThisDevice: 'On this device and on the server.',
  theLog: (name: Said) => `The log of ${name}`,
  useAsTheReason: (words: Said) => `Use as the reason: ${words}`,
  reasonExpectedWhyYouAgreed: 'Reason: expected why you agreed on this, found nothing',
  notRecordedThisDevice: (message: Said) => `Not recorded: this device could not keep it (${message})`,
  checkedNothingToChangeTodays: 'Checked, nothing to change: today’s address and its read are kept.',
  reason: 'Reason',
  feelWhatTheStudentShould: 'Feel: what the student should feel',
  noteForYou: 'Note, for you',
  recording: 'Recording …',
  recordTheChange: 'Record the change',
  recordNothingToChange: 'Record: nothing to change',
  itIsKept: 'It is kept on this device first and sent by itself.',
  anotherClub: 'Another club',
  backToTheChange: 'Back to the change',
  finishTheLesson: 'Finish the lesson',
  notRecordedYet: (clubs: Said) => `Not recorded yet: ${clubs}.`,
  goOnWith: (club: Said) => `Go on with the ${club}`,
  finishWithout: (clubs: Said) => `Finish without the ${clubs}`,
  nothingToKeepYetChoose: 'Nothing to keep yet. Choose a club and place the feet first.',
};
