import type { Said } from '../../domain/said';

/** What this screen says. */
export const messages = {
  nothingIsMeasuredYet: 'Nothing is measured yet',
  heldAgainstTheMethodAll: 'Held against the method: all in band',
  heldAgainstTheMethodOut: (out: Said) => `Held against the method: ${out} out of band`,
  readWith: 'Read with',
  setMethodsSideBySide: 'Set methods side by side on these feet',
  foldThemAway: 'Fold them away',
  inBand: (count: Said) => `In band (${count})`,
  since: (day: Said) => `Since ${day}`,
  readWithVersionEvery: (name: Said, version: Said) =>
    `Read with “${name}”, version ${version}. Every ± is one standard deviation.`,
  whatWasRead: 'What was read',
  change: 'Change',
  onToTheChange: 'On to the change',
};
