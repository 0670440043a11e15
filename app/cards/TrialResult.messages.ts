import type { Said } from '../domain/said';

/** What this screen says. */
export const messages = {
  byTheShot: 'by the shot',
  everyTwoShots: 'every two shots',
  oneLook: 'one look, after ten shots',
  threeLooks: 'three looks at the most',
  otherOutcome: (a: Said, b: Said, difference: Said, interval: Said, p: Said, chanceWords: Said) =>
    `A ${a}, B ${b}; better by ${difference} (95%: ${interval}), p ${p}${chanceWords}.`,
  aSimulatedStudentHitThese: 'A simulated student hit these shots, and a simulated monitor measured them.',
  misses: 'Misses',
  foldTheRestAway: 'Fold the rest away',
  whatElseWasSeenShown: (others: Said) => `What else was seen (${others}): shown, never deciding`,
  declaredBeforeTheFirstShot: (
    name: Said,
    gain: Said,
    warmUps: Said,
    mishits: Said,
    blockSizeWords: Said,
    lengthWords: Said,
  ) =>
    `Declared before the first shot: ${name} decides; worth having from ${gain}; ${warmUps} warm-up shots a sitting count for nothing; mishits are ${mishits} (said when they are struck); setups change ${blockSizeWords}, their order drawn at random, as many of each; ${lengthWords}.`,
};
