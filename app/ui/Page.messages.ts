/** What this screen says. */
export const messages = {
  backToTheStudents: 'Back to the students',
};
