import type { Said } from '../../domain/said';

/** What this screen says. */
export const messages = {
  open: (name: Said) => `Open “${name}”`,
  openMethod: 'Open',
  ours: 'Ours',
  lessonsOnThisDeviceBegin:
    'Lessons on this device begin with the usual one; any lesson can be read with another.',
  noneYetMakeOne: 'None yet. Make one of the schools below yours.',
  usual: '● Usual',
  makeItTheUsualOne: 'Make it the usual one',
  makeTheUsualOne: (name: Said) => `Make “${name}” the usual one`,
  version: (version: Said) => `version ${version}`,
  notSavedThisDevice: (message: Said) => `Not saved: this device could not keep it (${message}).`,
  schoolsToStart: 'Schools to start from',
  eachIsNamedForWhat:
    'Each is named for what it teaches. Their figures are common practice without a source, or starting values: every one says which.',
  startFrom: 'Start from it',
  startAMethodOfOur: (name: Said) => `Start a method of our own from “${name}”`,
  takeIt: 'Take it as it is',
  takeAs: (name: Said) => `Take “${name}” as it is`,
  theFileWasNotTaken: 'The file was not taken.',
  theFile: (message: Said) => `The file could not be read (${message}).`,
  houseMethods: 'House methods',
  drills: 'Drills',
  ladders: 'Ladders',
  takeOneFromAFile: 'Take one from a file …',
};
