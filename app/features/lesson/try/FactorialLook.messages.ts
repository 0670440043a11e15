/** What this screen says. */
export const messages = {
  keepWhatHelpedDrop: 'Keep what helped, drop the rest',
  stayWithTheOldSetup: 'Stay with the old setup',
  dropIt: 'Drop it',
  theLook: 'The look',
  doesAnythingHurtMoreThan: 'Does anything hurt more than before?',
  yesItHurts: 'Yes, it hurts',
};
