import type { Said } from '../../../domain/said';

/** What this screen says. */
export const messages = {
  keepIt: 'Keep it',
  goOnToTheNext: 'Go on to the next look',
  dropIt: 'Drop it',
  stayWithTheOldSetup: 'Stay with the old setup',
  whyExpectedAReason: 'Why: expected a reason to overrule the verdict, found nothing',
  whatTheTenShotsSay: 'What the ten shots say',
  lookOf: (look: Said) => `Look ${look} of 3`,
  doesAnythingHurtMore: 'Does anything hurt more with B than before?',
  yesItHurts: 'Yes, it hurts',
  workingDone: (done: Said) => `Working … ${done}%`,
  leaveItToTheShots: 'Leave it to the shots',
  decideOtherwise: 'Decide otherwise',
  itIsYoursToDecide: 'It is yours to decide; that it was against the verdict is noted.',
  why: 'Why',
};
