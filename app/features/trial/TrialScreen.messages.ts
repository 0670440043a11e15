import type { Said } from '../../domain/said';

/** What this screen says. */
export const messages = {
  looks: 'Looks',
  noneTakenYet: 'None taken yet.',
  lookTheShotsSaid: (look: Said, dayAndTime: Said, verdict: Said, decidedWords: Said) =>
    `Look ${look}, ${dayAndTime}: the shots said ${verdict}; ${decidedWords}.`,
  decidedOtherwiseBecause: (note: Said) => `Decided otherwise, because: ${note}`,
  itHurtMoreThanBefore: '▲ It hurt more than before.',
  bothSetupsFromAbove: 'Both setups from above',
  solidBDashed: 'Solid: B. Dashed: A.',
  noLookYetDecidesShots: (name: Said, hitsOf: Said) =>
    `No look yet. ${name} decides; ${hitsOf} shots so far.`,
  thisTrial: 'This trial is not on this device.',
  trialOf: (name: Said) => `Trial of ${name}`,
  trial: (club: Said) => `Trial, ${club}`,
  aThinking: (cueA: Said) => `A, thinking: ${cueA}`,
  bThinking: (cueB: Said) => `B, thinking: ${cueB}`,
};
