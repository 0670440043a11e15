import type { Said } from '../../domain/said';

/** What this screen says. */
export const messages = {
  lastLesson: (day: Said) => ` · last lesson ${day}`,
  noLessonYet: ' · no lesson yet',
  lessonInProgress: ' · lesson in progress',
  lookingForYourStudents: 'Looking for your students …',
  noStudentMatches: (typed: Said) => `No student matches “${typed}”.`,
  yourStudents:
    'Your students are not on this device yet; they come with the connection. You can add one now.',
  noStudentsYet: 'No students yet.',
  addTheFirstAName:
    'Add the first: a name, a hand, a year of birth and a height are enough to start measuring feet.',
  students: 'Students',
  houseMethods: 'House methods',
  settingsAndSignOut: 'Settings and sign-out',
  searchStudents: 'Search students',
  searchByNameHand: 'Search by name, hand or note',
  listOfStudents: 'List of students',
  moreTypeAFewLetters: (found: Said) => `${found} more; type a few letters of the name.`,
  theStudentsYouTaughtLast:
    'The students you taught last are on this device; the others come with the connection.',
  theStudentsYouTaughtLast2:
    'The students you taught last are on this device; type a few letters to find any other.',
  addAStudent: 'Add a student',
  erased: (names: string) =>
    names === ''
      ? 'A student’s data were erased. What this device had of them is gone.'
      : `Erased: ${names}. What this device had of them is gone.`,
  read: 'I have read it',
  copiesEnded:
    'This device had not met the server for 30 days, so its copies ended. They come back with the next connection. What is not sent is still here.',
  fromAList: 'Many at once, from a list',
};
