import type { Said } from '../../domain/said';

/** What this screen says. */
export const messages = {
  shortCm: 'Short, 155 cm',
  middlingCm: 'Middling, 175 cm',
  tallCm: 'Tall, 195 cm',
  withThe: (name: Said, shotWords: Said) => `With the ${name}${shotWords}`,
  why: 'Why',
  thisDeviceCouldNotKeep: (message: Said) => `This device could not keep it (${message}).`,
  answers: 'Answers',
  aMethodOfOurOwn: 'A method of our own',
  change: (name: Said) => `Change ${name}`,
  begunFromKept: (name: Said) => `Begun from “${name}”. Kept on this device until it is saved.`,
  savingMakesVersion: (version: Said, before: Said) =>
    `Saving makes version ${version}; what was read with version ${before} keeps it.`,
  thisWasBegunFromVersion: (fromVersion: Said, version: Said) =>
    `This was begun from version ${fromVersion}; version ${version} has been saved since. Saving puts yours after it.`,
  whatItTeaches: 'What it teaches',
  showWhatItDoes: 'Show what it does with',
  notSaved: 'Not saved',
  andMore: (faults: Said) => `And ${faults} more.`,
  saving: 'Saving …',
  save: 'Save',
  giveUpTheChanges: 'Give up the changes',
  thisMethod: 'This method is not on this device.',
};
