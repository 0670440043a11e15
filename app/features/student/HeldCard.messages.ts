import type { Said } from '../../domain/said';

/** What this screen says. */
export const messages = {
  notMeasuredSince: '○ Not measured since.',
  agreedAndDidItHold: 'Agreed, and did it hold?',
  lessonByLesson: (club: Said, figure: Said) => `${club}: ${figure}, lesson by lesson`,
  card: 'Card',
  cardOf: (club: Said) => `Card for the ${club}`,
  agreed: 'Agreed',
};
