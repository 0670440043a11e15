import type { Said } from '../../domain/said';

/** What this part says. */
export const messages = {
  beforeAndAfter: 'Photos, before and after',
  needsYes: 'Photos on a card need the student’s own yes.',
  toConsent: 'To consent',
  earlier: 'Before',
  later: 'After',
  alt: (when: Said) => `The feet from above, ${when}`,
  working: 'Laying the photos flat …',
  notMade: (why: Said) => `No pictures: ${why}`,
  whatIsShown: 'Only the ground around the feet is shown. The photos stay here.',
};
