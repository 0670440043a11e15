import type { Said } from '../../domain/said';

/** What this screen says. */
export const messages = {
  lastJudged: (club: Said, day: Said) => `Last judged: ${club}, ${day}`,
  startALesson: 'Start a lesson',
  goOnWithTheLesson: 'Go on with the lesson',
  inProgressSinceKept: (day: Said) => `In progress since ${day}, kept on this device.`,
  pageOf: (name: Said) => `Page of ${name}`,
  backToTheStudents: 'Back to the students',
  edit: 'Edit',
  log: 'Log',
  nothingRecordedYetALesson:
    'Nothing recorded yet. A lesson ends with a record: the address, what was read in it, and what you agreed to change.',
  shotsFromAFile: 'Shots: typed, from a file, or to one',
  build: 'Build',
  dataAndConsent: 'Data and consent',
};
