import { plural } from '@pedastance/core/units';
import type { Said } from '../../domain/said';

/** What this screen says. */
export const messages = {
  theFeet: (club: Said, shownWords: Said) => `${club}: the feet as ${shownWords}`,
  feet: 'Feet',
  asTheyStood: 'As they stood',
  asAgreed: 'As agreed',
  dashedAsTheyStoodBefore: 'Dashed: as they stood before.',
  made: (dayAndTime: Said, received: Said) => `Made ${dayAndTime}, ${received}.`,
  readWithVersionModel: (name: Said, methodVersion: Said, modelVersion: Said) =>
    `Read with ${name}, version ${methodVersion}; model ${modelVersion}.`,
  clubInBuild: (clubLengthInches: Said, buildWords: Said) =>
    `Club ${clubLengthInches} in. Build ${buildWords}.`,
  note: (note: Said) => `Note: ${note}`,
  whatWasAgreed: 'What was agreed',
  because: (reason: Said) => `Because: ${reason}`,
  forATurn: (angle: Said) => `For a turn of the shoulders of ${angle}.`,
  feel: (feel: Said) => `Feel: ${feel}`,
  wordsCorrected: (count: number) =>
    `Words corrected ${plural(count, 'once', `${count} times`)}; what stood before is kept.`,
  theCard: 'The card to take home',
  correctTheWords: 'Correct the words',
  thisRecord: 'This record is not on this device.',
  recordOf: (name: Said) => `Record of ${name}`,
  heldAgainstTheMethod: 'Held against the method',
  startALessonFromThese: 'Start a lesson from these feet',
  setMethodsSideBySide: 'Set methods side by side on these feet',
  savePicture: 'Save as a picture',
  saveDrawing: 'Save as a drawing (SVG)',
};
