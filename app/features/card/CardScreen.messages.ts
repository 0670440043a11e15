import type { Said } from '../../domain/said';

/** What this screen says. */
export const messages = {
  page: (name: Said) => `Card for ${name}`,
  thisCard: 'This card is not on this device.',
  nothingAgreed: 'Nothing was agreed here, so there is nothing to take home.',
  title: 'The card',
  under: (name: Said, club: Said) => `${name} · ${club}`,
  keep: 'Keep the card',
  keepAnew: 'Keep it as it is now',
  kept: 'Kept. Send it, print it, or change it later.',
  notKept: (why: Said) => `Not kept: ${why}`,
  asStudentSees: 'As the student sees it',
  decide: 'What goes on it',
};
