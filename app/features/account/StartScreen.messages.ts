import type { SchoolAnswers, SchoolQuestion } from '@pedastance/core/method/schools';

const questions: Record<SchoolQuestion, string> = {
  width: 'How wide, with a mid iron?',
  flare: 'How far out do the feet turn?',
  line: 'How does the line through the toes lie?',
};

const answers: Record<SchoolAnswers[SchoolQuestion], string> = {
  'close together': 'Close together',
  'heels under the hips': 'Heels under the hips',
  'by the shoulders': 'By the shoulders',
  'both a little': 'Both a little',
  'both well out': 'Both well out',
  'lead foot more': 'Lead foot more',
  square: 'Square',
  'trail foot back': 'Trail foot back',
  'further back with long clubs': 'Further back with long clubs',
};

/** What is said where an academy begins. */
export const messages = {
  title: 'Start an academy',
  academy: 'Academy, or your own name',
  academyExpected: 'Academy: expected a name, found nothing',
  howDoYouTeach: 'How do you set a student up?',
  questions,
  answers,
  canBeChanged: 'All schools are there. You can choose another for any lesson, or write your own.',
  starting: 'Starting …',
  start: 'Start',
  signInInstead: 'Sign in instead',
  notMedicalAdvice: 'Coaching support, not medical advice.',
};
