import type { Said } from '../../domain/said';

/** What this screen says. */
export const messages = {
  leave: (name: Said) => `Leave: ${name}`,
  take: (name: Said) => `Take: ${name}`,
  tell: (first: Said) => `Tell ${first}`,
  nothingIsChangedYetYou: 'Nothing is changed yet. You could say:',
  changesAtOnceNobodyWill: (inUse: Said) =>
    `${inUse} changes at once: nobody will know which one helped. One or two stick.`,
  inUndo: '✓ In · Undo',
  takeThis: 'Take this',
  foldOtherWays: 'Fold other ways',
  otherWaysToFree: 'Other ways to free the turn',
  sayFeet: 'Say feet as',
  leadTrail: 'Lead, trail',
  leftRight: 'Left, right',
  solidAsAgreedDashedToday: 'Solid: as agreed. Dashed: today. Dotted, with its number: what the fit offers.',
  backToTodaysFeet: 'Back to today’s feet',
  adjust: 'Adjust',
  adjustOnThePlan: 'Adjust on the plan',
  useIt: 'Use it',
  onToKeeping: 'On to keeping it',
  theChange: 'The change',
  done: 'Done',
  doneAdjusting: 'Done adjusting',
};
