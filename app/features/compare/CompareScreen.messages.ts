import type { Said } from '../../domain/said';

/** What this screen says. */
export const messages = {
  theRecord: (day: Said) => `the record of ${day}`,
  hasNoBuildYet: (name: Said) => `${name} has no build yet, and bands go by the build.`,
  show: 'Show',
  sideBySide: 'Side by side',
  wholeBag: 'Whole bag',
  methodsOnTheFeet: (name: Said) => `Methods on the feet of ${name}`,
  methodsSideBySide: 'Methods side by side',
  noFeetRecordedYet: (name: Said) => `${name} · no feet recorded yet`,
  allHouseMethods: 'All house methods',
};
