import type { Said } from '../../domain/said';

/** What this screen says. */
export const messages = {
  rightHanded: 'Right-handed',
  leftHanded: 'Left-handed',
  heightAlone: 'Height alone',
  heightAWoman: 'Height, a woman',
  heightAMan: 'Height, a man',
  soleByTape: 'Sole by tape',
  notSavedThisDevice: (message: Said) => `Not saved: this device could not keep it (${message}).`,
  studentForm: 'Student form',
  edit: (name: Said) => `Edit ${name}`,
  addAStudent: 'Add a student',
  plays: 'Plays',
  yearOfBirth: 'Year of birth',
  height: 'Height',
  dayOfBirthWhere: 'Day of birth, where it is known',
  withoutItWhoMayStill: '2008-11-27. Without it, who may still be 17 counts as a minor.',
  notePainSurgeryWhat: 'Note: pain, surgery, what to leave alone',
  build: 'Build',
  whatATapeSaysCounts:
    'What a tape says counts as measured. What is left empty is estimated from the height, and widens the bands it decides.',
  estimateFrom: 'Estimate from',
  shouldersOuterEdgeToOuter: 'Shoulders, outer edge to outer edge',
  hipsWidest: 'Hips, widest',
  shoeBy: 'Shoe by',
  soleLength: 'Sole length',
  shoeSize: (shoeBy: Said) => `Shoe size, ${shoeBy}`,
  sizesAreNominalTheSoles:
    'Sizes are nominal: the sole’s length is an estimate until a tape is laid along it.',
  soleWidest: 'Sole, widest',
  notSavedYet: (faults: Said) => `Not saved yet: ${faults}`,
  saveAndStartALesson: 'Save and start a lesson',
  save: 'Save',
};
